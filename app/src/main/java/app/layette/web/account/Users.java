package app.layette.web.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Users by the name they sign in with, and those of a fitting point. */
public interface Users extends JpaRepository<User, UUID> {
    Optional<User> findByName(String name);

    List<User> findByPointIdOrderByName(UUID pointId);
}
