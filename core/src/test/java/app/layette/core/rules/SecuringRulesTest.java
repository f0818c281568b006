package app.layette.core.rules;

import static app.layette.core.evidence.Said.ALLOWED;
import static app.layette.core.evidence.Said.NOT_ALLOWED;
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
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.finding.Argument;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.measure.Length;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.PositionId;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Securing it, by anchors or belt: SEC. */
class SecuringRulesTest {
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
                        f -> f.add(new Fact.HandleSet(UnitId.FIRST, HandlePosition.UP)),
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
                            f.page("43", new Fact.HandlePositionRead(UnitId.FIRST, HandlePosition.UP, ALLOWED));
                        },
                        HOLDS,
                        "allowed"),
                row(
                        "SEC-9",
                        "two readings disagree",
                        f -> {
                            f.seat.handle = Evidence.notLooked();
                            f.page("43", new Fact.HandlePositionRead(UnitId.FIRST, HandlePosition.UP, ALLOWED));
                            f.page("44", new Fact.HandlePositionRead(UnitId.FIRST, HandlePosition.UP, NOT_ALLOWED));
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
                row("CAB-5", "the belt alone, as chosen", SecuringRulesTest::byBelt, HOLDS, "beltAlone"),
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
                        SecuringRulesTest::byBelt,
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
        return Stream.concat(securing(), belt());
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("cases")
    void rule(RuleCase each) {
        each.check();
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

    /** The same place by the belt; everything of securing is looked at again. */
    private static void byBelt(FittingBuilder fitting) {
        secured(fitting, fitting.car.place, Method.BASE_BELT);
        fitting.answer(Question.SYSTEMS, "BELT_ALONE").answer(Question.BUCKLE, "ITS_OWN");
        fitting.answer(Question.BELT_ROUTE, "STRAIGHT_IN_PATH").answer(Question.LOCK_OFF, "CLOSED");
        fitting.answer(Question.LOCK_PROOF, "HELD");
    }

    private static void handle(FittingBuilder fitting, HandlePosition position) {
        fitting.add(new Fact.HandleSet(UnitId.FIRST, position));
        fitting.answer(Question.GAP, "FLAT_HAND");
    }

    private static void movement(FittingBuilder fitting, double millimetres) {
        fitting.add(new Fact.LengthMeasured(UnitId.FIRST, Dimension.MOVEMENT, Length.ofMillimetres(millimetres), null));
    }
}
