package app.layette.core.entry;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Fact.BeltSort;
import app.layette.core.entry.Fact.QuickSeatRead;
import app.layette.core.entry.Fact.RoutingsShown;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Weight;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.gate.ConclusionState.State;
import app.layette.core.measure.Mass;
import app.layette.core.rule.Conclusion;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.core.secure.HandleForDriving;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.Belt.LatchPlate;
import app.layette.core.vehicle.Belt.Retractor;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition.Airbag;
import app.layette.core.vehicle.SeatingPosition.Facing;
import app.layette.core.vehicle.SeatingPosition.Floor;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A seat that is not on the shelf and a car without a sheet: what was read counts, the rest is not known. */
class WalkInTest {
    private static QuickSeatRead seat(Integer slots, Indicator.Pass pass, Mass from, Mass to, RoutingsShown routings) {
        return FactQuickSeatReadParts.builder()
                .of(UnitId.FIRST)
                .name("Found seat")
                .model("M-1")
                .weightMin(Mass.ofKilograms(1.8))
                .weightMax(Mass.ofKilograms(13))
                .slots(slots)
                .indicator(Indicator.Kind.BALL)
                .pass(pass)
                .zoneFrom(from)
                .zoneTo(to)
                .routings(routings)
                .handle(HandlePosition.UP)
                .build();
    }

    private static FittingBuilder withSeat(QuickSeatRead read) {
        return FittingBuilder.ready()
                .with(fitting -> fitting.unitSheet = QuickSeat.SHEET)
                .page("8", read);
    }

    @ParameterizedTest
    @CsvSource({
        "4, 1, 1, PASSED",
        "4, 2, 2, PASSED",
        "4, 0, 1, FAILED",
        "4, 1, 2, FAILED",
        "0, 1, 1, NOT_KNOWN",
    })
    void countedSlotsAreComparedByEye(int counted, int shoulderAt, int threaded, State expected) {
        FittingBuilder fitting = withSeat(seat(counted == 0 ? null : counted, null, null, null, null));
        fitting.add(new Fact.ShoulderSeen(RiderId.FIRST, shoulderAt));
        fitting.add(new Fact.SlotsSet(UnitId.FIRST, threaded, threaded, threaded, threaded, ""));
        boolean passes = fitting.state(Conclusion.SLOT).state() == State.PASSED;
        // The loops of this seat were not read, which alone keeps the slots from passing.
        assertThat(passes).isFalse();
        assertThat(fitting.state(Conclusion.SLOT).findings())
                .anySatisfy(finding -> assertThat(finding.weight())
                        .isEqualTo(expected == State.FAILED ? Weight.FIX : Weight.NOT_KNOWN));
        assertThat(fitting.state(Conclusion.SLOT_IN_REACH).state())
                .isEqualTo(counted == 0 ? State.NOT_KNOWN : shoulderAt == 0 ? State.FAILED : State.PASSED);
    }

    @Test
    void aTapeSaysNothingAboutSlotsThatWereOnlyCounted() {
        FittingBuilder fitting = withSeat(seat(4, null, null, null, null)).without(Fact.ShoulderSeen.class::isInstance);
        fitting.height(Fact.Dimension.SHOULDER, 400);
        assertThat(fitting.state(Conclusion.SLOT_IN_REACH).state()).isEqualTo(State.OPEN);
    }

    @ParameterizedTest
    @CsvSource({
        "WHOLLY_INSIDE, 2, 9, INSIDE, PASSED",
        "WHOLLY_INSIDE, 2, 2.95, INSIDE, PASSED",
        "WHOLLY_INSIDE, 2, 9, PART_RECLINED, FAILED",
        "ANY_PART, 2, 9, PART_RECLINED, PASSED",
        "ANY_PART, 3, 9, INSIDE, NOT_KNOWN",
        ", , , INSIDE, NOT_KNOWN"
    })
    void theLevelPassesOnlyByACriterionThatSomebodyRead(
            Indicator.Pass pass, Double from, Double to, Indicator.Reading reading, State expected) {
        FittingBuilder fitting = withSeat(seat(
                4, pass, from == null ? null : Mass.ofKilograms(from), to == null ? null : Mass.ofKilograms(to), null));
        fitting.level(reading);
        assertThat(fitting.state(Conclusion.LEVEL).state()).isEqualTo(expected);
    }

    @Test
    void aHandlePositionThatNobodyReadIsNotKnown() {
        Situation situation = withSeat(seat(4, null, null, null, null)).plan().situation();
        assertThat(HandleForDriving.permission(situation, HandlePosition.UP)).isEqualTo(Permission.ALLOWED);
        assertThat(HandleForDriving.permission(situation, HandlePosition.DOWN)).isEqualTo(Permission.NOT_KNOWN);
    }

