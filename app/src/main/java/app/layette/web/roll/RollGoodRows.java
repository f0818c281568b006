package app.layette.web.roll;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface RollGoodRows extends JpaRepository<RollGoodRow, UUID> {
    @Query("select row from RollGoodRow row where row.pointId = :pointId order by row.name, row.id")
    List<RollGoodRow> of(UUID pointId);

    @Query("select row from RollGoodRow row where row.pointId = :pointId and row.id = :id")
    Optional<RollGoodRow> one(UUID pointId, UUID id);
}
