package app.layette.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;

class AttemptsTest {
    private static final String HERE = "192.0.2.1";
    private static final String ELSEWHERE = "198.51.100.7";

    /** A clock that a test puts forward. */
    private static final class Hands extends Clock {
        private Instant now = Instant.parse("2026-12-01T10:00:00Z");

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    }

    private final Hands clock = new Hands();
    private final Attempts attempts = new Attempts(clock);

    private void fail(String account, String address, int times) {
        for (int i = 0; i < times; i++) {
            attempts.failed(account, address);
        }
    }

    @Test
    void fiveAreFreeThenEachWaitsLongerAndAtMostAQuarterOfAnHour() {
        fail("marit", HERE, 4);
        assertThat(attempts.wait("marit", HERE)).isZero();
        fail("marit", HERE, 1);
        assertThat(attempts.wait("marit", HERE)).isEqualTo(Duration.ofSeconds(10));
        fail("marit", HERE, 1);
        assertThat(attempts.wait("Marit ", HERE)).isEqualTo(Duration.ofSeconds(20));
        fail("marit", HERE, 30);
        assertThat(attempts.wait("marit", HERE)).isEqualTo(Duration.ofMinutes(15));
        clock.now = clock.now.plus(Duration.ofMinutes(16));
        assertThat(attempts.wait("marit", HERE)).isZero();
    }

    @Test
    void nobodyElseAtThePointWaitsAndNobodyElsewhere() {
        fail("marit", HERE, 10);
        assertThat(attempts.wait("tove", HERE)).isZero();
        assertThat(attempts.wait("marit", ELSEWHERE)).isZero();
    }

    @Test
    void anAddressThatTriesManyAccountsWaitsButNotThoseWhoSignedInThereBefore() {
        attempts.succeeded("marit", HERE);
        for (int i = 0; i < 70; i++) {
            fail("guess" + i, HERE, 1);
        }
        assertThat(attempts.wait("tove", HERE)).isPositive();
        assertThat(attempts.wait("marit", HERE)).isZero();
    }

    @Test
    void signingInForgetsWhatFailedBefore() {
        fail("marit", HERE, 4);
        attempts.succeeded("marit", HERE);
        fail("marit", HERE, 4);
        assertThat(attempts.wait("marit", HERE)).isZero();
    }
}
