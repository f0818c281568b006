package app.layette.web.demo;

import static app.layette.web.demo.FamilyScript.RIDER;
import static app.layette.web.demo.FamilyScript.UNIT;
import static app.layette.web.demo.FamilyScript.acted;
import static app.layette.web.demo.FamilyScript.answer;
import static app.layette.web.demo.FamilyScript.child;
import static app.layette.web.demo.FamilyScript.cleared;
import static app.layette.web.demo.FamilyScript.height;
import static app.layette.web.demo.FamilyScript.insert;
import static app.layette.web.demo.FamilyScript.labels;
import static app.layette.web.demo.FamilyScript.measures;
import static app.layette.web.demo.FamilyScript.placed;
import static app.layette.web.demo.FamilyScript.threaded;

import app.layette.core.child.Sex;
import app.layette.core.condition.BaseFitsCarrier;
import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.recline.GroundLevel;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.seat.SettingId;
import app.layette.core.suit.HeadRoom;
import app.layette.web.fitting.NewFamily;
import java.time.LocalDate;

/** Families whose recline is worth seeing: a dial in a sloping yard, a leg under rigid arms, a roll where no foot is. */
final class ReclineFamilies {
    private final LocalDate today;

    ReclineFamilies(LocalDate today) {
        this.today = today;
    }

    /** Aldis: the yard drops two degrees, and the first look is only provisional. */
    NewFamily slopingYard(NewFamily family) {
        child(family, new Fact.ChildDescribed(RIDER, today.minusDays(9), 278, Sex.MALE, Mass.ofGrams(3520)));
        measures(family, Mass.ofGrams(3410), Length.ofCentimetres(51));
        labels(family, "SK8-B", "2024-02", "SKB-2", "2024-02");
        answer(family, Question.BASE_SET_UP, BaseFitsCarrier.Answer.AS_SHEET);
        cleared(family);
        insert(family, "insert", true);
        family.add(How.MEASURED, height(Fact.Dimension.SHOULDER, 224));
        answer(family, Question.HEAD_ROOM, HeadRoom.Answer.AT_LEAST_50);
        threaded(family, 1, 1, "");
        placed(family, "corvane-estate", 2, "2-LEFT", Method.BASE_FLEXIBLE_ANCHORS);
        family.add(How.MEASURED, new Fact.GroundMeasured(UNIT, Angle.ofDegrees(2)));
        acted(family, Act.PREPARED);
        family.add(How.MEASURED, new Fact.DeviceSet(UNIT, new SettingId("3")));
        family.add(How.MEASURED, new Fact.LevelRead(UNIT, Fact.Stage.PRESSED, Reading.PART_UPRIGHT));
        return family;
    }

    /** Petra: rigid arms, and a leg whose length sets the angle. */
    NewFamily rigidArms(NewFamily family) {
        child(family, new Fact.ChildDescribed(RIDER, today.minusDays(15), 282, Sex.FEMALE, Mass.ofGrams(3360)));
        measures(family, Mass.ofGrams(3540), Length.ofCentimetres(52));
        labels(family, "SW-2", "2024-05", "SWB-2", "2024-05");
        cleared(family);
        insert(family, "insert", true);
        family.add(How.MEASURED, height(Fact.Dimension.SHOULDER, 229));
        answer(family, Question.HEAD_ROOM, HeadRoom.Answer.AT_LEAST_50);
        threaded(family, 1, 1, "");
        placed(family, "corvane-estate", 2, "2-RIGHT", Method.BASE_RIGID_LEG);
        answer(family, Question.GROUND, GroundLevel.Answer.LEVEL);
        acted(family, Act.PREPARED);
        return family;
    }

    /** Halvard: the seat has no foot and no dial; a rolled towel sets the angle, and the manual allows one. */
    NewFamily rolledTowel(NewFamily family) {
        child(family, new Fact.ChildDescribed(RIDER, today.minusDays(21), 280, Sex.MALE, Mass.ofGrams(3610)));
        measures(family, Mass.ofGrams(3980), Length.ofCentimetres(53));
        labels(family, "H-40", "2023-05", "HS-4", "2023-05");
        cleared(family);
        family.add(How.MEASURED, height(Fact.Dimension.SHOULDER, 231));
        answer(family, Question.HEAD_ROOM, HeadRoom.Answer.AT_LEAST_50);
        threaded(family, 1, 1, "only loop");
        placed(family, "corvane-estate", 2, "2-RIGHT", Method.BASE_FLEXIBLE_ANCHORS);
        answer(family, Question.GROUND, GroundLevel.Answer.LEVEL);
        acted(family, Act.PREPARED);
        return family;
    }
}
