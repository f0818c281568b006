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
 * @param dropped what another method no longer rests on
 * @param added what another method rests on besides
 */
public record PlanDifference(List<Changed> changes, List<Conclusion> dropped, List<Conclusion> added) {
    /** A conclusion that stands otherwise than before. */
    public record Changed(Conclusion conclusion, State from, State to) {}

    public PlanDifference {
        changes = List.copyOf(changes);
        dropped = List.copyOf(dropped);
        added = List.copyOf(added);
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
        return new PlanDifference(changes, missing(before, after), missing(after, before));
    }

    /** What the gate of one plan asks and the other's does not. */
    private static List<Conclusion> missing(FittingPlan here, FittingPlan there) {
        return here.gate().conclusions().stream()
                .map(ConclusionState::conclusion)
                .filter(each -> there.gate().state(each).isEmpty())
                .toList();
    }

    /** How a conclusion changed; empty when it stands as before. */
    public Optional<Changed> of(Conclusion conclusion) {
        return changes.stream().filter(each -> each.conclusion() == conclusion).findFirst();
    }
}
