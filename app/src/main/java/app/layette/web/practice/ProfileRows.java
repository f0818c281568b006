package app.layette.web.practice;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ProfileRows extends JpaRepository<ProfileRow, ProfileRow.Key> {
    @Query("select p from ProfileRow p where p.key.pointId = :point and p.key.id = :id order by p.key.version desc")
    List<ProfileRow> versions(UUID point, String id);
}