    @ParameterizedTest
    @CsvSource({
        "EUROPEAN, ALLOWED, NOT_ALLOWED",
        "AMERICAN, NOT_ALLOWED, ALLOWED",
        "BOTH, ALLOWED, ALLOWED",
        "NEITHER, NOT_ALLOWED, NOT_ALLOWED",
        ", NOT_KNOWN, NOT_KNOWN"
    })
    void routingsAreAsTheManualShowsThem(RoutingsShown shown, Permission european, Permission american) {
        Situation situation =
                withSeat(seat(null, null, null, null, shown)).plan().situation();
        assertThat(situation.permission(PermissionKey.EUROPEAN_ROUTING)).isEqualTo(european);
        assertThat(situation.permission(PermissionKey.AMERICAN_ROUTING)).isEqualTo(american);
    }

    @Test
    void aZoneNeedsItsCriterionAndItsWeights() {
        FittingBuilder fitting = FittingBuilder.ready();
        assertThat(FactCheck.problems(
                        seat(13, Indicator.Pass.ANY_PART, Mass.ofKilograms(9), Mass.ofKilograms(4), null),
                        fitting.plan().situation()))
                .extracting(FieldProblem::field)
                .containsExactlyInAnyOrder("slots", "zoneTo");
        assertThat(FactCheck.problems(
                        seat(4, Indicator.Pass.ANY_PART, null, null, null),
                        fitting.plan().situation()))
                .extracting(FieldProblem::field)
                .containsExactly("zoneFrom", "zoneTo");
    }

    @ParameterizedTest
    @CsvSource({
        "SWITCHABLE, , PLAIN, PASSED, PASSED",
        "EMERGENCY_ONLY, SLIDING, PLAIN, PASSED, PASSED",
        "AUTOMATIC, , , PASSED, NOT_KNOWN",
        "AUTOMATIC, , INFLATABLE, PASSED, NOT_KNOWN",
    })
    void theBeltOfAQuickCarIsAsSeen(
            Retractor retractor, LatchPlate plate, BeltSort belt, State locks, State inflatable) {
        FittingBuilder fitting = FittingBuilder.ready();
        PositionId place = new PositionId(2, Side.RIGHT);
        fitting.add(FactQuickCarSeenParts.builder()
                .of(UnitId.FIRST)
                .name("Found car")
                .position(place)
                .facing(Facing.FORWARD)
                .airbag(Airbag.NONE)
                .anchors(OwnAnchors.NONE)
                .floor(Floor.SOLID)
                .retractor(retractor)
                .latchPlate(plate)
                .belt(belt)
                .beltKind(Belt.Kind.LAP_SHOULDER)
                .build());
        fitting.add(new Fact.Placed(UnitId.FIRST, place, Method.BASE_BELT));
        assertThat(fitting.state(Conclusion.BELT_LOCKS).state()).isEqualTo(locks);
        assertThat(fitting.state(Conclusion.INFLATABLE_BELT).state()).isEqualTo(inflatable);
    }

    @ParameterizedTest
    @CsvSource({"HEAD_ROOM, true", "GAP, true", "ANCHOR_LIMIT, true", "WEIGHT_MIN, false", "CARRIER_MASS, false"})
    void aSilentPageIsAnAnswerWhereSomethingElseDecides(Fact.Quantity quantity, boolean taken) {
        Fact page = new Fact.QuantityRead(UnitId.FIRST, quantity, Speaker.SEAT, null, null);
        Situation situation = FittingBuilder.ready().plan().situation();
        assertThat(FactCheck.problems(page, situation).isEmpty()).isEqualTo(taken);
    }

    @ParameterizedTest
    @CsvSource({
        "AIRBAG, , ACTIVE, place",
        "AIRBAG, 2-RIGHT, PERHAPS, says",
        "LIFE, , 0, says",
        "SLOTS, , 13, says",
        "INSERT, , REQUIRED, from",
        "LEG, , ALWAYS, ''",
        "LIFE, , 7, ''"
    })
    void aValueIsTakenAsItIsPrintedAndNoOther(SheetValue value, String place, String says, String wrong) {
        Fact read = new Fact.SheetValueRead(UnitId.FIRST, value, place == null ? null : PositionId.parse(place), says);
        assertThat(FactCheck.problems(read, FittingBuilder.ready().plan().situation()))
                .extracting(FieldProblem::field)
                .isEqualTo(wrong.isEmpty() ? List.of() : List.of(wrong));
    }

    /** A sheet's own word stays; what was seen of the car takes its place only where it binds more. */
    @ParameterizedTest
    @CsvSource({"ACTIVE, ACTIVE", "NONE, NONE"})
    void whatWasSeenOfTheCarBindsAndNeverLoosens(Airbag seen, Airbag counts) {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.add(new Fact.SheetValueRead(UnitId.FIRST, SheetValue.AIRBAG, fitting.car.place, seen.name()));
        Situation situation = fitting.plan().situation();
        assertThat(situation.position().orElseThrow().airbag().value()).contains(counts);
    }

    @Test
    void whatWasOnlyToldOfACarOrReadWithoutAPageFillsNothing() {
        FittingBuilder fitting = withSeat(seat(4, null, null, null, null));
        fitting.add(new Fact.SheetValueRead(UnitId.FIRST, SheetValue.LEG, null, "NO_LEG"));
        assertThat(fitting.plan().situation().seat().orElseThrow().leg().isLooked())
                .isFalse();
        fitting.page("9", new Fact.SheetValueRead(UnitId.FIRST, SheetValue.LEG, null, "NO_LEG"));
        assertThat(fitting.plan().situation().seat().orElseThrow().leg().isLooked())
                .isTrue();
    }

