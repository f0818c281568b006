package app.layette.web.demo;

import static app.layette.web.demo.FamilyScript.RIDER;
import static app.layette.web.demo.FamilyScript.answer;
import static app.layette.web.demo.FamilyScript.child;
import static app.layette.web.demo.FamilyScript.cleared;
import static app.layette.web.demo.FamilyScript.insert;
import static app.layette.web.demo.FamilyScript.labels;
import static app.layette.web.demo.FamilyScript.measures;
import static app.layette.web.demo.FamilyScript.threaded;

import app.layette.core.child.Sex;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Question;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.suit.HeadRoom;
import app.layette.web.fitting.NewFamily;
import java.time.LocalDate;

/** Families whose harness or insert no longer fits. */
final class HarnessFamilies {
    private final LocalDate today;

    HarnessFamilies(LocalDate today) {
        this.today = today;
    }

    /** Philippa: grown past the insert, which lifts her so far that the slot in use is no longer the right one. */
    NewFamily grownPastTheInsert(NewFamily family) {
        child(family, new Fact.ChildDescribed(RIDER, today.minusDays(66), 281, Sex.FEMALE, Mass.ofGrams(3390)));
        measures(family, Mass.ofPoundsAndOunces(12, 13), Length.ofCentimetres(57));
        labels(family, "WT-211", "2024-06", "WB-21", "2024-05");
        cleared(family);
        insert(family, "head", false);
        insert(family, "body", true);
        family.add(
                How.MEASURED,
                new Fact.LengthMeasured(
                        RIDER, Fact.Dimension.SHOULDER, Length.ofMillimetres(228), Fact.InsertState.BARE));
        answer(family, Question.HEAD_ROOM, HeadRoom.Answer.AT_LEAST_50);
        threaded(family, 1, 2, "short");
        return family;
    }
}
