package app.layette.core.recline;

import static app.layette.core.fixture.SeatSheetBuilder.mm;
import static app.layette.core.fixture.SeatSheetBuilder.silent;
import static app.layette.core.fixture.SeatSheetBuilder.stated;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.AngleSource;
import app.layette.core.entry.Fact.RollKind;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.measure.Angle;
import app.layette.core.recline.ReclineAdvice.Basis;
import app.layette.core.recline.ReclineAdvice.PressPoint;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.Indicator.Band;
import app.layette.core.seat.Indicator.Borders;
import app.layette.core.seat.Indicator.Kind;
import app.layette.core.seat.Indicator.Mount;
import app.layette.core.seat.Indicator.Pass;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.seat.Recline;
import app.layette.core.seat.Recline.DeviceKind;
import app.layette.core.seat.Recline.Step;
import app.layette.core.seat.SettingId;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition.Firmness;
import app.layette.core.vehicle.Side;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Advice out of a fitting's entries. */
class ReclineAdviceTest {
    private static FittingBuilder fresh() {
        return FittingBuilder.ready().without(Fact.LevelRead.class::isInstance);
    }

    private static ReclineAdvice advice(FittingBuilder fitting) {
        return fitting.plan().recline().orElseThrow();
    }

    private static FittingBuilder look(FittingBuilder fitting, Stage stage, Reading reading) {
        return fitting.add(new Fact.LevelRead(UnitId.FIRST, stage, reading));
    }

    @Test
    void looksNarrowTheSpreadAndMoveTheAdvice() {
        FittingBuilder fitting = fresh();
        fitting.add(new Fact.DeviceSet(UnitId.FIRST, new SettingId("2")));
        ReclineAdvice before = advice(fitting);
        assertThat(before.looks()).isZero();
        ReclineAdvice after = advice(look(fitting, Stage.PRESSED, Reading.OUTSIDE_UPRIGHT));
        assertThat(after.looks()).isEqualTo(1);
        assertThat(after.setting(new SettingId("3")).orElseThrow().spread())
                .isLessThan(before.setting(new SettingId("3")).orElseThrow().spread());
        assertThat(after.recommended()).contains(new SettingId("3"));
        ReclineAdvice twice = advice(
                fitting.add(new Fact.AngleRead(UnitId.FIRST, Stage.PRESSED, Angle.ofDegrees(36.5), AngleSource.LEVEL)));
        assertThat(twice.looks()).isEqualTo(2);
        assertThat(twice.setting(new SettingId("3")).orElseThrow().spread())
                .isLessThan(after.setting(new SettingId("3")).orElseThrow().spread());
    }

    @Test
    void aSimulatedGaugeTeachesTheAdviceAndPassesNothing() {
        FittingBuilder fitting = fresh();
        fitting.add(
                new How(How.Kind.SIMULATED, ""),
                new Fact.AngleRead(UnitId.FIRST, Stage.CHILD, Angle.ofDegrees(43), AngleSource.GAUGE));
        assertThat(advice(fitting).looks()).isEqualTo(1);
        assertThat(fitting.plan().mayHandOver()).isFalse();
    }

    @Test
    void anotherPlaceIsAnotherCushion() {
        FittingBuilder fitting = fresh();
        look(fitting, Stage.PRESSED, Reading.OUTSIDE_UPRIGHT);
        fitting.add(new Fact.Placed(UnitId.FIRST, new PositionId(2, Side.LEFT), Method.BASE_FLEXIBLE_ANCHORS));
        fitting.add(new Fact.CushionMeasured(UnitId.FIRST, Angle.ofDegrees(10)));
        assertThat(advice(fitting).looks()).isZero();
    }

    @Test
    void aLevelOnTheCushionHasTheGroundsSlopeInIt() {
        FittingBuilder fitting = fresh();
        fitting.add(new Fact.GroundMeasured(UnitId.FIRST, Angle.ofDegrees(2)));
        fitting.add(new Fact.CushionMeasured(UnitId.FIRST, Angle.ofDegrees(14)));
        assertThat(ReclineSetUp.cushionSlope(fitting.plan().situation()).orElseThrow())
                .isEqualTo(Angle.ofDegrees(12));
    }

    @Test
    void whenNothingReachesTheBandItSaysWhatWould() {
        FittingBuilder fitting = fresh();
        fitting.seat.theta0 = stated(Angle.ofDegrees(38));
        fitting.seat.says(PermissionKey.TOWEL, Said.ALLOWED);
        assertThat(advice(fitting).outOfReach()).as("not before a look").isFalse();
        ReclineAdvice advice = advice(look(fitting, Stage.PRESSED, Reading.OUTSIDE_UPRIGHT));
        assertThat(advice.outOfReach()).isTrue();
        assertThat(advice.waysOut())
                .extracting(WayOut::kind)
                .containsExactly(WayOut.Kind.ROLL, WayOut.Kind.OTHER_METHOD_OR_SEAT);
        // 8° more at L 400 on top of 60 mm.
        assertThat(advice.waysOut().get(0).lift().orElseThrow().millimetres()).isCloseTo(56, within(12.0));
        fitting.seat.says(PermissionKey.TOWEL, Said.NOT_ALLOWED).says(PermissionKey.NOODLE, Said.NOT_ALLOWED);
        assertThat(advice(fitting).waysOut())
                .extracting(WayOut::kind)
                .containsExactly(WayOut.Kind.OTHER_METHOD_OR_SEAT);
    }