    /** What an earlier fitting says counts only once nothing was done to the seat since. */
    @ParameterizedTest
    @CsvSource({"NOTHING, true", "SOMETHING, false", ", false"})
    void whatIsCarriedCountsOnlyWhereNothingWasDoneSince(String since, boolean counts) {
        FittingBuilder fitting = FittingBuilder.ready().without(Question.PARTS);
        fitting.add(new Fact.CameBack(UnitId.FIRST, new UUID(1, 1), FittingBuilder.TODAY.minusDays(20), "M-1", null));
        fitting.add(
                new How(
                        How.Kind.CARRIED_FROM,
                        FittingBuilder.TODAY.minusDays(20).toString()),
                new Fact.Answered(UnitId.FIRST, Question.PARTS, "COMPLETE"));
        if (since != null) {
            fitting.answer(Question.SINCE, since);
        }
        assertThat(fitting.state(Conclusion.named("PARTS")).state() == State.PASSED)
                .isEqualTo(counts);
    }

    private static Fact value(SheetValue value, String says) {
        return new Fact.SheetValueRead(UnitId.FIRST, value, null, says);
    }

    private static boolean isLooked(FittingBuilder fitting) {
        return fitting.plan().situation().seat().orElseThrow().leg().isLooked();
    }

    /** SUIT-9: a document that says of no weights what a page says is believed of no child. */
    @ParameterizedTest
    @CsvSource({"1800, 5000, true", "1800, , false", ", 5000, false", ", , false", "4000, 5000, false"})
    void whatIsSaidOfNoWeightsIsSaidOfNoChild(Double from, Double to, boolean fills) {
        FittingBuilder fitting = withSeat(seat(4, null, null, null, null));
        fitting.page(
                "9",
                new Fact.SheetValueRead(
                        UnitId.FIRST,
                        SheetValue.INSERT,
                        null,
                        "REQUIRED",
                        from == null ? null : Mass.ofGrams(from),
                        to == null ? null : Mass.ofGrams(to)));
        assertThat(fitting.plan().situation().seat().orElseThrow().insert().isLooked())
                .isEqualTo(fills);
    }

    @Test
    void twoPagesThatDifferComeToNothing() {
        FittingBuilder fitting = withSeat(seat(4, null, null, null, null)).page("9", value(SheetValue.LEG, "ALWAYS"));
        assertThat(isLooked(fitting)).isTrue();
        assertThat(isLooked(fitting.page("30", value(SheetValue.LEG, "NO_LEG"))))
                .as("a later page never loosens an earlier one")
                .isFalse();
    }

    @Test
    void aBaseThatWasReadOnTheListIsThatBaseAlone() {
        FittingBuilder fitting =
                withSeat(seat(4, null, null, null, null)).page("9", value(SheetValue.BASE_LISTED, "YES"));
        assertThat(fitting.state(Conclusion.named("BASE_FITS_CARRIER")).state()).isEqualTo(State.PASSED);
        fitting.correct(new Fact.LabelRead(UnitId.FIRST, Fact.Part.BASE, "B-2", PartialDate.parse("2022-05"), null));
        assertThat(fitting.state(Conclusion.named("BASE_FITS_CARRIER")).state()).isNotEqualTo(State.PASSED);
    }

    @Test
    void aLoopThatWasReadForOneSlotIsForThatSlotAlone() {
        FittingBuilder fitting =
                withSeat(seat(4, null, null, null, null)).without(Fact.LengthMeasured.class::isInstance);
        fitting.add(new Fact.ShoulderSeen(RiderId.FIRST, 1));
        fitting.add(new Fact.SlotsSet(UnitId.FIRST, 1, 1, 1, 1, "short")).page("9", value(SheetValue.LOOPS, "SHORT"));
        assertThat(fitting.state(Conclusion.SLOT).state()).isEqualTo(State.PASSED);
        fitting.add(new Fact.ShoulderSeen(RiderId.FIRST, 2));
        fitting.add(new Fact.SlotsSet(UnitId.FIRST, 2, 2, 2, 2, "short"));
        assertThat(fitting.state(Conclusion.SLOT).state()).isEqualTo(State.NOT_KNOWN);
    }

    @Test
    void whatCameWithNothingSinceGoesWithSomethingSince() {
        UUID since = new UUID(5, 5);
        FittingBuilder fitting = withSeat(seat(4, null, null, null, null));
        fitting.add(new Fact.CameBack(UnitId.FIRST, new UUID(1, 1), FittingBuilder.TODAY.minusDays(20), "M-1", null));
        fitting.answer(Question.SINCE, "NOTHING").lookOfLast(since);
        fitting.page("9", value(SheetValue.LEG, "NO_LEG")).lookOfLast(since);
        assertThat(isLooked(fitting)).isTrue();
        assertThat(isLooked(fitting.answer(Question.SINCE, "SOMETHING"))).isFalse();
    }
}
