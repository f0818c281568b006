package app.layette.web.account;

import app.layette.formats.text.Sha256;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;

/**
 * Failed tries to sign in, by account and address together, and by address alone. Five with one account make each next
 * one wait longer, up to a quarter of an hour; whoever else works at the same fitting point signs in as ever, and so does
 * the same person from another address. An address that tries many accounts waits, but for those who signed in there
 * before. Counted in the database, as hashes: two processes count the same.
 */
public final class Attempts {
    private static final Logger LOG = LoggerFactory.getLogger(Attempts.class);
    private static final int FREE_BY_ACCOUNT = 5;
    private static final int FREE_BY_ADDRESS = 60;
    private static final Duration FIRST_WAIT = Duration.ofSeconds(10);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
    private static final Duration WELCOME_FOR = Duration.ofDays(30);
    private static final int LONGEST_NAME = 60;

    private final Clock clock;
    private final JdbcClient jdbc;

    Attempts(Clock clock, JdbcClient jdbc) {
        this.clock = clock;
        this.jdbc = jdbc;
    }

    /** How long this account waits at this address; nothing where it may try. */
    public Duration wait(String account, String address) {
        Duration own = left(both(account, address));
        // A fitting point shares one address: whoever signed in there before is not kept out by what others try.
        Duration all = isKnown(both(account, address)) ? Duration.ZERO : left(hashed(address));
        return own.compareTo(all) > 0 ? own : all;
    }

    /** Notes a failed try. */
    public void failed(String account, String address) {
        int own = fail(both(account, address), FREE_BY_ACCOUNT);
        fail(hashed(address), FREE_BY_ADDRESS);
        if (own == FREE_BY_ACCOUNT) {
            // No name: what was typed may be a password in the wrong field.
            LOG.warn("Sign-in: {} failed tries with one account from {}; it waits there", own, address);
        }
    }

    /** Forgets the failed tries of an account at an address. */
    public void succeeded(String account, String address) {
        jdbc.sql("delete from sign_in_try where who = :who")
                .param("who", both(account, address))
                .update();
        jdbc.sql(
                        "insert into sign_in_known (who, at) values (:who, :at) on conflict (who) do update set at = excluded.at")
                .param("who", both(account, address))
                .param("at", Timestamp.from(clock.instant()))
                .update();
    }

    private boolean isKnown(String who) {
        return jdbc.sql("select count(*) from sign_in_known where who = :who and at > :since")
                        .param("who", who)
                        .param("since", Timestamp.from(clock.instant().minus(WELCOME_FOR)))
                        .query(Long.class)
                        .single()
                > 0;
    }

    /** Counts one more, by whichever process, and says how many there are. */
    private int fail(String who, int free) {
        Instant now = clock.instant();
        int failed = jdbc.sql(
                        "insert into sign_in_try (who, failed, at) values (:who, 1, :at) on conflict (who) do update"
                                + " set failed = case when sign_in_try.at < :old then 1 else sign_in_try.failed + 1 end,"
                                + " at = excluded.at returning failed")
                .param("who", who)
                .param("at", Timestamp.from(now))
                .param("old", Timestamp.from(now.minus(LONGEST_WAIT.multipliedBy(2))))
                .query(Integer.class)
                .single();
        int over = Math.min(failed - free, 12);
        if (over >= 0) {
            Duration wait = FIRST_WAIT.multipliedBy(1L << over);
            Duration longest = wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait;
            jdbc.sql("update sign_in_try set waits_until = :until where who = :who")
                    .param("until", Timestamp.from(now.plus(longest)))
                    .param("who", who)
                    .update();
        }
        return failed;
    }

    private Duration left(String who) {
        Instant now = clock.instant();
        return jdbc.sql("select waits_until from sign_in_try where who = :who and waits_until > :now")
                .param("who", who)
                .param("now", Timestamp.from(now))
                .query(Timestamp.class)
                .optional()
                .map(until -> Duration.between(now, until.toInstant()))
                .orElse(Duration.ZERO);
    }

    /** Forgets what is too old to count. */
    @Scheduled(initialDelay = 1, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
    public void forget() {
        jdbc.sql("delete from sign_in_try where at < :old")
                .param("old", Timestamp.from(clock.instant().minus(LONGEST_WAIT.multipliedBy(2))))
                .update();
        jdbc.sql("delete from sign_in_known where at < :old")
                .param("old", Timestamp.from(clock.instant().minus(WELCOME_FOR)))
                .update();
    }

    private static String both(String account, String address) {
        String name = account.toLowerCase(Locale.ROOT).strip();
        return hashed(name.substring(0, Math.min(name.length(), LONGEST_NAME)) + "|" + address);
    }

    private static String hashed(String who) {
        return Sha256.of(who);
    }
}