    @ParameterizedTest
    @CsvSource({
        "WHOLLY_INSIDE, 37.9, OUTSIDE_UPRIGHT",
        "WHOLLY_INSIDE, 38, PART_UPRIGHT",
        "WHOLLY_INSIDE, 40, INSIDE",
        "WHOLLY_INSIDE, 44.9, INSIDE",
        "WHOLLY_INSIDE, 45, PART_RECLINED",
        "WHOLLY_INSIDE, 47, OUTSIDE_RECLINED",
        "ANY_PART, 39.9, OUTSIDE_UPRIGHT",
        "ANY_PART, 40, PART_UPRIGHT",
        "ANY_PART, 42.5, INSIDE",
        "ANY_PART, 43.5, PART_RECLINED",
        "ANY_PART, 45, OUTSIDE_RECLINED"
    })
    void whatTheIndicatorShows(Pass pass, double recline, Reading reading) {
        Indicator indicator = new Indicator(Kind.BUBBLE, Mount.CARRIER, pass, List.of());
        IndicatorZones zones = new IndicatorZones(indicator, new Borders(Angle.ofDegrees(40), Angle.ofDegrees(45)));
        assertThat(zones.reading(Angle.ofDegrees(recline))).isEqualTo(reading);
        assertThat(zones.zone(reading).contains(Angle.ofDegrees(recline))).isTrue();
        assertThat(indicator.passes(reading)).isEqualTo(zones.passing().contains(Angle.ofDegrees(recline)));
    }

    @ParameterizedTest
    @EnumSource(Mount.class)
    void anIndicatorOnTheBaseDoesNotSeeTheSlide(Mount mount) {
        FittingBuilder fitting = fresh();
        fitting.seat.theta0 = stated(Angle.ofDegrees(54));
        fitting.seat.device = stated(new Recline.Device(
                DeviceKind.SLIDE,
                List.of(
                        new Step(new SettingId("I"), null, Angle.ZERO),
                        new Step(new SettingId("II"), null, Angle.ofDegrees(6)))));
        fitting.seat.indicator = stated(new Indicator(
                Kind.BUBBLE,
                mount,
                Pass.WHOLLY_INSIDE,
                List.of(new Band(null, Angle.ofDegrees(40), Angle.ofDegrees(45)))));
        ReclineAdvice advice = advice(fitting);
        double first = advice.setting(new SettingId("I")).orElseThrow().likelihood();
        double second = advice.setting(new SettingId("II")).orElseThrow().likelihood();
        assertThat(advice.setting(new SettingId("II")).orElseThrow().recline().degrees()
                        - advice.setting(new SettingId("I"))
                                .orElseThrow()
                                .recline()
                                .degrees())
                .isCloseTo(6, within(1e-9));
        if (mount == Mount.BASE) {
            assertThat(second).isEqualTo(first);
        } else {
            assertThat(second).isLessThan(first);
        }
    }

    @Test
    void aDialStandsBetweenItsMarksToo() {
        FittingBuilder fitting = fresh();
        fitting.seat.device = stated(new Recline.Device(
                DeviceKind.DIAL,
                List.of(new Step(new SettingId("0"), mm(0), null), new Step(new SettingId("1"), mm(20), null))));
        assertThat(advice(fitting).settings())
                .extracting(each -> each.name().text())
                .containsExactly("0", "½", "1");
        assertThat(advice(fitting).setting(new SettingId("½")).orElseThrow().lift())
                .isEqualTo(mm(10));
    }

    /** REC-6: what a document leaves out of a roll is not made up. */
    @ParameterizedTest
    @EnumSource(RollKind.class)
    void aRollWithoutItsMeasuresIsNone(RollKind kind) {
        assertThat(ReclineSetUp.roll(
                        new Fact.RollPlaced(UnitId.FIRST, kind, null, Fact.Softness.FIRM, null, null, null, null)))
                .isEmpty();
    }

    @Test
    void withoutADeviceARollSetsTheAngle() {
        FittingBuilder fitting = fresh();
        fitting.seat.theta0 = stated(Angle.ofDegrees(50));
        fitting.seat.device = stated(new Recline.Device(DeviceKind.NONE, List.of()));
        ReclineAdvice none = advice(fitting);
        assertThat(none.byRoll()).isTrue();
        assertThat(none.settingNow()).contains(new SettingId("0"));
        assertThat(none.recommended())
                .hasValueSatisfying(
                        name -> assertThat(Integer.parseInt(name.text())).isBetween(20, 60));
        fitting.add(new Fact.RollPlaced(
                UnitId.FIRST, RollKind.NOODLE, mm(65), Fact.Softness.FIRM, null, null, null, false));
        ReclineAdvice noodle = advice(fitting);
        assertThat(noodle.settingNow()).contains(new SettingId("60"));
        look(fitting, Stage.CHILD, Reading.INSIDE);
        assertThat(advice(fitting).looks()).isEqualTo(1);
    }

