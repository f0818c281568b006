package app.layette.core.rules;

import static app.layette.core.evidence.Said.ALLOWED;
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
import app.layette.core.entry.Fact.PageSays;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Argument;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.measure.Length;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.seat.LegUse;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.Airbag;
import app.layette.core.vehicle.SeatingPosition.Facing;
import app.layette.core.vehicle.SeatingPosition.Floor;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Where in the car: CAB. */
class CabinRulesTest {
    static Stream<RuleCase> places() {
        return Stream.of(
                row(
                        "CAB-1",
                        "an active airbag",
                        f -> f.car.airbag = stated(Airbag.ACTIVE),
                        STOP,
                        "airbagActive",
                        "place",
                        new Argument.OfKey("place.2-RIGHT")),
                row(
                        "CAB-1",
                        "nobody knows about the airbag",
                        f -> f.car.airbag = Evidence.notLooked(),
                        NOT_KNOWN,
                        "airbagNotKnown"),
                row(
                        "CAB-1",
                        "a silent manual says nothing about the airbag",
                        f -> f.car.airbag = silent(),
                        NOT_KNOWN,
                        "airbagNotKnown"),
                row(
                        "CAB-1",
                        "front row, airbag off, both manuals allow, no place of the back can",
                        f -> {
                            frontRow(f);
                            f.answer(Question.AIRBAG_LAMP, "OFF_SEEN");
                            f.answer(Question.BACK_ROW, "NO_PLACE_CAN");
                            f.seat.says(PermissionKey.FRONT_ROW, ALLOWED);
                            f.car.says(PermissionKey.FRONT_ROW, ALLOWED);
                        },
                        HOLDS,
                        "noPlaceCan"),
                row(
                        "CAB-1",
                        "front row while a back place is free",
                        f -> {
                            frontRow(f);
                            f.answer(Question.AIRBAG_LAMP, "OFF_SEEN");
                            f.car.more.add(backPlace(f));
                            f.seat.says(PermissionKey.FRONT_ROW, ALLOWED);
                            f.car.says(PermissionKey.FRONT_ROW, ALLOWED);
                        },
                        STOP,
                        "backPlaceFree"),
                row(
                        "CAB-1",
                        "the lamp of the airbag shows on",
                        f -> {
                            frontRow(f);
                            f.answer(Question.AIRBAG_LAMP, "ON");
                        },
                        STOP,
                        "on"),
                row(
                        "CAB-1",
                        "front row, the car's manual not looked at",
                        f -> {
                            frontRow(f);
                            f.seat.says(PermissionKey.FRONT_ROW, ALLOWED);
                        },
                        NOT_KNOWN,
                        "frontRowNotKnown"),
                row(
                        "CAB-1",
                        "front row, the seat manual refuses",
                        f -> {
                            frontRow(f);
                            f.seat.says(PermissionKey.FRONT_ROW, NOT_ALLOWED);
                        },
                        STOP,
                        "frontRowNotAllowed"),
                row(
                        "CAB-1",
                        "a place that the car does not have",
                        f -> f.car.place = new PositionId(3, Side.LEFT),
                        NOT_KNOWN,
                        "placeNotOnSheet"),
                row(
                        "CAB-2",
                        "a side-facing vehicle seat",
                        f -> f.car.facing = stated(Facing.SIDEWAYS),
                        NOT_KNOWN,
                        "unusualNotKnown"),
                row("CAB-2", "a folded one", f -> f.car.facing = stated(Facing.FOLDED_OR_DAMAGED), STOP, "folded"),
                row(
                        "CAB-3",
                        "overhang, and the manual is silent",
                        f -> {
                            f.seat.permissions.put(PermissionKey.OVERHANG, silent());
                            f.answer(Question.SITS_WHOLE, "OVERHANGS");
                        },
                        NOT_KNOWN,
                        "overhangNotKnown"),
                row(
                        "CAB-3",
                        "overhang allowed",
                        f -> {
                            f.seat.says(PermissionKey.OVERHANG, ALLOWED);
                            f.answer(Question.SITS_WHOLE, "OVERHANGS");
                        },
                        HOLDS,
                        "overhangAllowed"),
                row("CAB-4", "no anchors of its own", f -> f.car.anchors = stated(OwnAnchors.NONE), STOP, "noOwnPair"),
                row(
                        "CAB-4",
                        "unsure about the anchors",
                        f -> f.car.anchors = Evidence.notLooked(),
                        NOT_KNOWN,
                        "anchorsNotKnown"),
                row(
                        "CAB-5",
                        "anchors and belt, manual silent",
                        f -> {
                            f.seat.permissions.put(PermissionKey.BOTH_SYSTEMS, silent());
                            f.answer(Question.SYSTEMS, "ANCHORS_AND_BELT");
                        },
                        STOP,
                        "bothSystemsNotAllowed"),
                row(
                        "CAB-5",
                        "anchors and belt, nobody looked",
                        f -> f.answer(Question.SYSTEMS, "ANCHORS_AND_BELT"),
                        NOT_KNOWN,
                        "bothSystemsNotKnown"),
                row(
                        "CAB-5",
                        "a page read on the spot allows both",
                        f -> {
                            f.answer(Question.SYSTEMS, "ANCHORS_AND_BELT");
                            bothSystems(f, How.manual("29"), PageSays.ALLOWED);
                        },
                        HOLDS,
                        "bothSystemsAllowed"),
                row(
                        "CAB-5",
                        "hearsay allows nothing",
                        f -> {
                            f.answer(Question.SYSTEMS, "ANCHORS_AND_BELT");
                            bothSystems(f, How.TOLD, PageSays.ALLOWED);
                        },
                        NOT_KNOWN,
                        "bothSystemsNotKnown"),
                row(
                        "CAB-5",
                        "a page never loosens the sheet",
                        f -> {
                            f.seat.says(PermissionKey.BOTH_SYSTEMS, NOT_ALLOWED);
                            f.answer(Question.SYSTEMS, "ANCHORS_AND_BELT");
                            bothSystems(f, How.manual("29"), PageSays.ALLOWED);
                        },
                        STOP,
                        "bothSystemsNotAllowed"),
                row(
                        "CAB-5",
                        "two readings that disagree are not known",
                        f -> {
                            f.answer(Question.SYSTEMS, "ANCHORS_AND_BELT");
                            bothSystems(f, How.manual("29"), PageSays.ALLOWED);
                            bothSystems(f, How.manual("31"), PageSays.NOT_ALLOWED);
                        },
                        NOT_KNOWN,
                        "bothSystemsNotKnown"),
                row(
                        "CAB-8",
                        "nobody knows whether there is a leg",
                        f -> f.seat.leg = Evidence.notLooked(),
                        NOT_KNOWN,
                        "legNotKnown"),
                row(
                        "CAB-8",
                        "locked on a solid floor",
                        f -> leg(f, LegUse.ALWAYS, "LOCKED_ON_FLOOR"),
                        HOLDS,
                        "lockedOnFloor"),
                row(
                        "CAB-8",
                        "over storage, manual silent",
                        f -> {
                            f.car.floor = stated(Floor.STORAGE);
                            f.car.permissions.put(PermissionKey.LEG_OVER_STORAGE, silent());
                            leg(f, LegUse.ALWAYS, "LOCKED_ON_FLOOR");
                        },
                        STOP,
                        "storageNotAllowed"),
                row(
                        "CAB-8",
                        "floor not looked at",
                        f -> {
                            f.car.floor = Evidence.notLooked();
                            leg(f, LegUse.ALWAYS, "LOCKED_ON_FLOOR");
                        },
                        NOT_KNOWN,
                        "floorNotKnown"),
                row("CAB-8", "not locked", f -> leg(f, LegUse.ALWAYS, "NOT_LOCKED"), FIX, "notLocked"),
                row("CAB-8", "left out where always asked", f -> leg(f, LegUse.ALWAYS, "NOT_USED"), STOP, "legAlways"),
                row(
                        "CAB-8",
                        "left out where it could stand",
                        f -> leg(f, LegUse.WHEN_POSSIBLE, "NOT_USED"),
                        FIX,
                        "legCouldStand"),
                row(
                        "CAB-8",
                        "left out over storage, as the seat manual allows",
                        f -> {
                            leg(f, LegUse.WHEN_POSSIBLE, "NOT_USED");
                            f.car.floor = stated(Floor.STORAGE);
                            f.car.permissions.put(PermissionKey.LEG_OVER_STORAGE, silent());
                            f.seat.says(PermissionKey.LOAD_LEG_OMITTED, ALLOWED);
                        },
                        ADVISE,
                        "legLeftOut"),
                row(
                        "CAB-8",
                        "lifts the base and nobody read whether it may",
                        f -> leg(f, LegUse.ALWAYS, "LIFTS_THE_BASE"),
                        NOT_KNOWN,
                        "liftedNotKnown"),
                row(
                        "CAB-10",
                        "a flat hand, both manuals silent",
                        f -> f.answer(Question.GAP, "FLAT_HAND"),
                        HOLDS,
                        "enough",
                        "asked",
                        mm(30)),
                row(
                        "CAB-10",
                        "a hand does not decide 40 mm",
                        f -> f.car.gap = stated(mm(40)),
                        NOT_KNOWN,
                        "measureIt",
                        "asked",
                        mm(40)),
                row(
                        "CAB-10",
                        "measured, the larger demand counts",
                        f -> {
                            f.seat.gap = stated(mm(35));
                            f.car.gap = stated(mm(40));
                            gap(f, 39);
                        },
                        FIX,
                        "tooClose",
                        "gap",
                        mm(39),
                        "asked",
                        mm(40)),
                row(
                        "CAB-10",
                        "one manual not looked at",
                        f -> f.car.gap = Evidence.notLooked(),
                        NOT_KNOWN,
                        "manualsNotLooked"),
                row(
                        "CAB-10",
                        "touching, nobody looked",
                        f -> f.answer(Question.GAP, "TOUCHES"),
                        NOT_KNOWN,
                        "touchingNotKnown"),
                row(
                        "CAB-10",
                        "touching, both allow",
                        f -> {
                            f.seat.says(PermissionKey.TOUCHING_FRONT_SEAT, ALLOWED);
                            f.car.says(PermissionKey.TOUCHING_FRONT_SEAT, ALLOWED);
                            f.answer(Question.GAP, "TOUCHES");
                        },
                        HOLDS,
                        "touchingAllowed"));
    }

