package app.layette.core.gate;

import app.layette.core.finding.Finding;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Verdict;
import java.util.List;
import java.util.Optional;

/**
 * How one required conclusion stands.
 *
 * @param conclusion which
 * @param state how it stands
 * @param findings the deciding one first; empty when there is nothing to judge yet or the look is stale
 * @param waitsFor message key of what is missing; empty unless open
 * @param since place of the look it rests on, or of the change that spoiled it; 0 when neither
 * @param cause what a broken rule tripped over; empty unless broken by it
 */
public record ConclusionState(
        Conclusion conclusion,
        State state,
        List<Finding> findings,
        Optional<String> waitsFor,
        int since,
        Optional<String> cause) {
    /** How a conclusion can stand. Only {@link #PASSED} opens the gate. */
    public enum State {
        PASSED,
        /** Nothing was looked at yet. */
        OPEN,
        /** Was looked at, and something changed since. */
        STALE,
        /** An answer is missing that a manual, a label or a look must give. */
        NOT_KNOWN,
        /** Looked at and not in order. */
        FAILED,
        /** The rule is missing or threw. */
        BROKEN
    }

    public ConclusionState {
        findings = List.copyOf(findings);
    }

    ConclusionState(Conclusion conclusion, State state, List<Finding> findings, Optional<String> waitsFor, int since) {
        this(conclusion, state, findings, waitsFor, since, Optional.empty());
    }

    /** Whether the same look or measure is asked for once more. */
    public boolean asksAgain() {
        return findings.stream().anyMatch(finding -> finding.changes().contains("change." + Verdict.AGAIN));
    }

    public boolean passed() {
        return state == State.PASSED;
    }
}
