package app.layette.web.people;

import app.layette.web.account.PasswordRules;
import app.layette.web.account.Points;
import app.layette.web.account.SignedIn;
import app.layette.web.account.User;
import app.layette.web.account.Users;
import app.layette.web.trail.Trail;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Setting passwords: one's own, and by a link. */
@Service
public class Passwords {
    private final Users users;
    private final Points points;
    private final PasswordEncoder encoder;
    private final PasswordLinks links;
    private final Sessions sessions;
    private final Trail trail;

    Passwords(
            Users users, Points points, PasswordEncoder encoder, PasswordLinks links, Sessions sessions, Trail trail) {
        this.users = users;
        this.points = points;
        this.encoder = encoder;
        this.links = links;
        this.sessions = sessions;
        this.trail = trail;
    }

    /**
     * Changes one's own password; every session that began with the old one is over.
     *
     * @return why it is not taken; empty when it is
     */
    @Transactional
    public Optional<String> change(SignedIn who, String current, String fresh) {
        User user = users.findById(who.userId()).orElseThrow();
        if (!encoder.matches(current, user.passwordHash())) {
            return Optional.of("PASSWORD_WRONG");
        }
        return set(user, fresh);
    }

    /**
     * Sets a password by a link, which is used up by it.
     *
     * @return why it is not taken; empty when it is
     */
    @Transactional
    public Optional<String> setBy(String token, String fresh) {
        Optional<UUID> owner = links.owner(token);
        if (owner.isEmpty()) {
            return Optional.of("PASSWORD_LINK_OVER");
        }
        User user = users.findById(owner.get()).orElseThrow();
        Optional<String> refused = rules(user, fresh);
        if (refused.isPresent()) {
            return refused;
        }
        return links.use(token) ? set(user, fresh) : Optional.of("PASSWORD_LINK_OVER");
    }

    /** What somebody signs in with whose link this is; empty when it is over. */
    @Transactional(readOnly = true)
    public Optional<String> nameBehind(String token) {
        return links.owner(token).flatMap(users::findById).map(User::name);
    }

    private Optional<String> rules(User user, String fresh) {
        String point = points.findById(user.pointId()).orElseThrow().name();
        return PasswordRules.refuse(fresh, List.of(user.name(), user.displayName(), point, "layette"));
    }

    private Optional<String> set(User user, String fresh) {
        Optional<String> refused = rules(user, fresh);
        if (refused.isEmpty()) {
            user.signInWith(Objects.requireNonNull(encoder.encode(fresh)));
            sessions.endAll(user.name());
            trail.add(user.pointId(), user.name(), Trail.What.PASSWORD_SET, user.name());
        }
        return refused;
    }
}
