package app.layette.web.record;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SealRows extends JpaRepository<SealRow, UUID> {
    Optional<SealRow> findByPointIdAndFittingId(UUID pointId, UUID fittingId);
}
