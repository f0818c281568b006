package app.layette.core.fitting;

import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.gate.Gate;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.run.Run;
import java.util.List;
import java.util.Optional;

/**
 * Everything that follows from a fitting's entries on a day.
 *
 * @param state how the fitting stands
 * @param method chosen, or assumed while none is
 * @param situation what is so now
 * @param gate the required conclusions
 * @param run the steps
 * @param findings all of them, heaviest first, then in the order of the work
 * @param recline which setting to try, where the sheets allow to compute it
 * @param dates what comes next, earliest first
 */
public record FittingPlan(
        FittingState state,
        Method method,
        Situation situation,
        Gate gate,
        Run run,
        List<Finding> findings,
        Optional<ReclineAdvice> recline,
        List<DatedEvent> dates) {

    public FittingPlan {
        findings = List.copyOf(findings);
        dates = List.copyOf(dates);
    }

    /** Whether a hand-over may be signed now; never at the end of a bedside run, nor before the birth. */
    public boolean mayHandOver() {
        return state == FittingState.OPEN
                && !situation.isBedside()
                && situation.expected().isEmpty()
                && gate.isOpen();
    }

    /** Whether it may be signed that what stays in the car is in and tested before the birth. */
    public boolean mayBePrepared() {
        return state == FittingState.OPEN
                && situation.expected().isPresent()
                && method.staysInTheCar()
                && gate.isOpen();
    }

    public List<Finding> findings(Weight weight) {
        return findings.stream().filter(each -> each.weight() == weight).toList();
    }
}
