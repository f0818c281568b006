package app.layette.core.rules;

import static app.layette.core.finding.Weight.FIX;
import static app.layette.core.finding.Weight.HOLDS;
import static app.layette.core.finding.Weight.NOT_KNOWN;
import static app.layette.core.finding.Weight.STOP;
import static app.layette.core.fixture.SeatSheetBuilder.mm;
import static app.layette.core.fixture.SeatSheetBuilder.stated;
import static app.layette.core.rules.RuleCase.row;

import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.PageSays;
import app.layette.core.entry.Fact.RollKind;
import app.layette.core.entry.Question;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Argument;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.measure.Angle;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SettingId;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** REC-3 by sills, lean and two sides; REC-6, what may be rolled up under the foot end. */
class ReclineRulesTest {
    static Stream<RuleCase> cases() {
        return Stream.of(ground(), rolls()).flatMap(each -> each);
    }

    private static Stream<RuleCase> ground() {
        return Stream.of(
                row(
                        "REC-3",
                        "sill readings 2.4 and 1.6 with the car turned round: the ground slopes 0.4",
                        f -> sills(f, 2.4, 1.6),
                        HOLDS,
                        "levelByAngle",
                        "pitch",
                        Angle.ofDegrees((2.4 - 1.6) / 2)),
                row("REC-3", "sill readings 3 and −1: the ground slopes 2", f -> sills(f, 3, -1), FIX, "provisional"),
                row("REC-3", "sill readings 6 and −2: the ground slopes 4", f -> sills(f, 6, -2), FIX, "refused"),
                row(
                        "REC-3",
                        "the sills were read after the ground was measured",
                        f -> {
                            f.add(new Fact.GroundMeasured(UnitId.FIRST, Angle.ofDegrees(5)));
                            sills(f, 1, 1);
                        },
                        HOLDS,
                        "levelByAngle"),
                row("REC-3", "leaning 3.1 sideways", f -> lean(f, -3.1), FIX, "leans", "lean", Angle.ofDegrees(-3.1)),
                row("REC-3", "leaning 3 sideways is still fine", f -> lean(f, 3), HOLDS, "level"),
                row("REC-3", "the two sides differ", f -> f.answer(Question.SIDES, "DIFFER"), FIX, "sidesDiffer"),
                row(
                        "REC-3",
                        "one side read again after the sides differed",
                        f -> {
                            f.answer(Question.SIDES, "DIFFER");
                            f.level(Reading.INSIDE);
                        },
                        FIX,
                        "sidesDiffer"),
                row(
                        "REC-1",
                        "compared again and alike",
                        f -> {
                            f.answer(Question.SIDES, "DIFFER");
                            f.answer(Question.SIDES, "ALIKE");
                        },
                        HOLDS,
                        "inBand"),
                row(
                        "REC-3",
                        "on a slope the reading on level ground is computed: 45 shown here with 2° nose-up is 47",
                        f -> {
                            f.seat.theta0 = stated(Angle.ofDegrees(51));
                            f.add(new Fact.GroundMeasured(UnitId.FIRST, Angle.ofDegrees(2)));
                        },
                        FIX,
                        "readingWouldBe",
                        "onLevel",
                        new Argument.OfKey("reading.BUBBLE.PART_RECLINED")),
                row(
                        "REC-3",
                        "on steep ground the reading is refused",
                        f -> f.add(new Fact.GroundMeasured(UnitId.FIRST, Angle.ofDegrees(-4))),
                        FIX,
                        "readingRefused"));
    }

