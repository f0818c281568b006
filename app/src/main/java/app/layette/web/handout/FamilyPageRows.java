package app.layette.web.handout;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FamilyPageRows extends JpaRepository<FamilyPageRow, String> {
    List<FamilyPageRow> findByPointIdAndFittingIdOrderByMadeAtDesc(UUID pointId, UUID fittingId);
}
