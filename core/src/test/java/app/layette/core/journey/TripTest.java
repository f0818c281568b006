package app.layette.core.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.layette.core.child.Child;
import app.layette.core.fixture.FittingBuilder;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TripTest {
    /** JRN-1: what somebody laid longer than allowed is marked; what is laid within it is not. */
    @Test
    void aLegThatWasLaidTooLongIsMarked() {
        Trip trip = Trip.laid(
                List.of(Duration.ofMinutes(30), Duration.ofMinutes(45)),
                Duration.ofMinutes(30),
                Duration.ofMinutes(20));
        assertThat(trip.isTooLong(trip.legs().get(0))).isFalse();
        assertThat(trip.isTooLong(trip.legs().get(1))).isTrue();
        assertThat(trip.tooLong()).isEqualTo(1);
        assertThat(trip.total()).isEqualTo(Duration.ofMinutes(95));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Trip.laid(List.of(), Duration.ofMinutes(30), Duration.ZERO));
    }

    private static final LocalDate TODAY = FittingBuilder.TODAY;

    @ParameterizedTest
    @CsvSource({
        // driving, at most, stop, legs, total; in minutes
        "20, 30, 20, 1, 20",
        "30, 30, 20, 1, 30",
        "31, 30, 20, 2, 51",
        "100, 30, 15, 4, 145",
        "360, 120, 30, 3, 420",
        "361, 120, 30, 4, 451"
    })
    void theLegsAreAsFewAsTheLimitAllows(int driving, int atMost, int stop, int legs, int total) {
        Trip trip = Trip.plan(Duration.ofMinutes(driving), Duration.ofMinutes(atMost), Duration.ofMinutes(stop));
        assertThat(trip.legs()).hasSize(legs).allMatch(leg -> leg.driving().toMinutes() <= atMost);
        assertThat(trip.stops()).isEqualTo(legs - 1);
        assertThat(trip.total()).isEqualTo(Duration.ofMinutes(total));
        assertThat(trip.legs().stream()
                        .mapToLong(leg -> leg.driving().toMinutes())
                        .sum())
                .isEqualTo(driving);
    }

    @ParameterizedTest
    @CsvSource({"27, 280, 30", "28, 280, 120", "27, , 30", "62, 245, 30", "63, 245, 120"})
    void correctedAgeDecides(int days, Integer gestation, int minutes) {
        OptionalInt known = gestation == null ? OptionalInt.empty() : OptionalInt.of(gestation);
        Child child = new Child(TODAY.minusDays(days), known, Optional.empty(), Optional.empty());
        assertThat(Trip.atMost(child, TODAY, FittingBuilder.ready().practice().profile()))
                .isEqualTo(Duration.ofMinutes(minutes));
    }

    @ParameterizedTest
    @CsvSource({"0, 20", "1441, 20", "60, -1", "60, 241"})
    void whatNobodyDrivesIsRefused(int driving, int stop) {
        assertThatIllegalArgumentException()
                .isThrownBy(
                        () -> Trip.plan(Duration.ofMinutes(driving), Duration.ofMinutes(30), Duration.ofMinutes(stop)));
    }

    @Test
    void aLegBeginsWhereTheStopEnds() {
        Trip trip = Trip.plan(Duration.ofMinutes(50), Duration.ofMinutes(30), Duration.ofMinutes(10));
        assertThat(trip.legs())
                .containsExactly(
                        new Trip.Leg(Duration.ZERO, Duration.ofMinutes(25)),
                        new Trip.Leg(Duration.ofMinutes(35), Duration.ofMinutes(60)));
    }
}
