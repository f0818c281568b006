package app.layette.web.people;

import app.layette.formats.text.Sha256;
import java.security.SecureRandom;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.util.Base64;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Links by which somebody sets a password: unguessable, for two days, once. A new one puts an end to the older. */
@Component
public class PasswordLinks {
    static final Duration LASTS = Duration.ofHours(48);
    private static final int BYTES = 32;

    private final JdbcClient jdbc;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    PasswordLinks(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Makes a link; only its hash is kept. */
    @Transactional(propagation = Propagation.MANDATORY)
    public String make(UUID user) {
        byte[] bytes = new byte[BYTES];
        random.nextBytes(bytes);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        jdbc.sql("delete from password_link where user_id = :user")
                .param("user", user)
                .update();
        jdbc.sql("insert into password_link (sha256, user_id, made_at, expires_at) values (:sha, :user, :now, :end)")
                .param("sha", Sha256.of(token))
                .param("user", user)
                .param("now", Timestamp.from(clock.instant()))
                .param("end", Timestamp.from(clock.instant().plus(LASTS)))
                .update();
        return token;
    }

    /** Whose password it sets; empty when it is over, was used, or never was. */
    Optional<UUID> owner(String token) {
        return jdbc.sql(
                        "select user_id from password_link where sha256 = :sha and used_at is null and expires_at > :now")
                .param("sha", Sha256.of(token))
                .param("now", Timestamp.from(clock.instant()))
                .query(UUID.class)
                .optional();
    }

    /** Uses it up; false when somebody was quicker. */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean use(String token) {
        return jdbc.sql("update password_link set used_at = :now"
                                + " where sha256 = :sha and used_at is null and expires_at > :now")
                        .param("sha", Sha256.of(token))
                        .param("now", Timestamp.from(clock.instant()))
                        .update()
                == 1;
    }
}
