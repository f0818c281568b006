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
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Argument;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.seat.LegUse;
import app.layette.core.seat.WeightBand;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition.Airbag;
import app.layette.core.vehicle.SeatingPosition.Facing;
import app.layette.core.vehicle.SeatingPosition.Floor;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Place, recline and securing: CAB, REC and SEC. */
class CarRulesTest {
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
                        "front row, airbag off, both manuals allow",
                        f -> {
                            frontRow(f);
                            f.seat.says(PermissionKey.FRONT_ROW, ALLOWED);
                            f.car.says(PermissionKey.FRONT_ROW, ALLOWED);
                        },
                        HOLDS,
                        "frontRowAllowed"),
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
                        "left out where asked when possible",
                        f -> leg(f, LegUse.WHEN_POSSIBLE, "NOT_USED"),
                        ADVISE,
                        "legLeftOut"),
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
                row("REC-1", "no band for this weight", CarRulesTest::bandFromTwentyPounds, NOT_KNOWN, "noBand"),
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

    static Stream<RuleCase> securing() {
        return Stream.of(
                row("SEC-3", "twisted strap", f -> f.answer(Question.STRAP, "TWISTED"), FIX, "twisted"),
                row(
                        "SEC-4",
                        "a connector upside down",
                        f -> f.answer(Question.ANCHORS_HOOKED, "UPSIDE_DOWN"),
                        FIX,
                        "upsideDown"),
                row(
                        "SEC-6",
                        "just under an inch by tape",
                        f -> movement(f, 25.39),
                        HOLDS,
                        "underAnInch",
                        "movement",
                        mm(25.39)),
                row(
                        "SEC-6",
                        "exactly an inch is too much",
                        f -> movement(f, 25.4),
                        FIX,
                        "anInchOrMore",
                        "movement",
                        mm(25.4)),
                row(
                        "SEC-6",
                        "an inch or more by eye",
                        f -> f.answer(Question.MOVEMENT, "AN_INCH_OR_MORE"),
                        FIX,
                        "anInchOrMore"),
                row("SEC-7", "an indicator open", f -> f.answer(Question.WINDOWS, "NOT_ALL"), FIX, "notAll"),
                row("SEC-7", "no list of indicators", f -> f.seat.windows = Evidence.notLooked(), NOT_KNOWN, "noList"),
                row("SEC-7", "a sheet that states none", f -> f.seat.windows = stated(List.of()), HOLDS, "noWindows"),
                row("SEC-8", "came loose when lifted", f -> f.answer(Question.CLICK, "CAME_LOOSE"), FIX, "cameLoose"),
                row(
                        "SEC-9",
                        "a position on the list",
                        f -> f.add(new Fact.HandleSet("u1", HandlePosition.UP)),
                        HOLDS,
                        "allowed",
                        "position",
                        new Argument.OfKey("handle.UP")),
                row("SEC-9", "a position off the list", f -> handle(f, HandlePosition.DOWN), FIX, "notAllowed"),
                row("SEC-9", "nobody looked", f -> f.seat.handle = Evidence.notLooked(), NOT_KNOWN, "notKnown"),
                row("SEC-9", "a silent manual stays not known", f -> f.seat.handle = silent(), NOT_KNOWN, "notKnown"),
                row(
                        "SEC-9",
                        "its page read on the spot",
                        f -> {
                            f.seat.handle = Evidence.notLooked();
                            f.page("43", new Fact.HandlePositionRead("u1", HandlePosition.UP, ALLOWED));
                        },
                        HOLDS,
                        "allowed"),
                row(
                        "SEC-9",
                        "two readings disagree",
                        f -> {
                            f.seat.handle = Evidence.notLooked();
                            f.page("43", new Fact.HandlePositionRead("u1", HandlePosition.UP, ALLOWED));
                            f.page("44", new Fact.HandlePositionRead("u1", HandlePosition.UP, NOT_ALLOWED));
                        },
                        NOT_KNOWN,
                        "notKnown"));
    }

    static Stream<RuleCase> belt() {
        return Stream.of(
                row(
                        "CAB-5",
                        "anchors although the belt was chosen",
                        f -> {
                            byBelt(f);
                            f.answer(Question.SYSTEMS, "ANCHORS_ALONE");
                        },
                        FIX,
                        "otherMethod"),
                row("CAB-5", "the belt alone, as chosen", CarRulesTest::byBelt, HOLDS, "beltAlone"),
                row(
                        "CAB-6",
                        "an inflatable belt, nobody looked at the manuals",
                        f -> {
                            byBelt(f);
                            f.car.inflatable = stated(true);
                        },
                        NOT_KNOWN,
                        "inflatableNotKnown"),
                row(
                        "CAB-6",
                        "an inflatable belt that both allow",
                        f -> {
                            byBelt(f);
                            f.car.inflatable = stated(true);
                            f.seat.says(PermissionKey.INFLATABLE_BELT, ALLOWED);
                            f.car.says(PermissionKey.INFLATABLE_BELT, ALLOWED);
                        },
                        HOLDS,
                        "inflatableAllowed"),
                row(
                        "CAB-6",
                        "nobody looked at the belt",
                        f -> {
                            byBelt(f);
                            f.car.inflatable = Evidence.notLooked();
                        },
                        NOT_KNOWN,
                        "inflatableBeltNotLooked"),
                row(
                        "CAB-7",
                        "another place's buckle",
                        f -> {
                            byBelt(f);
                            f.answer(Question.BUCKLE, "ANOTHER");
                        },
                        FIX,
                        "another"),
                row(
                        "SEC-1",
                        "a lock-off locks any belt",
                        CarRulesTest::byBelt,
                        HOLDS,
                        "locks",
                        "lock",
                        new Argument.OfKey("lock.LOCK_OFF")),
                row(
                        "SEC-1",
                        "no lock-off, a switchable retractor",
                        f -> {
                            byBelt(f);
                            f.seat.lockOffs = stated(List.of());
                        },
                        HOLDS,
                        "locks",
                        "lock",
                        new Argument.OfKey("lock.SWITCHED_RETRACTOR")),
                row(
                        "SEC-1",
                        "no lock-off, emergency locking and a sliding plate",
                        f -> {
                            byBelt(f);
                            f.seat.lockOffs = stated(List.of());
                            f.car.retractor = stated(Belt.Retractor.EMERGENCY_ONLY);
                            f.seat.says(PermissionKey.LOCKING_CLIP, NOT_ALLOWED);
                        },
                        STOP,
                        "nothingLocks"),
                row(
                        "SEC-1",
                        "found by the two-part test",
                        f -> {
                            byBelt(f);
                            f.seat.lockOffs = stated(List.of());
                            f.car.retractor = Evidence.notLooked();
                            f.answer(Question.RETRACTOR, "AUTOMATIC");
                        },
                        HOLDS,
                        "locks",
                        "lock",
                        new Argument.OfKey("lock.AUTOMATIC_RETRACTOR")),
                row(
                        "SEC-1",
                        "tested, and still not sure",
                        f -> {
                            byBelt(f);
                            f.seat.lockOffs = stated(List.of());
                            f.car.retractor = Evidence.notLooked();
                            f.answer(Question.RETRACTOR, "UNSURE");
                        },
                        NOT_KNOWN,
                        "beltNotKnown"),
                row(
                        "SEC-1",
                        "nobody knows about lock-offs",
                        f -> {
                            byBelt(f);
                            f.seat.lockOffs = Evidence.notLooked();
                        },
                        NOT_KNOWN,
                        "lockOffsNotKnown"),
                row(
                        "SEC-1",
                        "the belt ran out when pulled",
                        f -> {
                            byBelt(f);
                            f.answer(Question.LOCK_PROOF, "SLIPPED");
                        },
                        FIX,
                        "slipped"),
                row(
                        "SEC-2",
                        "the lock-off left open",
                        f -> {
                            byBelt(f);
                            f.answer(Question.LOCK_OFF, "OPEN");
                        },
                        FIX,
                        "open"),
                row(
                        "SEC-2",
                        "a base without one",
                        f -> {
                            byBelt(f);
                            f.seat.lockOffs = stated(List.of());
                            f.without(Question.LOCK_OFF);
                        },
                        HOLDS,
                        "noLockOff"),
                row(
                        "SEC-3",
                        "through the carrier's guides",
                        f -> {
                            byBelt(f);
                            f.answer(Question.BELT_ROUTE, "WRONG_PATH");
                        },
                        FIX,
                        "wrongPath"));
    }

    static Stream<RuleCase> cases() {
        return Stream.of(places(), recline(), securing(), belt()).flatMap(each -> each);
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

    private static void secured(FittingBuilder fitting, PositionId place, Method method) {
        fitting.add(new Fact.Placed("u1", place, method));
        fitting.answer(Question.GROUND, "LEVEL").answer(Question.ANCHORS_HOOKED, "BOTH_CLICKED");
        fitting.answer(Question.STRAP, "STRAIGHT_AND_STOWED").answer(Question.SITS_WHOLE, "WHOLE");
        fitting.answer(Question.SYSTEMS, "ANCHORS_ALONE").answer(Question.MOVEMENT, "UNDER_AN_INCH");
        fitting.answer(Question.WINDOWS, "ALL_LOCKED").answer(Question.CLICK, "CLICKED_AND_LIFTED");
        fitting.level(Reading.INSIDE);
        handle(fitting, HandlePosition.UP);
    }

    /** The same place by the belt; everything of securing is looked at again. */
    private static void byBelt(FittingBuilder fitting) {
        secured(fitting, fitting.car.place, Method.BASE_BELT);
        fitting.answer(Question.SYSTEMS, "BELT_ALONE").answer(Question.BUCKLE, "ITS_OWN");
        fitting.answer(Question.BELT_ROUTE, "STRAIGHT_IN_PATH").answer(Question.LOCK_OFF, "CLOSED");
        fitting.answer(Question.LOCK_PROOF, "HELD");
    }

    private static void handle(FittingBuilder fitting, HandlePosition position) {
        fitting.add(new Fact.HandleSet("u1", position));
        fitting.answer(Question.GAP, "FLAT_HAND");
    }

    private static void bothSystems(FittingBuilder fitting, How how, PageSays says) {
        fitting.add(how, new Fact.PermissionRead("u1", PermissionKey.BOTH_SYSTEMS, Speaker.SEAT, says));
    }

    private static void leg(FittingBuilder fitting, LegUse use, String answer) {
        fitting.seat.leg = stated(use);
        fitting.answer(Question.LEG, answer);
    }

    private static void gap(FittingBuilder fitting, double millimetres) {
        fitting.add(new Fact.LengthMeasured("u1", Dimension.GAP, Length.ofMillimetres(millimetres), null));
    }

    private static void movement(FittingBuilder fitting, double millimetres) {
        fitting.add(new Fact.LengthMeasured("u1", Dimension.MOVEMENT, Length.ofMillimetres(millimetres), null));
    }

    private static void ground(FittingBuilder fitting, double degrees) {
        fitting.add(new Fact.GroundMeasured("u1", Angle.ofDegrees(degrees)));
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
