package app.layette.web.due;

import java.security.SecureRandom;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.Base64;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The private calendar feed of each technician: an unguessable address, which can be made anew. */
@Repository
class CalendarFeeds {
    private static final int TOKEN_BYTES = 32;

    private final JdbcClient jdbc;
    private final SecureRandom random = new SecureRandom();

    CalendarFeeds(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The feed of a user, made where there is none. */
    String of(UUID user, Instant now) {
        jdbc.sql("insert into calendar_feed (token, user_id, made_at) values (:token, :user, :at)"
                        + " on conflict (user_id) do nothing")
                .param("token", token())
                .param("user", user)
                .param("at", Timestamp.from(now))
                .update();
        return jdbc.sql("select token from calendar_feed where user_id = :user")
                .param("user", user)
                .query(String.class)
                .single();
    }

    /** Gives a user's feed another address; the old one ends. */
    void renew(UUID user, Instant now) {
        jdbc.sql("update calendar_feed set token = :token, made_at = :at where user_id = :user")
                .param("token", token())
                .param("user", user)
                .param("at", Timestamp.from(now))
                .update();
    }

    /** The fitting point whose follow-ups a feed shows; empty when there is no such feed. */
    Optional<UUID> pointOf(String token) {
        return jdbc.sql(
                        "select u.point_id from calendar_feed c join app_user u on u.id = c.user_id where c.token = :token")
                .param("token", token)
                .query(UUID.class)
                .optional();
    }

    private String token() {
        byte[] token = new byte[TOKEN_BYTES];
        random.nextBytes(token);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(token);
    }
}
