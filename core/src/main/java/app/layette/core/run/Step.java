package app.layette.core.run;

import app.layette.core.step.Ask;
import app.layette.core.step.StepKey;
import java.util.List;
import java.util.Optional;

/**
 * One step of a run.
 *
 * @param key which
 * @param state how it stands
 * @param asks what is to be entered, in order
 * @param says what the sheets say here, in their own words
 */
public record Step(StepKey key, State state, List<Ask> asks, List<Saying> says) {
    /** How a step can stand. */
    public enum State {
        DONE,
        OPEN,
        /** Was done; a change since asks for another look. */
        REOPENED,
        NOT_KNOWN,
        /** Something in it is to be put right. */
        FAILED
    }

    public Step {
        asks = List.copyOf(asks);
        says = List.copyOf(says);
    }

    /** Whether something has to be entered here yet, or put right. */
    public boolean holdsUp() {
        return state == State.FAILED || asks.stream().anyMatch(ask -> !ask.answered() && !ask.optional());
    }

    /** The first thing still to be entered, what holds up the step first. */
    public Optional<Ask> nextAsk() {
        return asks.stream()
                .filter(ask -> !ask.answered() && !ask.optional())
                .findFirst()
                .or(() -> asks.stream().filter(ask -> !ask.answered()).findFirst());
    }
}
