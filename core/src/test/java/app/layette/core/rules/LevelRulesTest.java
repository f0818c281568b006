package app.layette.core.rules;

import static app.layette.core.finding.Weight.FIX;
import static app.layette.core.finding.Weight.HOLDS;
import static app.layette.core.finding.Weight.NOT_KNOWN;
import static app.layette.core.fixture.SeatSheetBuilder.stated;
import static app.layette.core.rules.RuleCase.row;

import app.layette.core.entry.Fact;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.Evidence;
import app.layette.core.finding.Argument;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Mass;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.seat.WeightBand;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The ground and the level with the child in: REC-1 and REC-3. */
class LevelRulesTest {
    static Stream<RuleCase> recline() {
        return Stream.of(
                row("REC-1", "bubble between the lines", f -> f.level(Reading.INSIDE), HOLDS, "inBand"),
                row(
                        "REC-1",
                        "half out does not pass a whole-inside seat",
                        f -> f.level(Reading.PART_UPRIGHT),
                        FIX,
                        "tooUpright",
                        "reading",
                        new Argument.OfKey("reading.BUBBLE.PART_UPRIGHT")),
                row(
                        "REC-1",
                        "half out passes where any part is enough",
                        f -> {
                            anyPart(f);
                            f.level(Reading.PART_RECLINED);
                        },
                        HOLDS,
                        "inBand"),
                row(
                        "REC-1",
                        "outside never passes",
                        f -> {
                            anyPart(f);
                            f.level(Reading.OUTSIDE_RECLINED);
                        },
                        FIX,
                        "tooReclined"),
                row(
                        "REC-1",
                        "nobody knows the indicator",
                        f -> f.seat.indicator = Evidence.notLooked(),
                        NOT_KNOWN,
                        "indicatorNotKnown"),
                row("REC-1", "no band for this weight", LevelRulesTest::bandFromTwentyPounds, NOT_KNOWN, "noBand"),
                row(
                        "REC-3",
                        "one degree is fine",
                        f -> ground(f, -1),
                        HOLDS,
                        "levelByAngle",
                        "pitch",
                        Angle.ofDegrees(-1)),
                row("REC-3", "two degrees are provisional and do not pass", f -> ground(f, 2), FIX, "provisional"),
                row("REC-3", "three degrees are still provisional", f -> ground(f, 3), FIX, "provisional"),
                row("REC-3", "beyond three there is no reading", f -> ground(f, 3.1), FIX, "refused"));
    }

    static Stream<RuleCase> cases() {
        return recline();
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("cases")
    void rule(RuleCase each) {
        each.check();
    }

    private static void ground(FittingBuilder fitting, double degrees) {
        fitting.add(new Fact.GroundMeasured(UnitId.FIRST, Angle.ofDegrees(degrees)));
    }

    private static void anyPart(FittingBuilder fitting) {
        fitting.seat.indicator = stated(new Indicator(
                Indicator.Kind.BUBBLE,
                Indicator.Mount.BASE,
                Indicator.Pass.ANY_PART,
                List.of(new Indicator.Band(null, null, null))));
    }

    private static void bandFromTwentyPounds(FittingBuilder fitting) {
        fitting.seat.indicator = stated(new Indicator(
                Indicator.Kind.BUBBLE,
                Indicator.Mount.BASE,
                Indicator.Pass.WHOLLY_INSIDE,
                List.of(new Indicator.Band(new WeightBand(Mass.ofPounds(20), null), null, null))));
    }
}