    private static Stream<RuleCase> rolls() {
        return Stream.of(
                row("REC-6", "nothing rolled up", f -> {}, HOLDS, "noRoll"),
                row("REC-6", "taken out again", f -> rollAndTakeOut(f), HOLDS, "noRoll"),
                row("REC-6", "a towel, nobody read the manual", f -> towel(f), NOT_KNOWN, "rollNotKnown"),
                row(
                        "REC-6",
                        "a towel with the foot raised, only the towel allowed",
                        f -> {
                            f.seat.says(PermissionKey.TOWEL, Said.ALLOWED);
                            towel(f);
                        },
                        NOT_KNOWN,
                        "rollNotKnown"),
                row(
                        "REC-6",
                        "a towel with the foot down, allowed",
                        f -> {
                            f.seat.says(PermissionKey.TOWEL, Said.ALLOWED);
                            f.add(new Fact.DeviceSet(UnitId.FIRST, new SettingId("1")));
                            towel(f);
                            checkAgain(f);
                        },
                        HOLDS,
                        "rollAllowed",
                        "roll",
                        new Argument.OfKey("roll.TOWEL")),
                row(
                        "REC-6",
                        "towel and foot together, both allowed",
                        f -> {
                            f.seat.says(PermissionKey.TOWEL, Said.ALLOWED)
                                    .says(PermissionKey.ROLL_WITH_FOOT, Said.ALLOWED);
                            towel(f);
                            checkAgain(f);
                        },
                        HOLDS,
                        "rollAllowed"),
                row(
                        "REC-6",
                        "towel and foot together, not allowed",
                        f -> {
                            f.seat.says(PermissionKey.TOWEL, Said.ALLOWED)
                                    .says(PermissionKey.ROLL_WITH_FOOT, Said.NOT_ALLOWED);
                            towel(f);
                        },
                        STOP,
                        "rollNotAllowed"),
                row(
                        "REC-6",
                        "a noodle where only a towel is allowed",
                        f -> {
                            f.seat.says(PermissionKey.TOWEL, Said.ALLOWED).says(PermissionKey.NOODLE, Said.NOT_ALLOWED);
                            noodle(f, RollKind.NOODLE);
                        },
                        STOP,
                        "rollNotAllowed",
                        "roll",
                        new Argument.OfKey("roll.NOODLE")),
                row(
                        "REC-6",
                        "one noodle allowed says nothing of three",
                        f -> {
                            f.seat.says(PermissionKey.NOODLE, Said.ALLOWED)
                                    .says(PermissionKey.ROLL_WITH_FOOT, Said.ALLOWED);
                            noodle(f, RollKind.NOODLE_TRIANGLE);
                        },
                        NOT_KNOWN,
                        "rollNotKnown"),
                row(
                        "REC-6",
                        "a page read here fills the gap",
                        f -> {
                            f.add(new Fact.DeviceSet(UnitId.FIRST, new SettingId("1")));
                            towel(f);
                            f.page(
                                    "44",
                                    new Fact.PermissionRead(
                                            UnitId.FIRST, PermissionKey.TOWEL, Speaker.SEAT, PageSays.ALLOWED));
                            checkAgain(f);
                        },
                        HOLDS,
                        "rollAllowed"),
                row(
                        "REC-6",
                        "a manual that says nothing allows nothing",
                        f -> {
                            f.add(new Fact.DeviceSet(UnitId.FIRST, new SettingId("1")));
                            towel(f);
                            f.page(
                                    "44",
                                    new Fact.PermissionRead(
                                            UnitId.FIRST, PermissionKey.TOWEL, Speaker.SEAT, PageSays.SILENT));
                        },
                        STOP,
                        "rollNotAllowed"),
                row(
                        "REC-6",
                        "never with rigid arms",
                        f -> {
                            f.seat.says(PermissionKey.TOWEL, Said.ALLOWED);
                            f.seat.arms = stated(new Recline.Arms(mm(-60), mm(40), mm(430), mm(20)));
                            towel(f);
                        },
                        STOP,
                        "notWithRigidArms"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("cases")
    void ruleTable(RuleCase row) {
        row.check();
    }

    private static void sills(FittingBuilder fitting, double first, double turned) {
        fitting.add(new Fact.SillsRead(UnitId.FIRST, Angle.ofDegrees(first), Angle.ofDegrees(turned)));
    }

    private static void lean(FittingBuilder fitting, double degrees) {
        fitting.add(new Fact.LeanMeasured(UnitId.FIRST, Angle.ofDegrees(degrees)));
    }

    private static void towel(FittingBuilder fitting) {
        fitting.add(new Fact.RollPlaced(UnitId.FIRST, RollKind.TOWEL, null, null, mm(4), 2, mm(157), false));
    }

    private static void noodle(FittingBuilder fitting, RollKind kind) {
        fitting.add(new Fact.RollPlaced(UnitId.FIRST, kind, mm(65), Fact.Softness.FIRM, null, null, null, false));
    }

    private static void rollAndTakeOut(FittingBuilder fitting) {
        towel(fitting);
        fitting.add(new Fact.RollPlaced(UnitId.FIRST, RollKind.NONE, null, null, null, null, null, null));
        checkAgain(fitting);
    }

    /** What setting the device or a roll re-opens. */
    private static void checkAgain(FittingBuilder fitting) {
        fitting.acted(Act.TIGHTENED);
        fitting.answer(Question.MOVEMENT, "UNDER_AN_INCH");
        fitting.answer(Question.WINDOWS, "ALL_LOCKED");
        fitting.level(Reading.INSIDE);
    }
}
