package app.layette.formats.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.formats.calendar.FollowUps.FollowUp;
import java.io.IOException;
import java.io.StringReader;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Period;
import java.util.List;
import java.util.Optional;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FollowUpsTest {
    private static final Instant NOW = Instant.parse("2026-11-25T10:00:00Z");

    private static FollowUp slot(String day, int revision) {
        return new FollowUp(
                "f1.date.NEXT_SLOT",
                LocalDate.parse(day),
                "W-1: next slot; look, then move",
                "likely 17 Jan",
                revision,
                Optional.empty());
    }

    private static String again(Period every, LocalDate until) {
        FollowUp inch = new FollowUp(
                "f1.date.MONTHLY_INCH_TEST",
                LocalDate.parse("2026-12-31"),
                "Inch test",
                "",
                1,
                Optional.of(new FollowUps.Repeat(every, until)));
        return FollowUps.of(List.of(inch), NOW);
    }

    /** What comes again is one event with a rule, and it ends with the restraint. */
    @ParameterizedTest
    @CsvSource({
        "P1M, 2027-06-01, FREQ=MONTHLY;UNTIL=20270601;INTERVAL=1",
        "P30D, 2027-06-01, FREQ=DAILY;UNTIL=20270601;INTERVAL=30",
        "P1M, , FREQ=MONTHLY;UNTIL=20281231;INTERVAL=1",
        "P1M, 2026-01-01, FREQ=MONTHLY;UNTIL=20261231;INTERVAL=1"
    })
    void whatComesAgainEndsWithTheRestraint(Period every, LocalDate until, String rule) throws Exception {
        String text = again(every, until);
        assertThat(text).contains("RRULE:" + rule);
        assertThat(new CalendarBuilder().build(new StringReader(text)).getComponents())
                .hasSize(1);
    }

    @Test
    void aWholeDayWithAStableIdThatAReaderCanRead() throws IOException, ParserException {
        String text = FollowUps.of(List.of(slot("2027-01-11", 7)), NOW);
        assertThat(text)
                .contains("DTSTART;VALUE=DATE:20270111", "UID:f1.date.NEXT_SLOT@layette.invalid", "SEQUENCE:7")
                .contains("SUMMARY:W-1: next slot\\; look\\, then move");
        Calendar read = new CalendarBuilder().build(new StringReader(text));
        assertThat(read.getComponents()).hasSize(1);
    }

    /** The same follow-up on another day is an update, not a second one. */
    @Test
    void movedItKeepsItsId() {
        String before = FollowUps.of(List.of(slot("2027-01-11", 7)), NOW);
        String after = FollowUps.of(List.of(slot("2027-01-05", 8)), NOW.plusSeconds(60));
        assertThat(line(after, "UID")).isEqualTo(line(before, "UID"));
        assertThat(line(after, "SEQUENCE")).isNotEqualTo(line(before, "SEQUENCE"));
    }

    private static String line(String text, String name) {
        return text.lines().filter(each -> each.startsWith(name)).findFirst().orElseThrow();
    }
}
