package app.layette.web.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.entry.Author;
import app.layette.web.account.TestUsers;
import app.layette.web.account.User;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Who signs on which day: by role and certificate, never by one of them alone. */
class SignersTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 12, 2);

    /** As written in the tables: name, role, last day of the certificate or nothing. */
    private static User person(String text) {
        String[] parts = text.strip().split(" ");
        User user = TestUsers.user(parts[0], Author.Role.valueOf(parts[1]));
        LocalDate last = parts.length > 2 ? LocalDate.parse(parts[2]) : null;
        return user.become(parts[0], Author.Role.valueOf(parts[1]), null, last);
    }

    private static Signers signers(String people) {
        return new Signers(
                Arrays.stream(people.split(",")).map(SignersTest::person).toList(), TODAY, TODAY);
    }

    @ParameterizedTest
    @CsvSource({
        "marit TECHNICIAN, SIGNS, 1",
        "marit TECHNICIAN 2026-12-02, SIGNS_UNTIL, 0.0018",
        "marit TECHNICIAN 2026-12-01, OVER, 0",
        "ilse LEAD 2026-12-01, OVER, 0",
        "ilse LEAD 2027-09-01, SIGNS_UNTIL, 0.5",
        "ilse LEAD 2031-01-01, SIGNS_UNTIL, 1",
        "pim TRAINEE, ENTERS, 0",
        "pim TRAINEE 2030-01-01, ENTERS, 0"
    })
    void signsByRoleAndCertificate(String who, Signers.Hand hand, double share) {
        Signers signers = signers(who);
        User one = signers.people().get(0);
        assertThat(signers.hand(one)).isEqualTo(hand);
        assertThat(signers.share(one)).isCloseTo(share, within(0.002));
        assertThat(signers.signing().contains(one)).isEqualTo(share > 0);
    }

    @Test
    void whoIsRetiredSignsNothingWhateverTheCertificateSays() {
        User gone = person("tove TECHNICIAN 2030-01-01").retire(Instant.EPOCH);
        Signers signers = new Signers(List.of(gone), TODAY, TODAY);
        assertThat(signers.hand(gone)).isEqualTo(Signers.Hand.RETIRED);
        assertThat(signers.nobodyFrom()).contains(TODAY);
    }

    @ParameterizedTest
    @CsvSource(nullValues = "-", delimiter = '|', textBlock = """
            marit TECHNICIAN 2027-03-01, tove TECHNICIAN 2027-01-10                  | tove  | 2027-03-02
            marit TECHNICIAN 2027-03-01, ilse LEAD                                   | marit | -
            marit TECHNICIAN 2026-11-30, pim TRAINEE                                 | -     | 2026-12-02
            marit TECHNICIAN 2026-12-02                                              | marit | 2026-12-03
            pim TRAINEE 2027-03-01                                                   | -     | 2026-12-02
            """)
    void whoseCertificateIsNextAndFromWhenNobodySigns(String people, String next, LocalDate nobody) {
        Signers signers = signers(people);
        assertThat(signers.next().map(User::name).orElse(null)).isEqualTo(next);
        assertThat(signers.nobodyFrom().orElse(null)).isEqualTo(nobody);
    }

    /** Where it is already the next day, the last one is not over everywhere: the page says what the signature does. */
    @Test
    void aCertificateCountsAsItDoesWhenSomebodySigns() {
        User marit = person("marit TECHNICIAN 2026-12-01");
        assertThat(new Signers(List.of(marit), TODAY, TODAY.minusDays(1)).signing())
                .containsExactly(marit);
        assertThat(new Signers(List.of(marit), TODAY, TODAY).signing()).isEmpty();
        Clock evening = Clock.fixed(Instant.parse("2026-12-02T11:59:00Z"), ZoneOffset.UTC);
        assertThat(User.certificatesDay(evening)).isEqualTo(TODAY.minusDays(1));
        assertThat(User.certificatesDay(Clock.offset(evening, Duration.ofMinutes(1))))
                .isEqualTo(TODAY);
    }
}
