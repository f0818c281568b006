package app.layette.web.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Users by the name they sign in with, and those of a fitting point. */
public interface Users extends JpaRepository<User, UUID> {
    Optional<User> findByName(String name);

    /** A user and the point where they work, with one question; every request asks it. */
    @Query(
            "select new app.layette.web.account.Users$AtWork(u, p) from User u join Point p on p.id = u.pointId where u.id = :id")
    Optional<AtWork> findAtWork(UUID id);

    /** A user with their point. */
    record AtWork(User user, Point point) {}

    List<User> findByPointIdOrderByName(UUID pointId);
}
