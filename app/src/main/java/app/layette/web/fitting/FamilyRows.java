package app.layette.web.fitting;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FamilyRows extends JpaRepository<Family, UUID> {
    boolean existsByPointIdAndReference(UUID pointId, String reference);
}
