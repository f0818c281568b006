package app.layette.web.fitting;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FamilyRows extends JpaRepository<Family, UUID> {
    Optional<Family> findByPointIdAndReference(UUID pointId, String reference);
}
