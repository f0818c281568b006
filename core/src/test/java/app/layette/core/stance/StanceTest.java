package app.layette.core.stance;

import static app.layette.core.fixture.SeatSheetBuilder.stated;
import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.UnitId;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.seat.Connectors;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.Side;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StanceTest {
    private static Stance at(Side side, Method method, Connectors.Tail tail) {
        FittingBuilder fitting = FittingBuilder.ready(method);
        PositionId place = new PositionId(2, side);
        fitting.car.more.add(fitting.car.another(place));
        fitting.seat.connectors = stated(new Connectors(Connectors.Kind.PUSH_ON, tail));
        fitting.replace(fact -> fact instanceof Fact.Placed, new Fact.Placed(UnitId.FIRST, place, method));
        return Stance.of(fitting.plan().situation(), StepKey.TIGHTEN).orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        "RIGHT, RIGHT, RIGHT, TO_THE_RIGHT, ",
        "RIGHT, LEFT, RIGHT, TO_THE_LEFT, LEFT",
        "LEFT, LEFT, LEFT, TO_THE_LEFT, ",
        "LEFT, RIGHT, LEFT, TO_THE_RIGHT, RIGHT",
        "LEFT, CENTRE, LEFT, TO_THE_FRONT, ",
        "LEFT, BOTH, LEFT, TO_THE_LEFT, RIGHT",
        "MIDDLE, RIGHT, RIGHT, TO_THE_RIGHT, ",
        "MIDDLE, LEFT, RIGHT, TO_THE_LEFT, LEFT"
    })
    void anAnchorTailIsPulledTheWayItLeaves(
            Side place, Connectors.Tail tail, Side door, Stance.Pull pull, Side helper) {
        Stance stance = at(place, Method.BASE_FLEXIBLE_ANCHORS, tail);
        assertThat(stance.door()).isEqualTo(door);
        assertThat(stance.pull()).contains(pull);
        assertThat(stance.helper()).isEqualTo(Optional.ofNullable(helper));
    }

    @ParameterizedTest
    @CsvSource({"LEFT, TO_THE_LEFT", "RIGHT, TO_THE_RIGHT", "MIDDLE, TO_THE_RIGHT"})
    void aBeltIsTakenUpTowardsItsGuide(Side place, Stance.Pull pull) {
        assertThat(at(place, Method.BASE_BELT, Connectors.Tail.LEFT).pull()).contains(pull);
    }

    @Test
    void rigidArmsAreWalkedIn() {
        assertThat(at(Side.LEFT, Method.BASE_RIGID_LEG, null).pull()).contains(Stance.Pull.INTO_THE_SEAT);
    }

    @Test
    void whatIsDoneAtATableHasNoDoor() {
        assertThat(Stance.of(FittingBuilder.ready().plan().situation(), StepKey.THREAD))
                .isEmpty();
    }
}
