package app.layette.core.rules;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.condition.RecallNotice;
import app.layette.core.entry.PartialDate;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** CND-4: which seats a recall names, and until when it is open. */
class RecallNoticeTest {
    private static LocalDate day(String text) {
        return text == null ? null : LocalDate.parse(text);
    }

    private static RecallNotice notice(String from, String to) {
        return new RecallNotice(
                new UUID(0, 1),
                "WT-210",
                day(from),
                day(to),
                "it breaks",
                "another",
                Instant.parse("2026-03-02T02:30:00Z"));
    }

    /** What nobody can read off the label, and what a month leaves open, is named as soon as it may be. */
    @ParameterizedTest
    @CsvSource({
        "WT-210, 2025-03-15, 2025-03-01, 2025-03-31, true",
        "wt-210 , 2025-03-15, 2025-03-01, 2025-03-31, true",
        "WT-211, 2025-03-15, 2025-03-01, 2025-03-31, false",
        "WT-210, 2025-02-28, 2025-03-01, 2025-03-31, false",
        "WT-210, 2025-03-01, 2025-03-01, 2025-03-31, true",
        "WT-210, 2025-03-31, 2025-03-01, 2025-03-31, true",
        "WT-210, 2025-04-01, 2025-03-01, 2025-03-31, false",
        "WT-210, 2025-03, 2025-03-31, , true",
        "WT-210, 2025-03, , 2025-03-01, true",
        "WT-210, 2025-02, 2025-03-01, , false",
        "WT-210, , 2025-03-01, 2025-03-31, true",
        "WT-210, 1999-01, , , true",
        ", 2025-03, , , false"
    })
    void namesWhatItMayMean(String model, String made, String from, String to, boolean named) {
        PartialDate read = made == null ? null : PartialDate.parse(made);
        assertThat(notice(from, to).names(model, read)).isEqualTo(named);
    }

    /** It was published on the evening of the first by the clocks of the fitting point. */
    @ParameterizedTest
    @CsvSource({", 2026-03-01", "2026-02-28, 2026-03-01", "2026-03-01, ", "2026-03-05, "})
    void isOpenUntilARemedyOfItsDayOrLater(String remedied, String since) {
        Optional<LocalDate> open = RecallNotice.openSince(
                List.of(notice(null, null)),
                "WT-210",
                PartialDate.parse("2025-03"),
                Optional.ofNullable(day(remedied)),
                ZoneId.of("America/Toronto"));
        assertThat(open).isEqualTo(Optional.ofNullable(day(since)));
    }
}
