package app.layette.core.ride;

import app.layette.core.entry.Fact;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.gate.ConclusionState;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Rules;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * Whether an earlier fitting cleared this child and this seat (CND and SUIT, slot and insert), judged again as of today.
 * It never covers securing or harnessing: those belong to each ride.
 *
 * @param on the day of the last entry it rests on
 * @param open what does not hold or no longer holds; empty when the clearing stands
 */
public record EarlierClearing(LocalDate on, List<ConclusionState> open) {
    /** CND-3: whatever was cleared before, a seat that was in a crash since is not. */
    private static final ConclusionState CRASHED = new ConclusionState(
            Conclusion.CRASH,
            ConclusionState.State.FAILED,
            List.of(Finding.of(Weight.STOP, "finding.CND-3.crashedSince")
                    .changedBy("OTHER_SEAT")
                    .build()),
            Optional.empty(),
            0,
            Optional.empty());

    private static final List<Conclusion> ASKED = Rules.conclusions(RuleCard::isClearedEarlier);

    public EarlierClearing {
        open = List.copyOf(open);
    }

    /** Reads an earlier fitting, planned as of today; empty when it has no entries. */
    public static Optional<EarlierClearing> in(FittingPlan earlier) {
        boolean crashed = earlier.situation().newest(Fact.CrashedSince.class).isPresent();
        List<ConclusionState> open = ASKED.stream()
                .map(asked -> earlier.gate().state(asked))
                .flatMap(Optional::stream)
                .map(state -> crashed && state.conclusion().equals(Conclusion.CRASH) ? CRASHED : state)
                .filter(state -> !state.passed())
                .toList();
        return earlier.situation().everything().stream()
                .map(entry -> entry.at()
                        .atZoneSameInstant(earlier.situation().practice().zone())
                        .toLocalDate())
                .max(LocalDate::compareTo)
                .map(day -> new EarlierClearing(day, open));
    }

    /** Whether everything that was cleared still holds today. */
    public boolean holds() {
        return open.isEmpty();
    }

    /** What the earlier fitting found wrong with this child or this seat. */
    public List<ConclusionState> failed() {
        return open.stream()
                .filter(state -> state.state() == ConclusionState.State.FAILED)
                .toList();
    }
}
