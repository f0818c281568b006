package app.layette.web.writing;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface WorkRows extends JpaRepository<WorkRow, WorkRow.Key> {
    @Query("select w from WorkRow w where w.key.pointId = :point and w.kind = :kind order by w.key.id")
    List<WorkRow> of(UUID point, WorkRow.Kind kind);

    /** Two who write at the same sheet each change one value: neither may write over the other's. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select w from WorkRow w where w.key = :key")
    Optional<WorkRow> locked(WorkRow.Key key);
}
