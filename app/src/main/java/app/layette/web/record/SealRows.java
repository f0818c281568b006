package app.layette.web.record;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SealRows extends JpaRepository<SealRow, UUID> {}
