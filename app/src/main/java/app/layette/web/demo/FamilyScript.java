package app.layette.web.demo;

import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.PartialDate;
import app.layette.core.entry.Question;
import app.layette.core.entry.TeachItem;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.core.vehicle.PositionId;
import app.layette.web.fitting.Beginnings;
import app.layette.web.fitting.NewFamily;

/** Stretches of a fitting that most families share. */
final class FamilyScript {
    static final String RIDER = Beginnings.Begin.RIDER;
    static final String UNIT = Beginnings.Begin.UNIT;
    private static final How LABEL = new How(How.Kind.LABEL, "");

    private FamilyScript() {}

    static void child(NewFamily family, Fact.ChildDescribed child) {
        family.add(How.TOLD, child);
        family.add(How.TOLD, new Fact.Answered(UNIT, Question.CONDITION, "NONE"));
        family.add(How.TOLD, new Fact.Ordered(RIDER, Fact.OrderKind.NONE, null, null, null));
    }

    static void measures(NewFamily family, Mass mass, Length length) {
        family.add(How.MEASURED, new Fact.Weighed(RIDER, mass));
        family.add(How.MEASURED, new Fact.LengthMeasured(RIDER, Fact.Dimension.BODY, length, null));
    }

    static void labels(NewFamily family, String carrier, String made, String base, String baseMade) {
        family.add(LABEL, new Fact.LabelRead(UNIT, Fact.Part.CARRIER, carrier, PartialDate.parse(made), null));
        family.add(LABEL, new Fact.LabelRead(UNIT, Fact.Part.BASE, base, PartialDate.parse(baseMade), null));
        answer(family, Question.APPROVAL, "ON_LABEL");
    }

    static void cleared(NewFamily family) {
        answer(family, Question.HISTORY, "OWNED_FROM_NEW");
        answer(family, Question.CRASH, "NONE");
        answer(family, Question.RECALL, "NONE_OPEN");
        answer(family, Question.PARTS, "COMPLETE");
        answer(family, Question.MANUALS, "BOTH");
    }

    static void insert(NewFamily family, String piece, boolean in) {
        family.add(How.MEASURED, new Fact.InsertSet(UNIT, piece, in));
    }

    static Fact height(Fact.Dimension what, double millimetres) {
        return new Fact.LengthMeasured(RIDER, what, Length.ofMillimetres(millimetres), Fact.InsertState.AS_IT_WILL_BE);
    }

    static void threaded(NewFamily family, int slot, int opening, String loop) {
        family.add(How.MEASURED, new Fact.SlotsSet(UNIT, slot, slot, slot, slot, loop));
        family.add(How.MEASURED, new Fact.CrotchSet(UNIT, opening));
        answer(family, Question.WEBBING, "STRAIGHT_HOME_AND_FREE");
        answer(family, Question.SNUG_SHORTEST, "SNUG");
    }

    static void car(NewFamily family, String sheet, int version, String position) {
        family.add(How.MEASURED, new Fact.SheetAdopted(sheet, version, Fact.Adoption.ADOPTED, null));
        family.add(How.MEASURED, new Fact.Placed(UNIT, PositionId.parse(position), Method.BASE_FLEXIBLE_ANCHORS));
        answer(family, Question.GROUND, "LEVEL");
        acted(family, Act.PREPARED);
    }

    static void base(NewFamily family, String step) {
        if (!step.isEmpty()) {
            family.add(How.MEASURED, new Fact.DeviceSet(UNIT, step));
        } else {
            family.add(How.MEASURED, new Fact.RollPlaced(UNIT, Fact.RollKind.NONE, null, null, null, null, null, null));
        }
        answer(family, Question.ANCHORS_HOOKED, "BOTH_CLICKED");
        acted(family, Act.TIGHTENED);
        answer(family, Question.STRAP, "STRAIGHT_AND_STOWED");
        answer(family, Question.SITS_WHOLE, "WHOLE");
        answer(family, Question.SYSTEMS, "ANCHORS_ALONE");
        answer(family, Question.MOVEMENT, "UNDER_AN_INCH");
        answer(family, Question.WINDOWS, "ALL_LOCKED");
    }

    static void childIn(NewFamily family) {
        answer(family, Question.SUPPORT, "NONE");
        answer(family, Question.CLOTHING, "THIN");
        answer(family, Question.SNUG, "SNUG");
        answer(family, Question.CLIP, "ARMPIT");
        acted(family, Act.CARRIER_ON);
        answer(family, Question.CLICK, "CLICKED_AND_LIFTED");
        answer(family, Question.WINDOWS, "ALL_LOCKED");
        levelInside(family);
        answer(family, Question.SIDES, "ALIKE");
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
        answer(family, Question.STRAP, "STRAIGHT_AND_STOWED");
        answer(family, Question.SITS_WHOLE, "WHOLE");
        answer(family, Question.MOVEMENT, "UNDER_AN_INCH");
        answer(family, Question.CLOTHING, "THIN");
        answer(family, Question.SNUG, "SNUG");
        answer(family, Question.CLIP, "ARMPIT");
        answer(family, Question.CLICK, "CLICKED_AND_LIFTED");
        answer(family, Question.WINDOWS, "ALL_LOCKED");
        levelInside(family);
        answer(family, Question.SIDES, "ALIKE");
        family.add(How.MEASURED, new Fact.HandleSet(UNIT, handle));
        answer(family, Question.GAP, "FLAT_HAND");
    }

    static void answer(NewFamily family, Question question, String answer) {
        family.add(How.MEASURED, new Fact.Answered(UNIT, question, answer));
    }

    static void acted(NewFamily family, Act act) {
        family.add(How.MEASURED, new Fact.Acted(UNIT, act));
    }

    /** The label of a restraint that has no base, or rides without it. */
    static void shellLabel(NewFamily family, String model, String made) {
        family.add(LABEL, new Fact.LabelRead(UNIT, Fact.Part.CARRIER, model, PartialDate.parse(made), null));
        answer(family, Question.APPROVAL, "ON_LABEL");
    }

    static void placed(NewFamily family, String sheet, int version, String position, Method method) {
        family.add(How.MEASURED, new Fact.SheetAdopted(sheet, version, Fact.Adoption.ADOPTED, null));
        family.add(How.MEASURED, new Fact.Placed(UNIT, PositionId.parse(position), method));
    }
}
