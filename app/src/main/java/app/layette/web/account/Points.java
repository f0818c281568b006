package app.layette.web.account;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Fitting points. */
public interface Points extends JpaRepository<Point, UUID> {
    /** All points, the first that was opened first: rows have no order of their own. */
    List<Point> findAllByOrderByOpenedAt();
}
