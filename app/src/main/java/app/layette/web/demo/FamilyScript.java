package app.layette.web.demo;

import app.layette.core.cabin.GapToFrontSeat;
import app.layette.core.cabin.OneSystem;
import app.layette.core.cabin.SitsWhole;
import app.layette.core.condition.ApprovedHere;
import app.layette.core.condition.KnownHistory;
import app.layette.core.condition.ManualsAtHand;
import app.layette.core.condition.NoCrash;
import app.layette.core.condition.NoOpenRecall;
import app.layette.core.condition.PartsComplete;
import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.PartialDate;
import app.layette.core.entry.Question;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.TeachItem;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.harness.ClipAtArmpits;
import app.layette.core.harness.HarnessSnug;
import app.layette.core.harness.NothingThickUnder;
import app.layette.core.harness.SnugAtShortest;
import app.layette.core.harness.SupportBesideChild;
import app.layette.core.harness.WebbingHome;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.recline.GroundLevel;
import app.layette.core.recline.LevelWithChild;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.PieceId;
import app.layette.core.seat.SettingId;
import app.layette.core.secure.AnchorStrap;
import app.layette.core.secure.AnchorsClicked;
import app.layette.core.secure.CarrierClicked;
import app.layette.core.secure.InchTest;
import app.layette.core.secure.Windows;
import app.layette.core.suit.ScreeningDone;
import app.layette.core.vehicle.PositionId;
import app.layette.web.fitting.NewFamily;

/** Stretches of a fitting that most families share. */
final class FamilyScript {
    static final RiderId RIDER = RiderId.FIRST;
    static final UnitId UNIT = UnitId.FIRST;
    private static final How LABEL = new How(How.Kind.LABEL, "");

    private FamilyScript() {}

    static void child(NewFamily family, Fact.ChildDescribed child) {
        family.add(How.TOLD, child);
        family.add(How.TOLD, new Fact.Answered(UNIT, Question.CONDITION, ScreeningDone.Answer.NONE));
        family.add(How.TOLD, new Fact.Ordered(RIDER, Fact.OrderKind.NONE, null, null, null));
    }

    static void measures(NewFamily family, Mass mass, Length length) {
        family.add(How.MEASURED, new Fact.Weighed(RIDER, mass));
        family.add(How.MEASURED, new Fact.LengthMeasured(RIDER, Fact.Dimension.BODY, length, null));
    }

    static void labels(NewFamily family, String carrier, String made, String base, String baseMade) {
        family.add(LABEL, new Fact.LabelRead(UNIT, Fact.Part.CARRIER, carrier, PartialDate.parse(made), null));
        family.add(LABEL, new Fact.LabelRead(UNIT, Fact.Part.BASE, base, PartialDate.parse(baseMade), null));
        answer(family, Question.APPROVAL, ApprovedHere.Answer.ON_LABEL);
    }

    static void cleared(NewFamily family) {
        answer(family, Question.HISTORY, KnownHistory.Answer.OWNED_FROM_NEW);
        answer(family, Question.CRASH, NoCrash.Answer.NONE);
        answer(family, Question.RECALL, NoOpenRecall.Answer.NONE_OPEN);
        answer(family, Question.PARTS, PartsComplete.Answer.COMPLETE);
        answer(family, Question.MANUALS, ManualsAtHand.Answer.BOTH);
    }

    static void insert(NewFamily family, String piece, boolean in) {
        family.add(How.MEASURED, new Fact.InsertSet(UNIT, new PieceId(piece), in));
    }

    static Fact height(Fact.Dimension what, double millimetres) {
        return new Fact.LengthMeasured(RIDER, what, Length.ofMillimetres(millimetres), Fact.InsertState.AS_IT_WILL_BE);
    }

    static void threaded(NewFamily family, int slot, int opening, String loop) {
        family.add(How.MEASURED, new Fact.SlotsSet(UNIT, slot, slot, slot, slot, loop));
        family.add(How.MEASURED, new Fact.CrotchSet(UNIT, opening));
        answer(family, Question.WEBBING, WebbingHome.Answer.STRAIGHT_HOME_AND_FREE);
        answer(family, Question.SNUG_SHORTEST, SnugAtShortest.Answer.SNUG);
    }

    static void car(NewFamily family, String sheet, int version, String position) {
        family.add(How.MEASURED, new Fact.SheetAdopted(new SheetVersion(sheet, version), Fact.Adoption.ADOPTED, null));
        family.add(How.MEASURED, new Fact.Placed(UNIT, PositionId.parse(position), Method.BASE_FLEXIBLE_ANCHORS));
        answer(family, Question.GROUND, GroundLevel.Answer.LEVEL);
        acted(family, Act.PREPARED);
    }