    static Stream<RuleCase> cases() {
        return places();
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("cases")
    void rule(RuleCase each) {
        each.check();
    }

    /** A front-row place with its airbag off; everything of securing is looked at again there. */
    private static void frontRow(FittingBuilder fitting) {
        PositionId front = new PositionId(1, Side.RIGHT);
        fitting.car.place = front;
        fitting.car.airbag = stated(Airbag.OFF_CONFIRMED);
        secured(fitting, front, Method.BASE_FLEXIBLE_ANCHORS);
    }

    /** A place of the back row like the good one, without an airbag before it. */
    private static SeatingPosition backPlace(FittingBuilder fitting) {
        fitting.car.airbag = stated(Airbag.NONE);
        SeatingPosition back = fitting.car.another(new PositionId(2, Side.LEFT));
        fitting.car.airbag = stated(Airbag.OFF_CONFIRMED);
        return back;
    }

    private static void secured(FittingBuilder fitting, PositionId place, Method method) {
        fitting.add(new Fact.Placed(UnitId.FIRST, place, method));
        fitting.answer(Question.GROUND, "LEVEL").answer(Question.ANCHORS_HOOKED, "BOTH_CLICKED");
        fitting.answer(Question.STRAP, "STRAIGHT_AND_STOWED").answer(Question.SITS_WHOLE, "WHOLE");
        fitting.answer(Question.SYSTEMS, "ANCHORS_ALONE").answer(Question.MOVEMENT, "UNDER_AN_INCH");
        fitting.answer(Question.WINDOWS, "ALL_LOCKED").answer(Question.CLICK, "CLICKED_AND_LIFTED");
        fitting.level(Reading.INSIDE);
        handle(fitting, HandlePosition.UP);
    }

    private static void handle(FittingBuilder fitting, HandlePosition position) {
        fitting.add(new Fact.HandleSet(UnitId.FIRST, position));
        fitting.answer(Question.GAP, "FLAT_HAND");
    }

    private static void bothSystems(FittingBuilder fitting, How how, PageSays says) {
        fitting.add(how, new Fact.PermissionRead(UnitId.FIRST, PermissionKey.BOTH_SYSTEMS, Speaker.SEAT, says));
    }

    private static void leg(FittingBuilder fitting, LegUse use, String answer) {
        fitting.seat.leg = stated(use);
        fitting.answer(Question.LEG, answer);
    }

    private static void gap(FittingBuilder fitting, double millimetres) {
        fitting.add(new Fact.LengthMeasured(UnitId.FIRST, Dimension.GAP, Length.ofMillimetres(millimetres), null));
    }
}
