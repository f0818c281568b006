package app.layette.core.fitting;

import app.layette.core.gate.ConclusionState;
import app.layette.core.gate.ConclusionState.State;
import app.layette.core.rule.Conclusion;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What changed from one plan to the next, conclusion by conclusion.
 *
 * @param changes those that stand otherwise than before, in the order of the work
 */
public record PlanDifference(List<Changed> changes) {
    /** A conclusion that stands otherwise than before. */
    public record Changed(Conclusion conclusion, State from, State to) {}

    public PlanDifference {
        changes = List.copyOf(changes);
    }

    public static PlanDifference between(FittingPlan before, FittingPlan after) {
        List<Changed> changes = new ArrayList<>();
        for (ConclusionState now : after.gate().conclusions()) {
            State then = before.gate()
                    .state(now.conclusion())
                    .map(ConclusionState::state)
                    .orElse(State.OPEN);
            if (then != now.state()) {
                changes.add(new Changed(now.conclusion(), then, now.state()));
            }
        }
        return new PlanDifference(changes);
    }

    /** How a conclusion changed; empty when it stands as before. */
    public Optional<Changed> of(Conclusion conclusion) {
        return changes.stream().filter(each -> each.conclusion() == conclusion).findFirst();
    }
}
