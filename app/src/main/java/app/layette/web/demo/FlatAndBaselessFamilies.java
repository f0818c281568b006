package app.layette.web.demo;

import static app.layette.web.demo.FamilyScript.RIDER;
import static app.layette.web.demo.FamilyScript.UNIT;
import static app.layette.web.demo.FamilyScript.acted;
import static app.layette.web.demo.FamilyScript.answer;
import static app.layette.web.demo.FamilyScript.cleared;
import static app.layette.web.demo.FamilyScript.height;
import static app.layette.web.demo.FamilyScript.insert;
import static app.layette.web.demo.FamilyScript.measures;
import static app.layette.web.demo.FamilyScript.placed;
import static app.layette.web.demo.FamilyScript.shellLabel;
import static app.layette.web.demo.FamilyScript.threaded;

import app.layette.core.child.Sex;
import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.recline.GroundLevel;
import app.layette.core.suit.HeadRoom;
import app.layette.core.suit.ScreeningDone;
import app.layette.web.fitting.NewFamily;
import java.time.LocalDate;

/** Families without a base: an early baby flat in a car bed, a lay-flat carrier, a taxi. */
final class FlatAndBaselessFamilies {
    private final LocalDate today;

    FlatAndBaselessFamilies(LocalDate today) {
        this.today = today;
    }

    /** Isolde: 1.9 kg at 33 weeks; her clinicians want her flat, so she rides in a car bed. */
    NewFamily carBed(NewFamily family) {
        family.add(How.TOLD, new Fact.ChildDescribed(RIDER, today.minusDays(18), 233, Sex.FEMALE, Mass.ofGrams(1820)));
        family.add(How.TOLD, new Fact.Answered(UNIT, Question.CONDITION, ScreeningDone.Answer.NONE));
        family.add(
                How.TOLD,
                new Fact.Ordered(RIDER, Fact.OrderKind.FLAT, "neonatal nurse", today.minusDays(2), today.plusDays(26)));
        family.add(How.TOLD, new Fact.Screened(RIDER, Fact.ScreeningResult.PASSED, null, today.minusDays(2), "WS-50"));
        measures(family, Mass.ofGrams(1900), Length.ofCentimetres(43));
        shellLabel(family, "WS-50", "2023-02");
        cleared(family);
        placed(family, "corvane-estate", 2, "2-RIGHT", Method.CAR_BED);
        acted(family, Act.PREPARED);
        return family;
    }

    /** Rowan: a lay-flat carrier across two places of the second row. */
    NewFamily layFlat(NewFamily family) {
        family.add(How.TOLD, new Fact.ChildDescribed(RIDER, today.minusDays(30), 276, Sex.MALE, Mass.ofGrams(3300)));
        family.add(How.TOLD, new Fact.Answered(UNIT, Question.CONDITION, ScreeningDone.Answer.NONE));
        family.add(How.TOLD, new Fact.Ordered(RIDER, Fact.OrderKind.NONE, null, null, null));
        measures(family, Mass.ofGrams(4100), Length.ofCentimetres(54));
        shellLabel(family, "SV-20", "2022-07");
        cleared(family);
        family.add(How.MEASURED, height(Fact.Dimension.SHOULDER, 236));
        answer(family, Question.HEAD_ROOM, HeadRoom.Answer.AT_LEAST_50);
        threaded(family, 1, 1, "only loop");
        family.add(
                How.MEASURED,
                new Fact.SheetAdopted(new SheetVersion("corvane-estate", 2), Fact.Adoption.ADOPTED, null));
        return family;
    }

    /** Bastian: a taxi home without the base; the belt reaches round the shell only when it is buckled last. */
    NewFamily taxi(NewFamily family) {
        family.add(How.TOLD, new Fact.ChildDescribed(RIDER, today.minusDays(3), 281, Sex.MALE, Mass.ofGrams(3480)));
        family.add(How.TOLD, new Fact.Answered(UNIT, Question.CONDITION, ScreeningDone.Answer.NONE));
        family.add(How.TOLD, new Fact.Ordered(RIDER, Fact.OrderKind.NONE, null, null, null));
        measures(family, Mass.ofGrams(3390), Length.ofCentimetres(51));
        shellLabel(family, "SK8-B", "2024-04");
        cleared(family);
        insert(family, "insert", true);
        family.add(How.MEASURED, height(Fact.Dimension.SHOULDER, 226));
        answer(family, Question.HEAD_ROOM, HeadRoom.Answer.AT_LEAST_50);
        threaded(family, 1, 1, "");
        placed(family, "corvane-hack", 1, "2-RIGHT", Method.BASELESS_EUROPEAN);
        answer(family, Question.GROUND, GroundLevel.Answer.LEVEL);
        acted(family, Act.PREPARED);
        return family;
    }
}
