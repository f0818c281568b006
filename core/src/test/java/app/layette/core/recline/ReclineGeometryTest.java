package app.layette.core.recline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.entry.Fact;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.Evidence;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.fixture.SeatSheetBuilder;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.seat.SettingId;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReclineGeometryTest {
    private static ReclineGeometry seat(double theta0, double slope) {
        return new ReclineGeometry(Angle.ofDegrees(theta0), Angle.ofDegrees(slope), Length.ofMillimetres(400));
    }

    private static Length mm(double millimetres) {
        return Length.ofMillimetres(millimetres);
    }

    @ParameterizedTest
    @CsvSource({"15, 2.15", "30, 4.30", "45, 6.46", "60, 8.63", "75, 10.81", "90, 13.00"})
    void aFootTiltsTheBaseByTheArcSine(double lift, double degrees) {
        assertThat(seat(47, 0).tilt(mm(lift)).degrees()).isCloseTo(degrees, within(0.01));
    }

    @Test
    void theWorkedExample() {
        ReclineGeometry seat = seat(47, 12);
        assertThat(seat.recline(mm(20), Angle.ZERO, Angle.ZERO).degrees()).isCloseTo(37.87, within(0.01));
        assertThat(seat.baseSlope(mm(20), Depths.NONE).degrees()).isCloseTo(9.134, within(0.001));
    }

    @Test
    void moreSlopeIsNeverMoreReclinedAndMoreLiftNeverLess() {
        Random random = new Random(3);
        for (int i = 0; i < 2_000; i++) {
            double slope = random.nextDouble() * 25;
            double lift = random.nextDouble() * 500;
            ReclineGeometry seat = seat(47, slope);
            double here = seat.recline(mm(lift), Angle.ZERO, Angle.ZERO).degrees();
            double steeper = seat(47, slope + random.nextDouble() * 5)
                    .recline(mm(lift), Angle.ZERO, Angle.ZERO)
                    .degrees();
            double lifted = seat.recline(mm(lift + random.nextDouble() * 40), Angle.ZERO, Angle.ZERO)
                    .degrees();
            double noseUp = seat.recline(mm(lift), Angle.ZERO, Angle.ofDegrees(random.nextDouble() * 3))
                    .degrees();
            assertThat(steeper).isLessThanOrEqualTo(here);
            assertThat(lifted).isGreaterThanOrEqualTo(here);
            assertThat(noseUp).isLessThanOrEqualTo(here);
        }
    }

    @Test
    void aNewbornGetsTheMostReclinedSettingInsideTheBand() {
        FittingBuilder fitting = FittingBuilder.ready().without(Fact.LevelRead.class::isInstance);
        fitting.seat.theta0 = SeatSheetBuilder.stated(Angle.ofDegrees(48.3));
        // With the child in, settings at 36.1, 40.4 and 44.7 degrees are expected, band 40 to 45.
        ReclineAdvice advice = fitting.plan().recline().orElseThrow();
        assertThat(advice.recommended()).contains(new SettingId("3"));
        assertThat(advice.setting(new SettingId("2")).orElseThrow().recline().degrees())
                .isCloseTo(40.36, within(0.02));
        fitting.today = FittingBuilder.TODAY.plusDays(60);
        assertThat(fitting.plan().recline().orElseThrow().recommended())
                .as("an older child aims for the middle")
                .contains(new SettingId("2"));
    }

    @Test
    void withoutASlopeThereIsNoComputedAdvice() {
        FittingBuilder fitting = FittingBuilder.ready().without(Fact.LevelRead.class::isInstance);
        fitting.car.slope = Evidence.notLooked();
        assertThat(fitting.plan().recline()).isEmpty();
        fitting.add(new Fact.CushionMeasured(UnitId.FIRST, Angle.ofDegrees(30)));
        assertThat(fitting.plan().recline().orElseThrow().settings())
                .as("no setting reaches the band on so steep a cushion")
                .allMatch(setting -> setting.likelihood() < 0.05);
    }
}
