package app.layette.core.fitting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.entry.Act;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.FittingRecord.Unit;
import app.layette.core.entry.Method;
import app.layette.core.entry.UnusableEntriesException;
import app.layette.core.evidence.Permission;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.gate.ConclusionState.State;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.rule.Conclusion;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.Side;
import java.lang.reflect.Constructor;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Two actual seats in one fitting (contract, section 4): each is judged for itself, the car is of both. */
class TwinsTest {
    private static final PositionId OTHER_SIDE = new PositionId(2, Side.LEFT);

    private FittingBuilder fitting;

    @BeforeEach
    void twoSeatsInOneCar() {
        fitting = FittingBuilder.ready();
        fitting.car.more.add(fitting.car.another(OTHER_SIDE));
        List<Entry> first = List.copyOf(fitting.entries());
        fitting.add(new Fact.UnitJoined("u2", "r2", "test-seat"));
        first.stream()
                .filter(entry -> !(entry.fact() instanceof Fact.SheetAdopted))
                .forEach(entry -> fitting.add(entry.how(), ofSecond(entry.fact())));
        fitting.replace(
                fact -> fact instanceof Fact.Placed && fact.of().equals("u2"),
                new Fact.Placed("u2", OTHER_SIDE, Method.BASE_FLEXIBLE_ANCHORS));
    }

    /** The same of the other twin. */
    private static Fact ofSecond(Fact fact) {
        try {
            RecordComponent[] components = fact.getClass().getRecordComponents();
            Object[] values = new Object[components.length];
            for (int i = 0; i < components.length; i++) {
                values[i] = components[i].getAccessor().invoke(fact);
            }
            values[0] = fact.of().replace('1', '2');
            Constructor<?> make = fact.getClass()
                    .getDeclaredConstructor(Arrays.stream(components)
                            .map(RecordComponent::getType)
                            .toArray(Class[]::new));
            return (Fact) make.newInstance(values);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private FittingPlan plan(String unit) {
        FittingRecord record =
                FittingRecord.begunWith(new Unit("u1", "r1", fitting.unitSheet), List.copyOf(fitting.entries()));
        return new FittingPlanner().plan(fitting.practice(), fitting.sheets(), record, unit, fitting.today);
    }

    private State state(String unit, Conclusion conclusion) {
        return plan(unit).gate().state(conclusion).orElseThrow().state();
    }

    @Test
    void bothMayBeHandedOver() {
        assertThat(plan("u1").gate().blocking()).isEmpty();
        assertThat(plan("u2").gate().blocking()).isEmpty();
    }

    @Test
    void nothingThatWasSeenOnOneIsSeenOnTheOther() {
        fitting.without(fact -> fact.of().equals("u2") && !(fact instanceof Fact.UnitJoined)
                || fact.of().equals("r2"));
        assertThat(plan("u1").gate().isOpen()).isTrue();
        assertThat(plan("u2").gate().conclusions())
                .filteredOn(each -> each.state() == State.PASSED)
                // What passes is said by the papers: it rests on no look.
                .allMatch(each -> each.since() == 0)
                .extracting(each -> each.conclusion())
                .doesNotContain(Conclusion.WEIGHT, Conclusion.CRASH, Conclusion.LEVEL, Conclusion.TEACH_BACK);
    }

    @Test
    void twoInOnePlaceAreStopped() {
        fitting.add(new Fact.Placed("u2", fitting.car.place, Method.BASE_FLEXIBLE_ANCHORS));
        assertThat(state("u1", Conclusion.WHOLE_FITTING)).isEqualTo(State.FAILED);
        assertThat(state("u2", Conclusion.WHOLE_FITTING)).isEqualTo(State.FAILED);
    }

    @Test
    void thePlaceOfTheOtherIsOfferedToNobody() {
        assertThat(CabinAnswers.of(plan("u2").situation()).at(fitting.car.place))
                .isNotEmpty()
                .allMatch(each -> each.answer() == Permission.NOT_ALLOWED);
        assertThat(CabinAnswers.of(plan("u2").situation()).at(OTHER_SIDE))
                .anyMatch(each -> each.answer() == Permission.ALLOWED);
    }

    @Test
    void whatWasNotFittedLeavesItsPlaceFree() {
        fitting.add(new Fact.Placed("u2", fitting.car.place, Method.BASE_FLEXIBLE_ANCHORS));
        fitting.add(new Fact.Ended("u2", Fact.Ending.NOT_FITTED, "no", "loan", "why"));
        assertThat(state("u1", Conclusion.WHOLE_FITTING)).isEqualTo(State.PASSED);
    }

    @Test
    void oneChildInTwoSeatsIsStopped() {
        fitting.replace(Fact.UnitJoined.class::isInstance, new Fact.UnitJoined("u2", "r1", "test-seat"));
        assertThat(state("u1", Conclusion.WHOLE_FITTING)).isEqualTo(State.FAILED);
    }

    @Test
    void theFrontSeatIsOfBothAndTheStrapOfOne() {
        fitting.acted(Act.FRONT_SEAT_MOVED);
        assertThat(state("u2", Conclusion.GAP)).isEqualTo(State.STALE);
        fitting.acted(Act.TIGHTENED);
        assertThat(state("u1", Conclusion.INCH_TEST)).isEqualTo(State.STALE);
        assertThat(state("u2", Conclusion.INCH_TEST)).isEqualTo(State.PASSED);
    }

    @Test
    void theSecondSeatsSheetIsNoOtherCar() {
        fitting.replace(Fact.UnitJoined.class::isInstance, new Fact.UnitJoined("u2", "r2", "other-seat"));
        fitting.add(new Fact.SheetAdopted("other-seat", 1, Fact.Adoption.ADOPTED, null));
        assertThat(plan("u1").gate().blocking()).isEmpty();
    }

    @Test
    void theEndOfOneIsNotTheEndOfTheOther() {
        fitting.add(new Fact.Ended("u1", Fact.Ending.HANDED_OVER, null, null, null));
        assertThat(plan("u1").state()).isEqualTo(FittingState.HANDED_OVER);
        assertThat(plan("u2").state()).isEqualTo(FittingState.OPEN);
        fitting.add(new Fact.Ended("u2", Fact.Ending.HANDED_OVER, null, null, null));
        assertThat(plan("u1").state()).isEqualTo(FittingState.HANDED_OVER);
        assertThat(plan("u2").state()).isEqualTo(FittingState.HANDED_OVER);
    }

    @Test
    void aUnitThatIsNotThereIsNamed() {
        assertThatThrownBy(() -> plan("u3"))
                .isInstanceOf(UnusableEntriesException.class)
                .hasMessageContaining("u3")
                .hasMessageContaining("u1, u2");
    }
}
