package app.layette.web.people;

import app.layette.core.entry.FieldProblem;
import app.layette.web.account.SignedIn;
import app.layette.web.account.User;
import app.layette.web.account.Users;
import app.layette.web.trail.Trail;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The keys with which browsers seal what waits in them. Each person has one and gets it after signing in; a lead gets
 * somebody else's to hand over what waits of them, says why, and is in the trail for it.
 */
@Service
class SafeKeys {
    private static final int KEY_BYTES = 32;
    private static final int LONGEST_REASON = 200;
    private static final SecureRandom RANDOM = new SecureRandom();

    private final JdbcClient jdbc;
    private final Users users;
    private final Trail trail;

    SafeKeys(JdbcClient jdbc, Users users, Trail trail) {
        this.jdbc = jdbc;
        this.users = users;
        this.trail = trail;
    }

    /** One's own key, in Base64. */
    @Transactional
    public String of(UUID user) {
        byte[] fresh = new byte[KEY_BYTES];
        RANDOM.nextBytes(fresh);
        // Two first pages at once agree on one.
        jdbc.sql("update app_user set safe_key = :fresh where id = :user and safe_key is null")
                .param("fresh", fresh)
                .param("user", user)
                .update();
        return Base64.getEncoder()
                .encodeToString(jdbc.sql("select safe_key from app_user where id = :user")
                        .param("user", user)
                        .query((row, number) -> row.getBytes(1))
                        .single());
    }

    /**
     * Somebody else's key, for what waits of them to be handed over.
     *
     * @throws RefusedPersonException when there is nobody of that name here, or no reason is given
     */
    @Transactional
    public String handOver(SignedIn lead, String name, String why) {
        if (!lead.isLead()) {
            throw new AccessDeniedException("Only a lead hands over what waits of somebody else");
        }
        User person = users.findByName(name)
                .filter(each -> each.pointId().equals(lead.pointId()))
                .orElseThrow(() -> refused("person", name, "NOBODY_HERE", ""));
        if (why.isBlank()) {
            throw refused("why", "", "NEEDED", "");
        }
        if (why.length() > LONGEST_REASON) {
            throw refused("why", why, "TOO_LONG", String.valueOf(LONGEST_REASON));
        }
        trail.add(
                lead.pointId(), lead.getUsername(), Trail.What.WAITING_HANDED_OVER, person.name() + ": " + why.strip());
        return of(person.id());
    }

    private static RefusedPersonException refused(String field, String value, String reason, String highest) {
        return new RefusedPersonException(List.of(new FieldProblem(field, value, reason, "1", highest)));
    }
}