    @Test
    void theLegOfARigidBaseSetsTheAngleAndNoPressDoes() {
        FittingBuilder fitting = fresh();
        fitting.seat.theta0 = stated(Angle.ofDegrees(42.5));
        fitting.seat.arms = stated(new Recline.Arms(mm(-60), mm(40), mm(430), mm(20)));
        fitting.seat.device = stated(new Recline.Device(
                DeviceKind.LEG,
                List.of(
                        new Step(new SettingId("3"), null, null, mm(330)),
                        new Step(new SettingId("2"), null, null, mm(310)))));
        assertThat(fitting.plan().recline())
                .as("nobody knows how high the anchors are")
                .isEmpty();
        fitting.car.anchorHeight = stated(mm(330));
        ReclineAdvice advice = advice(fitting);
        assertThat(advice.setting(new SettingId("2")).orElseThrow().recline().degrees())
                .isCloseTo(42.5, within(0.01));
        assertThat(advice.setting(new SettingId("3")).orElseThrow().recline().degrees())
                .isLessThan(42.5);
        assertThat(advice.press()).isEmpty();
    }

    @Test
    void zonesThatAreOnlyRelativeStepAndLook() {
        FittingBuilder fitting = fresh();
        fitting.seat.indicator = stated(
                new Indicator(Kind.POINTER, Mount.CARRIER, Pass.WHOLLY_INSIDE, List.of(new Band(null, null, null))));
        assertThat(advice(fitting).basis()).isEqualTo(Basis.STEP_AND_LOOK);
        assertThat(advice(fitting.without(Fact.DeviceSet.class::isInstance)).recommended())
                .as("most reclined first")
                .contains(new SettingId("3"));
        fitting.add(new Fact.DeviceSet(UnitId.FIRST, new SettingId("3")));
        look(fitting, Stage.PRESSED, Reading.OUTSIDE_RECLINED);
        assertThat(advice(fitting).recommended()).contains(new SettingId("2"));
        assertThat(advice(fitting).outOfReach()).isFalse();
    }

    @Test
    void withoutAnyIndicatorTheBandIsAdviceOnly() {
        FittingBuilder fitting = fresh();
        fitting.seat.indicator = silent();
        assertThat(advice(fitting).basis()).isEqualTo(Basis.ADVICE_BAND);
        assertThat(advice(fitting).band().orElseThrow().from()).isEqualTo(Angle.ofDegrees(30));
        fitting.seat.theta0 = Evidence.notLooked();
        assertThat(fitting.plan().recline()).isEmpty();
    }

    @Test
    void aSoftCushionIsPressedWhereItHelps() {
        FittingBuilder fitting = fresh();
        fitting.car.firmness = stated(Firmness.SOFT);
        fitting.seat.device =
                stated(new Recline.Device(DeviceKind.FOOT, List.of(new Step(new SettingId("1"), mm(60), null))));
        fitting.seat.theta0 = stated(Angle.ofDegrees(41));
        assertThat(advice(fitting).press()).contains(PressPoint.HEAD_END);
        fitting.seat.theta0 = stated(Angle.ofDegrees(52));
        assertThat(advice(fitting).press()).contains(PressPoint.FOOT_END);
        fitting.seat.theta0 = stated(Angle.ofDegrees(46));
        assertThat(advice(fitting).press()).contains(PressPoint.MIDDLE);
    }

    @Test
    void moreSlopeIsNeverMoreReclinedAndMoreLiftNeverLess() {
        Random random = new Random(99);
        for (int run = 0; run < 60; run++) {
            FittingBuilder fitting = fresh();
            fitting.car.firmness = stated(Firmness.values()[random.nextInt(3)]);
            double slope = 3 + 15 * random.nextDouble();
            fitting.car.slope = stated(Angle.ofDegrees(slope));
            ReclineAdvice here = advice(fitting);
            fitting.car.slope = stated(Angle.ofDegrees(slope + 4 * random.nextDouble()));
            ReclineAdvice steeper = advice(fitting);
            double last = -90;
            for (int i = 0; i < here.settings().size(); i++) {
                assertThat(steeper.settings().get(i).recline())
                        .isLessThanOrEqualTo(here.settings().get(i).recline());
                assertThat(here.settings().get(i).recline().degrees()).isGreaterThan(last);
                last = here.settings().get(i).recline().degrees();
                assertThat(here.settings().get(i).likelihood()).isBetween(0.0, 1.0);
            }
        }
    }
}
