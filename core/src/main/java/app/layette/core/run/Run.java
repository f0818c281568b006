package app.layette.core.run;

import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.gate.ConclusionState;
import app.layette.core.gate.Gate;
import app.layette.core.practice.PracticeProfile.ChildOrder;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rules;
import app.layette.core.seat.ChildWhen;
import app.layette.core.seat.Recline;
import app.layette.core.secure.TurnedBack;
import app.layette.core.step.Ask;
import app.layette.core.step.StepKey;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The steps of one fitting in their order, and how they stand.
 *
 * @param steps in the order in which they are to be done
 */
public record Run(List<Step> steps) {
    private static final String WAITS_FOR_PLACE = Missing.Entry.PLACE.message();

    public Run {
        steps = List.copyOf(steps);
    }

    public static Run of(Method method, Situation situation, Gate gate) {
        StepAsks asks = new StepAsks(situation, gate);
        boolean childFirst = situation
                .seat()
                .flatMap(seat -> seat.carBed().child().value())
                .filter(when -> when == ChildWhen.BEFORE)
                .isPresent();
        StepOrder order = situation.isBedside()
                ? StepOrder.bedside()
                : StepOrder.of(
                        method,
                        new StepOrder.Particulars(childOrder(situation), childFirst, isDeviceAfterFixing(situation)));
        return new Run(order.inOrder().stream()
                .map(key -> step(key, asks.of(key), SheetSays.at(key, situation), gate))
                .filter(step -> !isEmpty(step))
                .filter(step -> situation.expected().isEmpty() || isBeforeBirth(step.key(), gate))
                .toList());
    }

    /** Before the birth what needs the child waits; the child itself stays, for its birth to be told. */
    private static boolean isBeforeBirth(StepKey step, Gate gate) {
        return step == StepKey.CHILD
                || step == StepKey.PREPARE
                || step == StepKey.HAND_OVER
                || Rules.of(step).stream()
                        .anyMatch(each -> gate.state(each.conclusion()).isPresent());
    }

    /** The first step that is not done; empty when all are. */
    public Optional<Step> current() {
        return steps.stream().filter(step -> step.state() != Step.State.DONE).findFirst();
    }

    /**
     * Where to go on to from a step. Onwards first; then back to what is open, was re-opened or is to be put right, never to
     * what was left <em>not known</em>: that is listed at the end. The place decides which papers there are, a base's label
     * among them: what it opened comes before the car is touched.
     *
     * @return empty when everything is done
     */
    public Optional<Step> after(StepKey from) {
        int here = placeOf(from);
        Optional<Step> before = steps.stream()
                .limit(Math.max(0, here - 1))
                .filter(step -> from == StepKey.PLACE && step.state() == Step.State.OPEN)
                .findFirst();
        return before.or(() -> steps.stream()
                        .skip(here)
                        .filter(step -> step.state() != Step.State.DONE && step.key() != StepKey.HAND_OVER)
                        .findFirst())
                .or(() -> steps.stream()
                        .limit(Math.max(0, here - 1))
                        .filter(step -> step.state() != Step.State.DONE && step.state() != Step.State.NOT_KNOWN)
                        .findFirst())
                .or(() -> step(StepKey.HAND_OVER).filter(step -> step.state() != Step.State.DONE));
    }

    public Optional<Step> step(StepKey key) {
        return steps.stream().filter(step -> step.key() == key).findFirst();
    }

    /** Place of a step in the run, from 1; 0 when it is not in it. */
    public int placeOf(StepKey key) {
        return steps.indexOf(step(key).orElse(null)) + 1;
    }

    /** Nothing to do and nothing that stands against it: not a step for this restraint. */
    private static boolean isEmpty(Step step) {
        return step.asks().isEmpty() && step.state() == Step.State.DONE;
    }

    /** On a shell that turns the child is harnessed where it stands, turned to the door. */
    private static ChildOrder childOrder(Situation situation) {
        return TurnedBack.isThereIn(situation)
                ? ChildOrder.CARRIER_ON_BASE_FIRST
                : situation.practice().profile().childOrder();
    }

    /** REC-8: a slide is set after the base is fixed, and so is a leg that sets the angle; the others before tightening. */
    private static boolean isDeviceAfterFixing(Situation situation) {
        return situation
                .seat()
                .flatMap(seat -> seat.recline().device().value())
                .filter(device -> device.kind() == Recline.DeviceKind.SLIDE || device.kind() == Recline.DeviceKind.LEG)
                .isPresent();
    }

    private static Step step(StepKey key, List<Ask> asks, List<Saying> says, Gate gate) {
        Set<ConclusionState.State> states = Rules.of(key).stream()
                .map(rule -> gate.state(rule.conclusion()))
                .flatMap(Optional::stream)
                .filter(state -> !isForLater(key, state))
                .map(ConclusionState::state)
                .collect(Collectors.toSet());
        return new Step(key, state(states, asks), asks, says);
    }

    /** What waits for the place is no business of a step before it: a base has a label once there is to be a base. */
    private static boolean isForLater(StepKey key, ConclusionState state) {
        return key.compareTo(StepKey.PLACE) < 0
                && state.waitsFor().filter(WAITS_FOR_PLACE::equals).isPresent();
    }

    private static Step.State state(Set<ConclusionState.State> states, List<Ask> asks) {
        if (states.contains(ConclusionState.State.FAILED) || states.contains(ConclusionState.State.BROKEN)) {
            return Step.State.FAILED;
        }
        if (states.contains(ConclusionState.State.NOT_KNOWN)) {
            return Step.State.NOT_KNOWN;
        }
        if (states.contains(ConclusionState.State.STALE)) {
            return Step.State.REOPENED;
        }
        boolean allAnswered = asks.stream().allMatch(ask -> ask.answered() || ask.optional());
        return allAnswered && !states.contains(ConclusionState.State.OPEN) ? Step.State.DONE : Step.State.OPEN;
    }
}
