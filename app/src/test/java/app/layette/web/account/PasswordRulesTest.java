package app.layette.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PasswordRulesTest {
    @ParameterizedTest
    @CsvSource({
        "short, PASSWORD_SHORT",
        "elevenchars, PASSWORD_SHORT",
        "passwordpassword, PASSWORD_COMMON",
        "Password1234!, PASSWORD_COMMON",
        "thread-and-thimble, PASSWORD_COMMON",
        "aaaaaaaaaaaaaa, PASSWORD_COMMON",
        "abcabcabcabcabc, PASSWORD_COMMON",
        "123456789012, PASSWORD_COMMON",
        "marit-12345-marit, PASSWORD_NAMED",
        "Weirstreet2026, PASSWORD_NAMED",
        "seven damp mittens, ",
        "Ärmelschoner im Regen, ",
    })
    void takesWhatIsLongAndNotWhatIsTriedFirst(String password, String reason) {
        assertThat(PasswordRules.refuse(password, List.of("marit", "Marit", "Weir Street"))
                        .orElse(null))
                .isEqualTo(reason);
    }

    @ParameterizedTest
    @CsvSource({"72, false", "73, true"})
    void looksAtNoMoreThanTheHashDoes(int bytes, boolean refused) {
        String password = "seven damp mittens ".repeat(5).substring(0, bytes - 1) + "x";
        assertThat(PasswordRules.refuse(password, List.of()).isPresent()).isEqualTo(refused);
    }
}
