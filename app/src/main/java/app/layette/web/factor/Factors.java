package app.layette.web.factor;

import app.layette.formats.text.Sha256;
import app.layette.web.account.SignedIn;
import app.layette.web.account.User;
import app.layette.web.account.Users;
import app.layette.web.trail.Trail;
import java.security.SecureRandom;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import org.apache.commons.codec.binary.Base32;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The second factors of everybody: made, confirmed, asked for, taken away. */
@Service
public class Factors {
    private static final int RECOVERY_CODES = 8;
    private static final int RECOVERY_BYTES = 10;
    private static final SecureRandom RANDOM = new SecureRandom();

    private record Kept(byte[] secret, boolean confirmed, long lastStep) {}

    private final JdbcClient jdbc;
    private final Users users;
    private final Passkeys passkeys;
    private final Trail trail;
    private final Clock clock;

    Factors(JdbcClient jdbc, Users users, Passkeys passkeys, Trail trail, Clock clock) {
        this.jdbc = jdbc;
        this.users = users;
        this.passkeys = passkeys;
        this.trail = trail;
        this.clock = clock;
    }

    /** Whether somebody's time codes count. */
    @Transactional(readOnly = true)
    public boolean hasTimeCode(UUID user) {
        return kept(user).filter(Kept::confirmed).isPresent();
    }

    /** The secret that was made and not confirmed yet. */
    @Transactional(readOnly = true)
    Optional<byte[]> unconfirmed(UUID user) {
        return kept(user).filter(each -> !each.confirmed()).map(Kept::secret);
    }

    /** Makes a secret; it counts when a code from it was typed. One that counts is not replaced. */
    @Transactional
    void begin(UUID user) {
        jdbc.sql("insert into time_code (user_id, secret, last_step) values (:user, :secret, 0)"
                        + " on conflict (user_id) do update set secret = excluded.secret, last_step = 0"
                        + " where time_code.confirmed_at is null")
                .param("user", user)
                .param("secret", TimeCodes.newSecret())
                .update();
    }

    /**
     * Confirms the secret by a code from it.
     *
     * @return the codes for paper, told this one time; empty where the code is none of now
     */
    @Transactional
    Optional<List<String>> confirm(SignedIn who, String code) {
        Optional<Kept> kept = locked(who.userId()).filter(each -> !each.confirmed());
        OptionalLong step = kept.isEmpty()
                ? OptionalLong.empty()
                : TimeCodes.step(
                        kept.get().secret(),
                        bare(code),
                        clock.instant(),
                        kept.get().lastStep());
        if (step.isEmpty()) {
            return Optional.empty();
        }
        jdbc.sql("update time_code set confirmed_at = :now, last_step = :step where user_id = :user")
                .param("now", Timestamp.from(clock.instant()))
                .param("step", step.getAsLong())
                .param("user", who.userId())
                .update();
        settle(who.userId(), who.getUsername(), Trail.What.SECOND_FACTOR_SET, "time code");
        return Optional.of(newRecoveryCodes(who));
    }

    /** New codes for paper; those of before count no more. */
    @Transactional
    List<String> newRecoveryCodes(SignedIn who) {
        jdbc.sql("delete from recovery_code where user_id = :user")
                .param("user", who.userId())
                .update();
        List<String> codes = new ArrayList<>();
        for (int i = 0; i < RECOVERY_CODES; i++) {
            byte[] random = new byte[RECOVERY_BYTES];
            RANDOM.nextBytes(random);
            String code = new Base32().encodeToString(random).toLowerCase(Locale.ROOT);
            codes.add(code.replaceAll("(.{4})(?=.)", "$1-"));
            jdbc.sql("insert into recovery_code (user_id, sha256) values (:user, :sha)")
                    .param("user", who.userId())
                    .param("sha", Sha256.of(code))
                    .update();
        }
        return codes;
    }

    /** How many codes on paper are left. */
    @Transactional(readOnly = true)
    int recoveryCodesLeft(UUID user) {
        return jdbc.sql("select count(*) from recovery_code where user_id = :user and used_at is null")
                .param("user", user)
                .query(Integer.class)
                .single();
    }

    /** Takes a time code, or one from paper; either counts once. */
    @Transactional
    boolean take(UUID user, String typed) {
        String code = bare(typed);
        Optional<Kept> kept = locked(user).filter(Kept::confirmed);
        if (kept.isPresent()) {
            OptionalLong step = TimeCodes.step(
                    kept.get().secret(), code, clock.instant(), kept.get().lastStep());
            if (step.isPresent()) {
                jdbc.sql("update time_code set last_step = :step where user_id = :user")
                        .param("step", step.getAsLong())
                        .param("user", user)
                        .update();
                return true;
            }
        }
        return jdbc.sql("update recovery_code set used_at = :now"
                                + " where user_id = :user and sha256 = :sha and used_at is null")
                        .param("now", Timestamp.from(clock.instant()))
                        .param("user", user)
                        .param("sha", Sha256.of(code.toLowerCase(Locale.ROOT)))
                        .update()
                > 0;
    }

    @Transactional
    void removeTimeCode(SignedIn who) {
        jdbc.sql("delete from time_code where user_id = :user")
                .param("user", who.userId())
                .update();
        settle(who.userId(), who.getUsername(), Trail.What.SECOND_FACTOR_REMOVED, "time code");
    }

    @Transactional
    void passkeyAdded(SignedIn who) {
        settle(who.userId(), who.getUsername(), Trail.What.SECOND_FACTOR_SET, "passkey");
    }

    @Transactional
    void removePasskey(SignedIn who, String id) {
        if (passkeys.remove(who.getUsername(), id)) {
            settle(who.userId(), who.getUsername(), Trail.What.SECOND_FACTOR_REMOVED, "passkey");
        }
    }

    /** Takes everything away from somebody who lost it; they sign in by their password until they set it up anew. */
    @Transactional
    public void removeAll(UUID user, String by) {
        passkeys.removeAll(users.findById(user).orElseThrow().name());
        jdbc.sql("delete from time_code where user_id = :user")
                .param("user", user)
                .update();
        settle(user, by, Trail.What.SECOND_FACTOR_REMOVED, "all");
    }

    private void settle(UUID id, String by, Trail.What what, String which) {
        User user = users.findById(id).orElseThrow();
        boolean any = hasTimeCode(id) || !passkeys.of(user.name()).isEmpty();
        if (!any) {
            jdbc.sql("delete from recovery_code where user_id = :user")
                    .param("user", id)
                    .update();
        }
        users.save(user.guardedBy(any));
        trail.add(user.pointId(), by, what, user.name() + " " + which);
    }

    private static String bare(String typed) {
        return typed.replaceAll("[\\s-]", "");
    }

    private Optional<Kept> kept(UUID user) {
        return read(user, "");
    }

    /** One code is taken once, however often it is sent at the same moment. */
    private Optional<Kept> locked(UUID user) {
        return read(user, " for update");
    }

    private Optional<Kept> read(UUID user, String lock) {
        return jdbc.sql("select secret, confirmed_at, last_step from time_code where user_id = :user" + lock)
                .param("user", user)
                .query((row, number) -> new Kept(
                        row.getBytes("secret"), row.getTimestamp("confirmed_at") != null, row.getLong("last_step")))
                .optional();
    }
}
