package app.layette.formats.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AppointmentCalendarTest {
    /** Nine o'clock at the fitting point stays nine o'clock on both sides of each change of the clock. */
    @ParameterizedTest
    @CsvSource({
        "America/Toronto, 2027-03-12T09:00, 20270312T140000Z",
        "America/Toronto, 2027-03-15T09:00, 20270315T130000Z",
        "America/Toronto, 2026-11-02T09:00, 20261102T140000Z",
        "Europe/Berlin, 2027-03-26T09:00, 20270326T080000Z",
        "Europe/Berlin, 2027-03-29T09:00, 20270329T070000Z",
        "Australia/Lord_Howe, 2027-04-02T09:00, 20270401T220000Z",
        "Australia/Lord_Howe, 2027-04-05T09:00, 20270404T223000Z"
    })
    void nineStaysNine(String zone, LocalDateTime from, String utc) {
        assertThat(written(from, zone, 0, false)).contains("DTSTART:" + utc);
    }

    /** The same appointment keeps its id and counts its changes; one that is off is taken off. */
    @ParameterizedTest
    @CsvSource({"0, false, PUBLISH, CONFIRMED", "3, false, PUBLISH, CONFIRMED", "4, true, CANCEL, CANCELLED"})
    void aChangeUpdatesWhatIsThere(int revision, boolean off, String method, String status) {
        assertThat(written(LocalDateTime.of(2027, 1, 4, 9, 0), "America/Toronto", revision, off))
                .contains("UID:one@layette.invalid", "SEQUENCE:" + revision, "METHOD:" + method, "STATUS:" + status);
    }

    private static String written(LocalDateTime from, String zone, int revision, boolean off) {
        ZoneId there = ZoneId.of(zone);
        return AppointmentCalendar.of(
                new AppointmentCalendar.Event(
                        "one",
                        from.atZone(there),
                        from.plusHours(1).atZone(there),
                        "a title",
                        "the seat",
                        revision,
                        off),
                Instant.parse("2026-10-01T00:00:00Z"));
    }
}
