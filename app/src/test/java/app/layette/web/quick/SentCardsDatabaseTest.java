package app.layette.web.quick;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.account.Points;
import app.layette.web.support.DatabaseTest;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Base64;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Cards for a family's phone: what was signed here opens for a day, and nothing else ever. */
class SentCardsDatabaseTest extends DatabaseTest {
    private static final Instant NOW = Instant.parse("2026-11-29T09:00:00Z");
    private static final Answers ANSWERS = new Answers("", "6-8", "wrenfold-bobbin", "EUROPEAN", "ALLOWED");

    @Autowired
    private JdbcClient jdbc;

    @Autowired
    private Points points;

    private UUID point;

    @BeforeEach
    void aPoint() {
        point = points.findAllByOrderByOpenedAt().get(0).id();
    }

    private SentCards at(Instant when) {
        return new SentCards(jdbc, Clock.fixed(when, ZoneOffset.UTC));
    }

    @Test
    void whatWasSentIsOpenForADayAndNoLonger() {
        String address = at(NOW).address(point, ANSWERS);
        Instant last = NOW.plus(SentCards.VALID);
        assertThat(at(last).open(address)).contains(new SentCards.Sent(point, ANSWERS, last));
        assertThat(at(last.plus(Duration.ofSeconds(1))).open(address)).isEmpty();
    }

    @Test
    void oneBitChangedAnywhereOpensNothing() {
        byte[] whole = Base64.getUrlDecoder().decode(at(NOW).address(point, ANSWERS));
        for (int bit = 0; bit < whole.length * 8; bit++) {
            byte[] changed = whole.clone();
            changed[bit / 8] ^= (byte) (1 << bit % 8);
            assertThat(at(NOW).open(Base64.getUrlEncoder().withoutPadding().encodeToString(changed)))
                    .as("bit " + bit)
                    .isEmpty();
        }
    }

    /** Days past any calendar, too short, too long, not in the alphabet. */
    @ParameterizedTest
    @ValueSource(strings = {"", "z", "zz", "!", "%", "AAAA", "z*54", "z*120", "_*120", "A*54", "z*400", "z*5000"})
    void junkOpensNothing(String junk) {
        int star = junk.indexOf('*');
        String address = star < 0 ? junk : junk.substring(0, star).repeat(Integer.parseInt(junk.substring(star + 1)));
        assertThat(at(NOW).open(address)).isEmpty();
    }
}
