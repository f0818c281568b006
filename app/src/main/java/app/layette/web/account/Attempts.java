package app.layette.web.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Failed tries to sign in, by account and address together, and by address alone. Five with one account make each next
 * one wait longer, up to a quarter of an hour; whoever else works at the same fitting point signs in as ever, and so does
 * the same person from another address. An address that tries many accounts waits, but for those who signed in there
 * before.
 */
public final class Attempts {
    private static final Logger LOG = LoggerFactory.getLogger(Attempts.class);
    private static final int FREE_BY_ACCOUNT = 5;
    private static final int FREE_BY_ADDRESS = 60;
    private static final Duration FIRST_WAIT = Duration.ofSeconds(10);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
    private static final Duration WELCOME_FOR = Duration.ofDays(30);
    private static final int MOST_REMEMBERED = 20_000;
    private static final int LONGEST_NAME = 60;

    /** Tries so far, and from when on the next one is looked at. */
    private record Tries(int failed, Instant waitsUntil) {}

    private final Cache<String, Tries> known = Caffeine.newBuilder()
            .maximumSize(MOST_REMEMBERED)
            .expireAfterWrite(LONGEST_WAIT.multipliedBy(2))
            .build();
    private final Cache<String, Boolean> welcome = Caffeine.newBuilder()
            .maximumSize(MOST_REMEMBERED)
            .expireAfterWrite(WELCOME_FOR)
            .build();
    private final Clock clock;

    Attempts(Clock clock) {
        this.clock = clock;
    }

    /** How long this account waits at this address; nothing where it may try. */
    public Duration wait(String account, String address) {
        Duration own = left(both(account, address));
        // A fitting point shares one address: whoever signed in there before is not kept out by what others try.
        Duration all = welcome.getIfPresent(both(account, address)) == null ? left(address) : Duration.ZERO;
        return own.compareTo(all) > 0 ? own : all;
    }

    /** Notes a failed try. */
    public void failed(String account, String address) {
        Tries own = fail(both(account, address), FREE_BY_ACCOUNT);
        fail(address, FREE_BY_ADDRESS);
        if (own.failed() == FREE_BY_ACCOUNT) {
            // No name: what was typed may be a password in the wrong field.
            LOG.warn("Sign-in: {} failed tries with one account from {}; it waits there", own.failed(), address);
        }
    }

    /** Forgets the failed tries of an account at an address. */
    public void succeeded(String account, String address) {
        known.invalidate(both(account, address));
        welcome.put(both(account, address), Boolean.TRUE);
    }

    private Tries fail(String key, int free) {
        return known.asMap().merge(key, new Tries(1, Instant.MIN), (before, one) -> {
            int failed = before.failed() + 1;
            int over = Math.min(failed - free, 12);
            Duration wait = over < 0 ? Duration.ZERO : FIRST_WAIT.multipliedBy(1L << over);
            Duration longest = wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait;
            return new Tries(failed, over < 0 ? Instant.MIN : clock.instant().plus(longest));
        });
    }

    private Duration left(String key) {
        Tries tries = known.getIfPresent(key);
        if (tries == null || !tries.waitsUntil().isAfter(clock.instant())) {
            return Duration.ZERO;
        }
        return Duration.between(clock.instant(), tries.waitsUntil());
    }

    private static String both(String account, String address) {
        String name = account.toLowerCase(Locale.ROOT).strip();
        return name.substring(0, Math.min(name.length(), LONGEST_NAME)) + "|" + address;
    }
}
