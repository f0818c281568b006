package app.layette.core.fitting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.entry.Act;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.FittingRecord.Unit;
import app.layette.core.entry.Ids;
import app.layette.core.entry.Method;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.SheetId;
import app.layette.core.entry.UnitId;
import app.layette.core.entry.UnusableEntriesException;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.evidence.Source;
import app.layette.core.finding.Finding;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.gate.ConclusionState.State;
import app.layette.core.measure.Length;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.rule.Conclusion;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import java.lang.reflect.Constructor;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two actual seats in one fitting (contract, section 4): each is judged for itself, the car is of both. */
class TwinsTest {
    private static final UnitId SECOND = new UnitId("u2");
    private static final RiderId OTHER_CHILD = new RiderId("r2");
    private static final SheetId SEAT = new SheetId("test-seat");
    private static final PositionId OTHER_SIDE = new PositionId(2, Side.LEFT);
    private static final Source SOURCE = new Source("manual", "1", null);

    private FittingBuilder fitting;

    @BeforeEach
    void twoSeatsInOneCar() {
        fitting = FittingBuilder.ready();
        fitting.car.more.add(fitting.car.another(OTHER_SIDE));
        List<Entry> first = List.copyOf(fitting.entries());
        fitting.add(new Fact.UnitJoined(SECOND, OTHER_CHILD, SEAT));
        first.stream()
                .filter(entry -> !(entry.fact() instanceof Fact.SheetAdopted))
                .forEach(entry -> fitting.add(entry.how(), ofSecond(entry.fact())));
        fitting.replace(
                fact -> fact instanceof Fact.Placed && fact.of().is(SECOND),
                new Fact.Placed(SECOND, OTHER_SIDE, Method.BASE_FLEXIBLE_ANCHORS));
    }

    /** The same of the other twin. */
    private static Fact ofSecond(Fact fact) {
        return as(fact.of().text().replace('1', '2'), fact);
    }

