package app.layette.web.account;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Fitting points. */
public interface Points extends JpaRepository<Point, UUID> {}
