package app.layette.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.DatabaseTest;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

class AttemptsDatabaseTest extends DatabaseTest {
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
    private Attempts attempts;

    @BeforeEach
    void nobodyTried(@Autowired JdbcClient jdbc) {
        jdbc.sql("delete from sign_in_try").update();
        jdbc.sql("delete from sign_in_known").update();
        attempts = new Attempts(clock, jdbc);
    }

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

    @Test
    void whatIsTooOldIsForgottenAndAnotherProcessCountsOn(@Autowired JdbcClient jdbc) {
        fail("marit", HERE, 3);
        new Attempts(clock, jdbc).failed("marit", HERE);
        new Attempts(clock, jdbc).failed("marit", HERE);
        assertThat(attempts.wait("marit", HERE)).isEqualTo(Duration.ofSeconds(10));
        assertThat(jdbc.sql("select string_agg(who, ' ') from sign_in_try")
                        .query(String.class)
                        .single())
                .doesNotContain("marit", HERE);
        clock.now = clock.now.plus(Duration.ofDays(40));
        attempts.forget();
        assertThat(jdbc.sql("select count(*) from sign_in_try")
                        .query(Long.class)
                        .single())
                .isZero();
    }
}
