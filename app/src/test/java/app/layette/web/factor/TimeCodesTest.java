package app.layette.web.factor;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** RFC 6238, appendix B, cut to six digits. */
class TimeCodesTest {
    private static final byte[] SECRET = "12345678901234567890".getBytes(StandardCharsets.US_ASCII);

    @ParameterizedTest
    @CsvSource({
        "59, 287082",
        "1111111109, 081804",
        "1111111111, 050471",
        "1234567890, 005924",
        "2000000000, 279037",
        "20000000000, 353130"
    })
    void isWhatTheStandardSays(long at, String code) {
        assertThat(TimeCodes.step(SECRET, code, Instant.ofEpochSecond(at), 0)).isEqualTo(OptionalLong.of(at / 30));
    }

    @ParameterizedTest
    @CsvSource({"-60, false", "-30, true", "0, true", "29, true", "31, true", "89, false"})
    void aClockMayBeAStepOff(long late, boolean taken) {
        long step = 1_111_111_109L / 30 * 30;
        assertThat(TimeCodes.step(SECRET, "081804", Instant.ofEpochSecond(step + late), 0)
                        .isPresent())
                .isEqualTo(taken);
    }

    @Test
    void aCodeCountsOnceAndNoOlderOneAfterIt() {
        long step = 1_111_111_109L / 30;
        Instant now = Instant.ofEpochSecond(1_111_111_109L);
        assertThat(TimeCodes.step(SECRET, "081804", now, step - 1)).isPresent();
        assertThat(TimeCodes.step(SECRET, "081804", now, step)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"''", "08180", "0818044", "abcdef", "０８１８０４"})
    void whatIsNoCodeIsNone(String typed) {
        assertThat(TimeCodes.step(SECRET, typed, Instant.ofEpochSecond(1_111_111_109L), 0))
                .isEmpty();
    }

    @Test
    void theAddressNamesTheAccountAndIsReadByEveryApp() {
        assertThat(TimeCodes.address(SECRET, "ilse", "Weir Street & Co"))
                .isEqualTo("otpauth://totp/Layette%20Weir%20Street%20%26%20Co:ilse?secret="
                        + "GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ&issuer=Layette%20Weir%20Street%20%26%20Co");
        assertThat(TimeCodes.spelled(SECRET)).isEqualTo("GEZD GNBV GY3T QOJQ GEZD GNBV GY3T QOJQ");
    }
}
