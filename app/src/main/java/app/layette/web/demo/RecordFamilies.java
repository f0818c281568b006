package app.layette.web.demo;

import static app.layette.web.demo.FamilyScript.RIDER;
import static app.layette.web.demo.FamilyScript.UNIT;
import static app.layette.web.demo.FamilyScript.answer;
import static app.layette.web.demo.FamilyScript.child;
import static app.layette.web.demo.FamilyScript.cleared;
import static app.layette.web.demo.FamilyScript.inThimbleOnAnchors;
import static app.layette.web.demo.FamilyScript.labels;
import static app.layette.web.demo.FamilyScript.measures;
import static app.layette.web.demo.FamilyScript.taughtAndCheckedAgain;

import app.layette.core.cabin.GapToFrontSeat;
import app.layette.core.child.Sex;
import app.layette.core.condition.Registration;
import app.layette.core.entry.Area;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.Question;
import app.layette.core.handover.CautionsGiven;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.HandlePosition;
import app.layette.web.fitting.NewFamily;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;

/** Families whose fitting is over: one handed over and sealed, one that left with something open. */
final class RecordFamilies {
    static final int SEALED_DAYS_AGO = 26;
    static final int LEFT_DAYS_AGO = 9;
    private static final int BORN_DAYS_BEFORE = 33;

    private final LocalDate today;

    RecordFamilies(LocalDate today) {
        this.today = today;
    }

    private static void walk(NewFamily family, List<Misuse> found, List<Area> clear) {
        found.forEach(misuse -> family.add(How.MEASURED, new Fact.FoundSo(UNIT, misuse, true)));
        clear.forEach(area -> family.add(How.MEASURED, new Fact.AreaLooked(UNIT, area, true)));
    }

    private void beginning(NewFamily family, int daysAgo, Mass mass) {
        LocalDate born = today.minusDays(daysAgo + BORN_DAYS_BEFORE);
        child(family, new Fact.ChildDescribed(RIDER, born, 278, Sex.FEMALE, Mass.ofGrams(3350)));
        measures(family, mass, Length.ofCentimetres(53.5));
        labels(family, "WT-211", "2025-02", "WB-21", "2025-02");
        cleared(family);
        answer(family, Question.REGISTRATION, Registration.Answer.NOT_YET);
        inThimbleOnAnchors(family, false, 226, 352);
    }

    /** Ottilie: came with a loose base and a low clip, was handed over; her family rang since. */
    NewFamily sealed(NewFamily family) {
        walk(
                family,
                List.of(Misuse.CLIP_LOW, Misuse.BASE_LOOSE),
                List.of(Area.LABEL, Area.CHILD, Area.HANDLE, Area.LEVEL, Area.ANCHORS, Area.LEG, Area.PLACE));
        beginning(family, SEALED_DAYS_AGO, Mass.ofGrams(4350));
        answer(family, Question.GAP, GapToFrontSeat.Answer.FLAT_HAND);
        taughtAndCheckedAgain(family, HandlePosition.UP);
        answer(family, Question.CAUTIONS, CautionsGiven.Answer.GIVEN);
        family.add(How.MEASURED, new Fact.CaregiverSigned(UNIT, "OB"));
        family.add(How.MEASURED, new Fact.Ended(UNIT, Fact.Ending.HANDED_OVER, null, null, null));
        return family.pause(Duration.ofDays(12))
                .add(How.TOLD, new Fact.Noted(UNIT, null, "Rang: the base was retightened after a trip, no movement."));
    }

    /** Caspian: the front seat has to stay where it touches the carrier; the family took the other car. */
    NewFamily leftOpen(NewFamily family) {
        walk(family, List.of(Misuse.TOUCHES_FRONT_SEAT), List.of(Area.HARNESS, Area.BASE));
        beginning(family, LEFT_DAYS_AGO, Mass.ofGrams(4200));
        answer(family, Question.GAP, GapToFrontSeat.Answer.TOUCHES);
        return family.add(
                How.MEASURED,
                new Fact.Ended(
                        UNIT,
                        Fact.Ending.LEFT_WITH_OPEN_FINDINGS,
                        "The carrier touches the front seat where its driver needs it; not to be used like that.",
                        "A narrower carrier on loan, or the place behind the passenger.",
                        "Caregiver"));
    }
}