    /** The same of another one. */
    static Fact as(String of, Fact fact) {
        try {
            RecordComponent[] components = fact.getClass().getRecordComponents();
            Object[] values = new Object[components.length];
            for (int i = 0; i < components.length; i++) {
                values[i] = components[i].getAccessor().invoke(fact);
            }
            values[0] = Ids.of(components[0].getType(), of).orElseThrow();
            Constructor<?> make = fact.getClass()
                    .getDeclaredConstructor(Arrays.stream(components)
                            .map(RecordComponent::getType)
                            .toArray(Class[]::new));
            return (Fact) make.newInstance(values);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private FittingPlan plan(UnitId unit) {
        FittingRecord record = FittingRecord.begunWith(Unit.first(fitting.unitSheet), List.copyOf(fitting.entries()));
        return new FittingPlanner().plan(fitting.practice(), fitting.sheets(), record, unit, fitting.today);
    }

    private State state(UnitId unit, Conclusion conclusion) {
        return plan(unit).gate().state(conclusion).orElseThrow().state();
    }

    @Test
    void bothMayBeHandedOver() {
        assertThat(plan(UnitId.FIRST).gate().blocking()).isEmpty();
        assertThat(plan(SECOND).gate().blocking()).isEmpty();
    }

    @Test
    void nothingThatWasSeenOnOneIsSeenOnTheOther() {
        fitting.without(fact -> fact.of().is(SECOND) && !(fact instanceof Fact.UnitJoined)
                || fact.of().is(OTHER_CHILD));
        assertThat(plan(UnitId.FIRST).gate().isOpen()).isTrue();
        assertThat(plan(SECOND).gate().conclusions())
                .filteredOn(each -> each.state() == State.PASSED)
                // What passes is said by the papers: it rests on no look.
                .allMatch(each -> each.since() == 0)
                .extracting(each -> each.conclusion())
                .doesNotContain(Conclusion.WEIGHT, Conclusion.CRASH, Conclusion.LEVEL, Conclusion.TEACH_BACK);
    }

    @Test
    void twoInOnePlaceAreStopped() {
        fitting.add(new Fact.Placed(SECOND, fitting.car.place, Method.BASE_FLEXIBLE_ANCHORS));
        assertThat(state(UnitId.FIRST, Conclusion.WHOLE_FITTING)).isEqualTo(State.FAILED);
        assertThat(state(SECOND, Conclusion.WHOLE_FITTING)).isEqualTo(State.FAILED);
    }

    /**
     * OUT-4, CAB-13: nobody stands in the other's place, needs its belt or its anchors; the middle has no anchors of its
     * own, its buckle stands towards the right, and a shell of 480 mm is wider than a place of 450 mm.
     */
    @ParameterizedTest
    @CsvSource({
        "2-RIGHT, BASE_FLEXIBLE_ANCHORS, 440, 2-LEFT, BASE_FLEXIBLE_ANCHORS, eachItsOwn",
        "2-RIGHT, BASE_FLEXIBLE_ANCHORS, 440, 2-RIGHT, BASE_BELT, placeTaken",
        "2-MIDDLE, BASE_BELT, 440, 2-RIGHT, LAY_FLAT, placeTaken",
        "2-LEFT, BASE_BELT, 440, 2-MIDDLE, LAY_FLAT, placeTaken",
        "2-LEFT, BASE_BELT, 440, 2-RIGHT, LAY_FLAT, eachItsOwn",
        "2-MIDDLE, BASE_FLEXIBLE_ANCHORS, 440, 2-RIGHT, BASE_FLEXIBLE_ANCHORS, anchorTaken",
        "2-MIDDLE, BASE_FLEXIBLE_ANCHORS, 440, 2-LEFT, BASE_RIGID_LEG, anchorTaken",
        "2-MIDDLE, BASE_BELT, 440, 2-RIGHT, BASE_FLEXIBLE_ANCHORS, eachItsOwn",
        "2-MIDDLE, BASE_FLEXIBLE_ANCHORS, 440, 2-RIGHT, BASE_BELT, eachItsOwn",
        "2-MIDDLE, BASE_BELT, 480, 2-RIGHT, BASE_FLEXIBLE_ANCHORS, beltTaken",
        "2-MIDDLE, BASE_BELT, 480, 2-LEFT, BASE_FLEXIBLE_ANCHORS, eachItsOwn"
    })
    void noneTakesWhatTheOtherNeeds(
            String place, Method method, double shell, String otherPlace, Method otherMethod, String expected) {
        fitting.car.width = Evidence.stated(Length.ofMillimetres(450), SOURCE);
        fitting.car.buckleSide = Evidence.stated(Side.RIGHT, SOURCE);
        fitting.car.more.clear();
        fitting.car.more.add(fitting.car.another(OTHER_SIDE));
        Evidence<OwnAnchors> pair = fitting.car.anchors;
        fitting.car.anchors = Evidence.stated(OwnAnchors.NONE, SOURCE);
        fitting.car.more.add(fitting.car.another(new PositionId(2, Side.MIDDLE)));
        fitting.car.anchors = pair;
        fitting.seat.width = Evidence.stated(Length.ofMillimetres(shell), SOURCE);
        fitting.add(new Fact.Placed(UnitId.FIRST, PositionId.parse(place), method));
        fitting.add(new Fact.Placed(SECOND, PositionId.parse(otherPlace), otherMethod));
        for (UnitId unit : List.of(UnitId.FIRST, SECOND)) {
            assertThat(plan(unit)
                            .gate()
                            .state(Conclusion.WHOLE_FITTING)
                            .orElseThrow()
                            .findings())
                    .as(unit.text())
                    .extracting(Finding::reason)
                    .containsExactly(expected);
        }
    }

    @Test
    void thePlaceOfTheOtherIsOfferedToNobody() {
        assertThat(CabinAnswers.of(plan(SECOND).situation()).at(fitting.car.place))
                .isNotEmpty()
                .allMatch(each -> each.answer() == Permission.NOT_ALLOWED);
        assertThat(CabinAnswers.of(plan(SECOND).situation()).at(OTHER_SIDE))
                .anyMatch(each -> each.answer() == Permission.ALLOWED);
    }

    @Test
    void whatWasNotFittedLeavesItsPlaceFree() {
        fitting.add(new Fact.Placed(SECOND, fitting.car.place, Method.BASE_FLEXIBLE_ANCHORS));
        fitting.add(new Fact.Ended(SECOND, Fact.Ending.NOT_FITTED, "no", "loan", "why"));
        assertThat(state(UnitId.FIRST, Conclusion.WHOLE_FITTING)).isEqualTo(State.PASSED);
    }

    @Test
    void oneChildInTwoSeatsIsStopped() {
        fitting.replace(Fact.UnitJoined.class::isInstance, new Fact.UnitJoined(SECOND, RiderId.FIRST, SEAT));
        assertThat(state(UnitId.FIRST, Conclusion.WHOLE_FITTING)).isEqualTo(State.FAILED);
    }

    @Test
    void theFrontSeatIsOfBothAndTheStrapOfOne() {
        fitting.acted(Act.FRONT_SEAT_MOVED);
        assertThat(state(SECOND, Conclusion.named("GAP"))).isEqualTo(State.STALE);
        fitting.acted(Act.TIGHTENED);
        assertThat(state(UnitId.FIRST, Conclusion.named("INCH_TEST"))).isEqualTo(State.STALE);
        assertThat(state(SECOND, Conclusion.named("INCH_TEST"))).isEqualTo(State.PASSED);
    }

    @Test
    void theSecondSeatsSheetIsNoOtherCar() {
        fitting.replace(
                Fact.UnitJoined.class::isInstance, new Fact.UnitJoined(SECOND, OTHER_CHILD, new SheetId("other-seat")));
        fitting.add(new Fact.SheetAdopted(new SheetVersion("other-seat", 1), Fact.Adoption.ADOPTED, null));
        assertThat(plan(UnitId.FIRST).gate().blocking()).isEmpty();
    }

    @Test
    void theEndOfOneIsNotTheEndOfTheOther() {
        fitting.add(new Fact.Ended(UnitId.FIRST, Fact.Ending.HANDED_OVER, null, null, null));
        assertThat(plan(UnitId.FIRST).state()).isEqualTo(FittingState.HANDED_OVER);
        assertThat(plan(SECOND).state()).isEqualTo(FittingState.OPEN);
        fitting.add(new Fact.Ended(SECOND, Fact.Ending.HANDED_OVER, null, null, null));
        assertThat(plan(UnitId.FIRST).state()).isEqualTo(FittingState.HANDED_OVER);
        assertThat(plan(SECOND).state()).isEqualTo(FittingState.HANDED_OVER);
    }

    @Test
    void aUnitThatIsNotThereIsNamed() {
        assertThatThrownBy(() -> plan(new UnitId("u3")))
                .isInstanceOf(UnusableEntriesException.class)
                .hasMessageContaining("u3")
                .hasMessageContaining("u1, u2");
    }

    @Test
    void twoUnitsOfOneNameAreNotTakenForEachOther() {
        fitting.add(new Fact.UnitJoined(SECOND, new RiderId("r3"), SEAT));
        assertThatThrownBy(() -> plan(SECOND))
                .isInstanceOf(UnusableEntriesException.class)
                .hasMessageContaining("u2 2 times");
    }
}
