package app.layette.core.rules;

import static app.layette.core.evidence.Said.NOT_ALLOWED;
import static app.layette.core.finding.Weight.ADVISE;
import static app.layette.core.finding.Weight.FIX;
import static app.layette.core.finding.Weight.HOLDS;
import static app.layette.core.finding.Weight.NOT_KNOWN;
import static app.layette.core.finding.Weight.STOP;
import static app.layette.core.fixture.SeatSheetBuilder.mm;
import static app.layette.core.fixture.SeatSheetBuilder.silent;
import static app.layette.core.fixture.SeatSheetBuilder.stated;
import static app.layette.core.rules.RuleCase.row;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.How;
import app.layette.core.entry.Question;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.TeachItem;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.finding.Argument;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.measure.Length;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Harness and hand-over: HAR and OUT. */
class HarnessRulesTest {
    static Stream<RuleCase> cases() {
        return Stream.of(
                row(
                        "HAR-1",
                        "the slot next below",
                        f -> f.height(Dimension.SHOULDER, 235.9),
                        HOLDS,
                        "nextBelow",
                        "slot",
                        1,
                        "below",
                        mm(39.9)),
                row(
                        "HAR-1",
                        "a slot right at the shoulder is the one",
                        f -> f.height(Dimension.SHOULDER, 236),
                        FIX,
                        "notNextBelow",
                        "slot",
                        1,
                        "best",
                        2),
                row(
                        "HAR-1",
                        "above the shoulder",
                        f -> slots(f, 2, 2, 2, 2, "short"),
                        FIX,
                        "aboveShoulder",
                        "slot",
                        2,
                        "best",
                        1),
                row(
                        "HAR-1",
                        "by eye, later than the tape",
                        f -> f.add(new Fact.ShoulderSeen(RiderId.FIRST, 2)),
                        FIX,
                        "notNextBelow",
                        "best",
                        2),
                row(
                        "HAR-1",
                        "bare height plus the insert's lift, once",
                        f -> bare(f, 220),
                        FIX,
                        "notNextBelow",
                        "best",
                        2),
                row(
                        "HAR-1",
                        "no slots on the sheet",
                        f -> f.seat.slots = Evidence.notLooked(),
                        NOT_KNOWN,
                        "slotsNotKnown"),
                row(
                        "HAR-2",
                        "more than 40 mm below is worth saying",
                        HarnessRulesTest::highestSlotFarBelow,
                        ADVISE,
                        "farBelow",
                        "below",
                        mm(44),
                        "far",
                        mm(40)),
                row(
                        "HAR-4",
                        "left and right differ",
                        f -> slots(f, 1, 2, 1, 2, "short"),
                        FIX,
                        "unequalSides",
                        "left",
                        1,
                        "right",
                        2),
                row(
                        "HAR-4",
                        "pad and shell differ",
                        f -> slots(f, 1, 1, 1, 2, "short"),
                        FIX,
                        "padDiffers",
                        "slot",
                        1,
                        "pad",
                        2),
                row("HAR-4", "the other loop", f -> slots(f, 1, 1, 1, 1, "long"), FIX, "otherLoop", "loop", "short"),
                row(
                        "HAR-4",
                        "nobody looked at the loops",
                        f -> f.seat.loops = Evidence.notLooked(),
                        NOT_KNOWN,
                        "loopsNotLooked"),
                row(
                        "HAR-4",
                        "half on the splitter plate",
                        f -> f.answer(Question.WEBBING, "NOT_HOME_ON_PLATE"),
                        FIX,
                        "notHomeOnPlate"),
                row("HAR-5", "the opening for another weight", f -> crotch(f, 2), FIX, "otherOpening", "opening", 2),
                row("HAR-5", "an opening that is not there", f -> crotch(f, 3), FIX, "noSuchOpening", "count", 2),
                row("HAR-5", "not on the sheet", f -> f.seat.crotch = Evidence.notLooked(), NOT_KNOWN, "notOnSheet"),
                row("HAR-7", "loose", f -> f.answer(Question.SNUG, "LOOSE"), FIX, "loose"),
                row("HAR-7", "too tight is wrong too", f -> f.answer(Question.SNUG, "TOO_TIGHT"), FIX, "tooTight"),
                row(
                        "HAR-7",
                        "the manual's own test was not looked up",
                        f -> f.seat.snugTest = Evidence.notLooked(),
                        NOT_KNOWN,
                        "testNotLooked"),
                row(
                        "HAR-7",
                        "a silent manual leaves the test to the profile",
                        f -> f.seat.snugTest = silent(),
                        HOLDS,
                        "snug"),
                row("HAR-8", "clip low", f -> f.answer(Question.CLIP, "LOWER"), FIX, "lower"),
                row(
                        "HAR-8",
                        "a seat without a clip",
                        f -> {
                            f.seat.clip = stated(false);
                            f.without(Question.CLIP);
                        },
                        HOLDS,
                        "noClip"),
                row(
                        "HAR-9",
                        "a coat under the straps",
                        f -> f.answer(Question.CLOTHING, "COAT_UNDER_STRAPS"),
                        FIX,
                        "coatUnderStraps"),
                row(
                        "HAR-10",
                        "rolls, the manual silent, the school against",
                        f -> {
                            f.seat.permissions.put(PermissionKey.ROLLS_BESIDE_CHILD, silent());
                            f.answer(Question.SUPPORT, "ROLLS_BESIDE");
                        },
                        FIX,
                        "rollsNotAllowed"),
                row(
                        "OUT-4",
                        "a second rider is not judged along",
                        f -> f.moreRiders.add(new RiderId("r2")),
                        NOT_KNOWN,
                        "moreThanOne"),
                row(
                        "HAR-10",
                        "rolls, the manual silent, the school for",
                        f -> {
                            f.rolls = Permission.ALLOWED;
                            f.seat.permissions.put(PermissionKey.ROLLS_BESIDE_CHILD, silent());
                            f.answer(Question.SUPPORT, "ROLLS_BESIDE");
                            f.answer(Question.CLOTHING, "THIN").answer(Question.CLIP, "ARMPIT");
                            f.answer(Question.SNUG, "SNUG");
                        },
                        HOLDS,
                        "rollsAllowed"),
                row(
                        "HAR-10",
                        "rolls, nobody looked, whatever the school",
                        f -> {
                            f.rolls = Permission.ALLOWED;
                            f.answer(Question.SUPPORT, "ROLLS_BESIDE");
                        },
                        NOT_KNOWN,
                        "rollsNotKnown"),
                row(
                        "HAR-10",
                        "rolls, the manual against, whatever the school",
                        f -> {
                            f.rolls = Permission.ALLOWED;
                            f.seat.says(PermissionKey.ROLLS_BESIDE_CHILD, NOT_ALLOWED);
                            f.answer(Question.SUPPORT, "ROLLS_BESIDE");
                        },
                        FIX,
                        "rollsNotAllowed"),
                row(
                        "HAR-10",
                        "never behind or under",
                        f -> f.answer(Question.SUPPORT, "BEHIND_OR_UNDER"),
                        STOP,
                        "behindOrUnder"),
                row("OUT-1", "cautions given", f -> f.answer(Question.CAUTIONS, "GIVEN"), HOLDS, "given"),
                row(
                        "OUT-2",
                        "a part declined with a reason",
                        f -> f.add(declined("baby asleep")),
                        ADVISE,
                        "declined",
                        "item",
                        new Argument.OfKey("teach.READ_LEVEL")),
                row(
                        "OUT-3",
                        "a trainee's check countersigned",
                        HarnessRulesTest::countersigned,
                        HOLDS,
                        "countersigned"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("cases")
    void rule(RuleCase each) {
        each.check();
    }

    private static void slots(FittingBuilder f, int leftShell, int rightShell, int leftPad, int rightPad, String loop) {
        f.add(new Fact.SlotsSet(UnitId.FIRST, leftShell, rightShell, leftPad, rightPad, loop));
        testAgain(f);
    }

    private static void crotch(FittingBuilder f, int opening) {
        f.add(new Fact.CrotchSet(UnitId.FIRST, opening));
        testAgain(f);
    }

    private static void testAgain(FittingBuilder f) {
        f.answer(Question.WEBBING, "STRAIGHT_HOME_AND_FREE");
        f.answer(Question.CLIP, "ARMPIT").answer(Question.SNUG, "SNUG");
    }

    private static void bare(FittingBuilder f, double millimetres) {
        f.add(new Fact.LengthMeasured(
                RiderId.FIRST, Dimension.SHOULDER, Length.ofMillimetres(millimetres), Fact.InsertState.BARE));
    }

    private static void highestSlotFarBelow(FittingBuilder f) {
        f.height(Dimension.SHOULDER, 320);
        slots(f, 3, 3, 3, 3, "long");
    }

    private static Fact declined(String reason) {
        return new Fact.Taught(UnitId.FIRST, TeachItem.READ_LEVEL, Fact.TeachOutcome.DECLINED, reason);
    }

    private static void countersigned(FittingBuilder f) {
        f.add(
                How.MEASURED,
                FittingBuilder.TRAINEE,
                f.lastSeq(),
                new Fact.Answered(UnitId.FIRST, Question.CAUTIONS, "GIVEN"));
        f.add(new Fact.Countersigned(UnitId.FIRST));
    }
}