    static void base(NewFamily family, String step) {
        if (!step.isEmpty()) {
            family.add(How.MEASURED, new Fact.DeviceSet(UNIT, new SettingId(step)));
        } else {
            family.add(How.MEASURED, new Fact.RollPlaced(UNIT, Fact.RollKind.NONE, null, null, null, null, null, null));
        }
        answer(family, Question.ANCHORS_HOOKED, AnchorsClicked.Answer.BOTH_CLICKED);
        acted(family, Act.TIGHTENED);
        answer(family, Question.STRAP, AnchorStrap.Answer.STRAIGHT_AND_STOWED);
        answer(family, Question.SITS_WHOLE, SitsWhole.Answer.WHOLE);
        answer(family, Question.SYSTEMS, OneSystem.Answer.ANCHORS_ALONE);
        answer(family, Question.MOVEMENT, InchTest.Answer.UNDER_AN_INCH);
        answer(family, Question.WINDOWS, Windows.Answer.ALL_LOCKED);
    }

    static void childIn(NewFamily family) {
        answer(family, Question.SUPPORT, SupportBesideChild.Answer.NONE);
        answer(family, Question.CLOTHING, NothingThickUnder.Answer.THIN);
        answer(family, Question.SNUG, HarnessSnug.Answer.SNUG);
        answer(family, Question.CLIP, ClipAtArmpits.Answer.ARMPIT);
        acted(family, Act.CARRIER_ON);
        answer(family, Question.CLICK, CarrierClicked.Answer.CLICKED_AND_LIFTED);
        answer(family, Question.WINDOWS, Windows.Answer.ALL_LOCKED);
        levelInside(family);
        answer(family, Question.SIDES, LevelWithChild.Answer.ALIKE);
    }

    /** The usual seat of the house, fixed with anchors behind the passenger, and the child in it. */
    static void inThimbleOnAnchors(NewFamily family, boolean head, double shoulder, double crown) {
        insert(family, "head", head);
        insert(family, "body", true);
        family.add(How.MEASURED, height(Fact.Dimension.SHOULDER, shoulder));
        family.add(How.MEASURED, height(Fact.Dimension.CROWN, crown));
        threaded(family, 1, 1, "short");
        car(family, "corvane-estate", 2, "2-RIGHT");
        base(family, "5");
        childIn(family);
        family.add(How.MEASURED, new Fact.HandleSet(UNIT, HandlePosition.UP));
    }

    static void levelInside(NewFamily family) {
        family.add(How.MEASURED, new Fact.LevelRead(UNIT, Fact.Stage.CHILD, Indicator.Reading.INSIDE));
    }

    /** The caregiver does every part, and what they touched is looked at once more. */
    static void taughtAndCheckedAgain(NewFamily family, HandlePosition handle) {
        for (TeachItem item : TeachItem.values()) {
            if (item.isPartOf(Method.BASE_FLEXIBLE_ANCHORS)) {
                family.add(How.MEASURED, new Fact.Taught(UNIT, item, Fact.TeachOutcome.DONE, null));
            }
        }
        answer(family, Question.STRAP, AnchorStrap.Answer.STRAIGHT_AND_STOWED);
        answer(family, Question.SITS_WHOLE, SitsWhole.Answer.WHOLE);
        answer(family, Question.MOVEMENT, InchTest.Answer.UNDER_AN_INCH);
        answer(family, Question.CLOTHING, NothingThickUnder.Answer.THIN);
        answer(family, Question.SNUG, HarnessSnug.Answer.SNUG);
        answer(family, Question.CLIP, ClipAtArmpits.Answer.ARMPIT);
        answer(family, Question.CLICK, CarrierClicked.Answer.CLICKED_AND_LIFTED);
        answer(family, Question.WINDOWS, Windows.Answer.ALL_LOCKED);
        levelInside(family);
        answer(family, Question.SIDES, LevelWithChild.Answer.ALIKE);
        family.add(How.MEASURED, new Fact.HandleSet(UNIT, handle));
        answer(family, Question.GAP, GapToFrontSeat.Answer.FLAT_HAND);
    }

    static void answer(NewFamily family, Question question, Enum<?> answer) {
        family.add(How.MEASURED, new Fact.Answered(UNIT, question, answer));
    }

    static void acted(NewFamily family, Act act) {
        family.add(How.MEASURED, new Fact.Acted(UNIT, act));
    }

    /** The label of a restraint that has no base, or rides without it. */
    static void shellLabel(NewFamily family, String model, String made) {
        family.add(LABEL, new Fact.LabelRead(UNIT, Fact.Part.CARRIER, model, PartialDate.parse(made), null));
        answer(family, Question.APPROVAL, ApprovedHere.Answer.ON_LABEL);
    }

    static void placed(NewFamily family, String sheet, int version, String position, Method method) {
        family.add(How.MEASURED, new Fact.SheetAdopted(new SheetVersion(sheet, version), Fact.Adoption.ADOPTED, null));
        family.add(How.MEASURED, new Fact.Placed(UNIT, PositionId.parse(position), method));
    }
}
