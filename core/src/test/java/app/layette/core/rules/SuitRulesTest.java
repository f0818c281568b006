package app.layette.core.rules;

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
import app.layette.core.entry.Fact.OrderKind;
import app.layette.core.entry.Fact.ScreeningResult;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Speaker;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.practice.PracticeProfile.Screening;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.PieceId;
import app.layette.core.seat.SeatKind;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class SuitRulesTest {
    static Stream<RuleCase> cases() {
        Mass fourPounds = Mass.ofPounds(4);
        Mass thirtyPounds = Mass.ofPounds(30);
        return Stream.of(
                row(
                        "SUIT-1",
                        "exactly the minimum, in grams",
                        f -> weigh(f, Mass.ofGrams(1814.4)),
                        HOLDS,
                        "inside",
                        "weight",
                        fourPounds,
                        "min",
                        fourPounds),
                row(
                        "SUIT-1",
                        "a tenth of a gram below the minimum",
                        f -> weigh(f, Mass.ofGrams(1814.3)),
                        STOP,
                        "tooLight",
                        "min",
                        fourPounds),
                row(
                        "SUIT-1",
                        "exactly the maximum",
                        f -> weigh(f, thirtyPounds),
                        HOLDS,
                        "inside",
                        "max",
                        thirtyPounds,
                        "room",
                        Mass.ofGrams(0)),
                row(
                        "SUIT-1",
                        "above the maximum",
                        f -> weigh(f, Mass.ofPounds(30.1)),
                        STOP,
                        "tooHeavy",
                        "max",
                        thirtyPounds),
                row(
                        "SUIT-1",
                        "the minimum was never looked up",
                        f -> f.seat.weightMin = Evidence.notLooked(),
                        NOT_KNOWN,
                        "limitsNotKnown"),
                row(
                        "SUIT-1",
                        "a weight four days old in the first two weeks",
                        f -> f.today = FittingBuilder.TODAY.plusDays(4),
                        NOT_KNOWN,
                        "weightTooOld",
                        "weighed",
                        FittingBuilder.TODAY,
                        "days",
                        3),
                row(
                        "SUIT-2",
                        "exactly the maximum",
                        f -> length(f, Length.ofInches(30)),
                        HOLDS,
                        "inside",
                        "max",
                        Length.ofInches(30)),
                row(
                        "SUIT-2",
                        "longer than the maximum",
                        f -> length(f, Length.ofMillimetres(762.1)),
                        STOP,
                        "tooLong",
                        "length",
                        Length.ofMillimetres(762.1)),
                row(
                        "SUIT-2",
                        "the manual states no maximum",
                        f -> f.seat.lengthMax = stated(LengthLimit.none()),
                        HOLDS,
                        "noLimit"),
                row(
                        "SUIT-2",
                        "the maximum was never looked up",
                        f -> f.seat.lengthMax = Evidence.notLooked(),
                        NOT_KNOWN,
                        "limitNotKnown"),
                row(
                        "SUIT-3",
                        "exactly what the manual asks",
                        f -> f.height(Dimension.CROWN, 445),
                        HOLDS,
                        "enough",
                        "room",
                        mm(25),
                        "asked",
                        mm(25)),
                row(
                        "SUIT-3",
                        "a little less",
                        f -> f.height(Dimension.CROWN, 445.1),
                        STOP,
                        "tooLittle",
                        "asked",
                        mm(25)),
                row(
                        "SUIT-3",
                        "a silent manual leaves it to the profile",
                        f -> {
                            f.seat.headRoom = silent();
                            f.height(Dimension.CROWN, 430);
                        },
                        STOP,
                        "tooLittle",
                        "asked",
                        mm(50)),
                row(
                        "SUIT-3",
                        "nobody looked",
                        f -> f.seat.headRoom = Evidence.notLooked(),
                        NOT_KNOWN,
                        "manualNotLooked"),
                row(
                        "SUIT-3",
                        "by eye, later than the tape",
                        f -> f.answer(Question.HEAD_ROOM, "LESS"),
                        STOP,
                        "tooLittle",
                        "room",
                        mm(0)),
                row(
                        "SUIT-4",
                        "the lowest slot right at the shoulder",
                        f -> f.height(Dimension.SHOULDER, 196),
                        HOLDS,
                        "inReach",
                        "slot",
                        1),
                row(
                        "SUIT-4",
                        "the shoulder just below the lowest slot",
                        f -> f.height(Dimension.SHOULDER, 195),
                        STOP,
                        "belowLowest",
                        "above",
                        mm(1)),
                row(
                        "SUIT-4",
                        "the slots were never looked up",
                        f -> f.seat.slots = Evidence.notLooked(),
                        NOT_KNOWN,
                        "slotsNotKnown"),
                row(
                        "SUIT-5",
                        "loose at its shortest",
                        f -> f.answer(Question.SNUG_SHORTEST, "STILL_LOOSE"),
                        STOP,
                        "stillLoose"),
                row(
                        "SUIT-7",
                        "flat order, sitting seat",
                        f -> order(f, OrderKind.FLAT),
                        STOP,
                        "against",
                        "role",
                        "paediatrician"),
                row(
                        "SUIT-7",
                        "flat order, car bed",
                        f -> {
                            f.seat.kind = SeatKind.CAR_BED;
                            order(f, OrderKind.FLAT);
                            f.replace(
                                    fact -> fact instanceof Fact.Placed,
                                    new Fact.Placed(UnitId.FIRST, f.car.place, Method.CAR_BED));
                            f.answer(Question.BELT_ROUTE, "STRAIGHT_IN_PATH").answer(Question.BUCKLE, "ITS_OWN");
                            f.answer(Question.LOCK_OFF, "CLOSED").answer(Question.LOCK_PROOF, "HELD");
                            f.answer(Question.LIES_FLAT, "FLAT_HEAD_AS_SHEET");
                        },
                        HOLDS,
                        "kept"),
                row(
                        "SUIT-7",
                        "an order without its review date",
                        f -> f.add(new Fact.Ordered(
                                RiderId.FIRST, OrderKind.SEMI_RECLINED, "paediatrician", FittingBuilder.TODAY, null)),
                        NOT_KNOWN,
                        "orderIncomplete"),
                row(
                        "SUIT-11",
                        "the seat's own condition is not met",
                        f -> {
                            f.seat.ownConditions = stated(List.of("holds its head up"));
                            f.answer(Question.OWN_CONDITIONS, "NOT_MET");
                        },
                        STOP,
                        "notMet"),
                row(
                        "SUIT-11",
                        "nobody read whether the seat has conditions of its own",
                        f -> f.seat.ownConditions = Evidence.notLooked(),
                        NOT_KNOWN,
                        "conditionsNotLooked"),
                row(
                        "SUIT-5",
                        "lighter than the manual's shortest setting is snug for",
                        f -> f.seat.shortestSnugFrom = stated(Mass.ofKilograms(3)),
                        ADVISE,
                        "tooLightForShortest"),
                row(
                        "SUIT-7",
                        "semi-reclined order, sitting seat",
                        f -> order(f, OrderKind.SEMI_RECLINED),
                        HOLDS,
                        "kept"),
                row("SUIT-7", "as screened, and not screened", f -> order(f, OrderKind.AS_SCREENED), STOP, "against"),
                row(
                        "SUIT-7",
                        "an order past its review",
                        f -> f.add(new Fact.Ordered(
                                RiderId.FIRST,
                                OrderKind.SEMI_RECLINED,
                                "paediatrician",
                                FittingBuilder.TODAY.minusDays(9),
                                FittingBuilder.TODAY.minusDays(1))),
                        NOT_KNOWN,
                        "reviewPast"),
                row(
                        "SUIT-8",
                        "a term baby of usual weight is not asked",
                        f -> f.answer(Question.CONDITION, "NONE"),
                        HOLDS,
                        "notAsked"),
                row(
                        "SUIT-8",
                        "born at 36 weeks and 6 days, unanswered",
                        f -> gestation(f, 258),
                        NOT_KNOWN,
                        "unanswered"),
                row("SUIT-8", "weeks unknown are asked", f -> gestation(f, null), NOT_KNOWN, "unanswered"),
                row("SUIT-8", "under 2500 g", f -> weigh(f, Mass.ofGrams(2499.9)), NOT_KNOWN, "unanswered"),
                row("SUIT-8", "a condition", f -> f.answer(Question.CONDITION, "YES"), NOT_KNOWN, "unanswered"),
                row(
                        "SUIT-8",
                        "a practice that asks everyone",
                        f -> f.screening = Screening.EVERYONE,
                        NOT_KNOWN,
                        "unanswered"),
                row(
                        "SUIT-8",
                        "passed",
                        f -> {
                            gestation(f, 240);
                            screened(f, ScreeningResult.PASSED, null);
                        },
                        HOLDS,
                        "passed"),
                row(
                        "SUIT-8",
                        "not passed",
                        f -> {
                            gestation(f, 240);
                            screened(f, ScreeningResult.NOT_PASSED, null);
                        },
                        STOP,
                        "notPassed"),
                row(
                        "SUIT-8",
                        "not offered, clinician informed",
                        f -> {
                            gestation(f, 240);
                            screened(f, ScreeningResult.NOT_OFFERED_CLINICIAN_INFORMED, "ward nurse");
                        },
                        ADVISE,
                        "clinicianInformed",
                        "who",
                        "ward nurse"),
                row(
                        "SUIT-8",
                        "not offered, nobody informed",
                        f -> {
                            gestation(f, 240);
                            screened(f, ScreeningResult.NOT_OFFERED_CLINICIAN_INFORMED, " ");
                        },
                        NOT_KNOWN,
                        "whoWasInformed"),
                row(
                        "SUIT-9",
                        "a required piece left out",
                        f -> insert(f, false),
                        FIX,
                        "mustBeIn",
                        "piece",
                        "body piece"),
                row(
                        "SUIT-9",
                        "a piece left in past its weight",
                        f -> {
                            weigh(f, Mass.ofPounds(11));
                            f.height(Dimension.SHOULDER, 210);
                            f.add(new Fact.SlotsSet(UnitId.FIRST, 1, 1, 1, 1, "short"));
                            f.add(new Fact.CrotchSet(UnitId.FIRST, 2));
                        },
                        FIX,
                        "mustBeOut",
                        "weight",
                        Mass.ofPounds(11)),
                row("SUIT-9", "nobody looked", f -> f.seat.insert = Evidence.notLooked(), NOT_KNOWN, "notLooked"),
                row("SUIT-9", "a seat stated to have none", f -> f.seat.insert = stated(List.of()), HOLDS, "noInsert"),
                row(
                        "SUIT-10",
                        "child and restraint at the printed limit",
                        f -> f.seat.anchorLimit = stated(Mass.ofGrams(9950)),
                        HOLDS,
                        "under",
                        "together",
                        Mass.ofGrams(9950)),
                row(
                        "SUIT-10",
                        "the vehicle's stricter limit counts",
                        f -> f.car.anchorLimit = stated(Mass.ofKilograms(9)),
                        STOP,
                        "past",
                        "limit",
                        Mass.ofKilograms(9)),
                row(
                        "SUIT-10",
                        "both silent: the practice's convention",
                        f -> f.seat.anchorLimit = silent(),
                        HOLDS,
                        "under",
                        "limit",
                        Mass.ofPounds(65)),
                row(
                        "SUIT-10",
                        "the vehicle manual was never looked at",
                        f -> f.car.anchorLimit = Evidence.notLooked(),
                        NOT_KNOWN,
                        "limitNotKnown"),
                row(
                        "SUIT-10",
                        "a page read for this fitting fills it",
                        f -> {
                            f.car.anchorLimit = Evidence.notLooked();
                            f.page("3-9", limitRead());
                        },
                        HOLDS,
                        "under"),
                row(
                        "SUIT-10",
                        "told is not read",
                        f -> {
                            f.car.anchorLimit = Evidence.notLooked();
                            f.add(How.TOLD, limitRead());
                        },
                        NOT_KNOWN,
                        "limitNotKnown"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("cases")
    void rule(RuleCase each) {
        each.check();
    }

    /** A new weight asks for a new look at shoulder and level; both are given here. */
    private static void weigh(FittingBuilder fitting, Mass mass) {
        fitting.without(fact -> fact instanceof Fact.Weighed);
        fitting.add(new Fact.Weighed(RiderId.FIRST, mass));
        boolean heavy = !mass.isLessThan(Mass.ofPounds(11));
        if (heavy && mass.isMoreThan(Mass.ofPounds(11))) {
            insert(fitting, false);
        }
        if (!mass.isLessThan(Mass.ofPounds(10))) {
            fitting.add(new Fact.CrotchSet(UnitId.FIRST, 2));
        }
        fitting.add(new Fact.SlotsSet(UnitId.FIRST, 1, 1, 1, 1, "short"));
        fitting.answer(Question.WEBBING, "STRAIGHT_HOME_AND_FREE");
        fitting.height(Dimension.SHOULDER, 210).height(Dimension.CROWN, 340);
        fitting.answer(Question.CLIP, "ARMPIT").answer(Question.SNUG, "SNUG");
        fitting.level(Indicator.Reading.INSIDE);
        if (mass.isLessThan(Mass.ofGrams(2400))) {
            screened(fitting, ScreeningResult.PASSED, null);
        }
    }

    private static void length(FittingBuilder fitting, Length length) {
        fitting.without(fact -> fact instanceof Fact.LengthMeasured each && each.what() == Dimension.BODY);
        fitting.add(new Fact.LengthMeasured(RiderId.FIRST, Dimension.BODY, length, null));
    }

    private static void order(FittingBuilder fitting, OrderKind kind) {
        fitting.add(new Fact.Ordered(
                RiderId.FIRST, kind, "paediatrician", FittingBuilder.TODAY, FittingBuilder.TODAY.plusDays(30)));
    }

    private static void gestation(FittingBuilder fitting, Integer days) {
        fitting.add(new Fact.ChildDescribed(
                RiderId.FIRST, FittingBuilder.TODAY.minusDays(6), days, null, Mass.ofGrams(3100)));
    }

    private static void screened(FittingBuilder fitting, ScreeningResult result, String who) {
        fitting.add(new Fact.Screened(RiderId.FIRST, result, who, FittingBuilder.TODAY, "M-1"));
    }

    private static void insert(FittingBuilder fitting, boolean in) {
        fitting.add(new Fact.InsertSet(UnitId.FIRST, new PieceId("body"), in));
    }

    private static Fact limitRead() {
        return new Fact.QuantityRead(UnitId.FIRST, Fact.Quantity.ANCHOR_LIMIT, Speaker.CAR, Mass.ofPounds(65), null);
    }
}
