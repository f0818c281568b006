package app.layette.core.day;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FreeTimesTest {
    private static final ZoneId ZONE = ZoneId.of("America/New_York");
    private static final LocalDate MONDAY = LocalDate.of(2026, 12, 7);
    private static final List<Bay> BAYS =
            List.of(new Bay("one", false, 0), new Bay("two", false, 0), new Bay("ward", true, 20));

    private static Span span(String from, String to) {
        return new Span(LocalTime.parse(from), LocalTime.parse(to));
    }

    private static OpenHours nineToFive() {
        Map<DayOfWeek, List<Span>> weekly = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            if (day != DayOfWeek.SUNDAY) {
                weekly.put(day, List.of(span("09:00", "12:30"), span("13:30", "17:00")));
            }
        }
        return new OpenHours(
                weekly, Map.of(MONDAY.plusDays(1), List.of(), MONDAY.plusDays(6), List.of(span("10:00", "11:00"))));
    }

    private static FreeTimes times(int people, Taken... taken) {
        return new FreeTimes(nineToFive(), BAYS, AtWork.always(people), ZONE, List.of(taken));
    }

    private static Wish wish(int minutes, boolean ward, String notBefore) {
        return new Wish(minutes, ward, MONDAY, LocalTime.parse(notBefore), MONDAY.plusDays(20));
    }

    @Test
    void nobodyIsFittedOnADayOnWhichNobodyIsThereToSign() {
        AtWork.Person mondays = new AtWork.Person(Set.of(DayOfWeek.MONDAY), Optional.empty(), List.of());
        AtWork.Person away = new AtWork.Person(
                Set.of(DayOfWeek.values()),
                Optional.of(MONDAY.plusDays(8)),
                List.of(new AtWork.Away(MONDAY, MONDAY.plusDays(7))));
        AtWork people = new AtWork(List.of(mondays, away));
        assertThat(people.on(MONDAY)).isEqualTo(1);
        assertThat(people.on(MONDAY.plusDays(2))).isZero();
        assertThat(people.on(MONDAY.plusDays(7))).as("the last day off counts").isEqualTo(1);
        assertThat(people.on(MONDAY.plusDays(8)))
                .as("the certificate's last day")
                .isEqualTo(1);
        assertThat(people.on(MONDAY.plusDays(9))).as("the certificate is over").isZero();
        FreeTimes times = new FreeTimes(nineToFive(), BAYS, people, ZONE, List.of());
        assertThat(times.search(new Wish(60, false, MONDAY.plusDays(1), LocalTime.MIN, MONDAY.plusDays(20)), 1))
                .extracting(FreeTimes.Free::day)
                .containsExactly(MONDAY.plusDays(7));
    }

    @Test
    void theFirstFreeTimeIsInsideTheHoursBesideWhatIsTaken() {
        Taken first = new Taken("one", MONDAY, span("09:00", "10:15"));
        assertThat(times(3).search(wish(60, false, "00:00"), 1))
                .containsExactly(new FreeTimes.Free("one", MONDAY, span("09:00", "10:00")));
        assertThat(times(3, first).search(wish(60, false, "00:00"), 1))
                .containsExactly(new FreeTimes.Free("two", MONDAY, span("09:00", "10:00")));
        assertThat(times(1, first).search(wish(60, false, "00:00"), 1))
                .as("one person cannot be with two families")
                .containsExactly(new FreeTimes.Free("one", MONDAY, span("10:15", "11:15")));
        assertThat(times(3).search(wish(60, false, "11:40"), 1))
                .as("not over the pause")
                .containsExactly(new FreeTimes.Free("one", MONDAY, span("13:30", "14:30")));
        assertThat(times(3).search(wish(60, false, "16:10"), 1))
                .as("the next day is closed")
                .containsExactly(new FreeTimes.Free("one", MONDAY.plusDays(2), span("09:00", "10:00")));
    }

    @Test
    void theWayToTheWardIsCounted() {
        assertThat(times(1).search(wish(30, true, "00:00"), 1))
                .containsExactly(new FreeTimes.Free("ward", MONDAY, span("09:30", "10:00")));
        Taken there = new Taken("ward", MONDAY, span("09:30", "10:00"));
        assertThat(times(1, there).search(wish(30, false, "00:00"), 1))
                .as("whoever is on the way is with nobody else")
                .containsExactly(new FreeTimes.Free("one", MONDAY, span("10:30", "11:00")));
    }

    @Test
    void nothingIsFoundWhereNothingFits() {
        assertThat(times(0).search(wish(15, false, "00:00"), 5)).isEmpty();
        assertThat(times(3).search(wish(240, false, "00:00"), 5)).isEmpty();
        assertThat(times(3).search(new Wish(30, false, MONDAY.plusDays(6), LocalTime.MIN, MONDAY.plusDays(6)), 9))
                .hasSize(3)
                .allSatisfy(free -> assertThat(free.day()).isEqualTo(MONDAY.plusDays(6)));
    }

    /** Both changes of the year, where they fall in opening hours: the clock's times hold, skipped ones are not offered. */
    @ParameterizedTest
    @CsvSource({
        "America/New_York, 2027-03-14, 02:00",
        "America/New_York, 2026-11-01, 01:00",
        "Europe/Berlin, 2027-03-28, 02:00",
        "Europe/Berlin, 2026-10-25, 02:00",
        "Australia/Lord_Howe, 2026-10-04, 02:00",
        "Australia/Lord_Howe, 2027-04-04, 01:30"
    })
    void theChangesOfTheClock(String zone, LocalDate day, LocalTime around) {
        ZoneId place = ZoneId.of(zone);
        OpenHours always = new OpenHours(Map.of(), Map.of(day, List.of(span("00:00", "08:00"))));
        FreeTimes times = new FreeTimes(always, List.of(BAYS.get(0)), AtWork.always(1), place, List.of());
        List<FreeTimes.Free> all = times.search(new Wish(60, false, day, LocalTime.MIN, day), 100);
        assertThat(all).isNotEmpty().allSatisfy(free -> {
            assertThat(place.getRules().getValidOffsets(day.atTime(free.span().from())))
                    .as("a time that there is")
                    .isNotEmpty();
            assertThat(Duration.between(
                                    day.atTime(free.span().from()).atZone(place),
                                    day.atTime(free.span().to()).atZone(place).withLaterOffsetAtOverlap())
                            .toMinutes())
                    .as("%s", free)
                    .isGreaterThanOrEqualTo(60);
        });
        assertThat(all).extracting(free -> free.span().from()).contains(LocalTime.of(6, 0), LocalTime.of(0, 0));
        assertThat(around).isBefore(LocalTime.of(8, 0));
    }

    /** Whatever is booked one after the other never meets in a bay, and never asks for more people than there are. */
    @Test
    void nobodyIsEverTwiceInOneBay() {
        Random random = new Random(18);
        List<Taken> taken = new ArrayList<>();
        for (int i = 0; i < 120; i++) {
            Wish wish = new Wish(
                    15 * (1 + random.nextInt(6)),
                    random.nextInt(5) == 0,
                    MONDAY.plusDays(random.nextInt(6)),
                    LocalTime.MIN,
                    MONDAY.plusDays(30));
            List<FreeTimes.Free> free = new FreeTimes(nineToFive(), BAYS, AtWork.always(2), ZONE, taken)
                    .search(wish, 1 + random.nextInt(4));
            free.stream()
                    .reduce((one, other) -> other)
                    .ifPresent(last -> taken.add(new Taken(last.bay(), last.day(), last.span())));
        }
        assertThat(taken).hasSizeGreaterThan(100);
        for (Taken one : taken) {
            long atOnce = taken.stream()
                    .filter(other -> other.day().equals(one.day())
                            && !other.span().from().isAfter(one.span().from())
                            && other.span().to().isAfter(one.span().from()))
                    .count();
            assertThat(atOnce).isLessThanOrEqualTo(2);
            assertThat(taken.stream()
                            .filter(other -> other != one
                                    && other.bay().equals(one.bay())
                                    && other.day().equals(one.day()))
                            .noneMatch(other -> other.span().overlaps(one.span())))
                    .isTrue();
        }
    }
}
