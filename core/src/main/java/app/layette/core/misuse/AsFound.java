package app.layette.core.misuse;

import app.layette.core.entry.Fact.FoundSo;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.gate.ConclusionState;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What was found before anything was touched, and how that stands now: put right where its conclusion passed on a look
 * made after it was found, or never required by the method that was chosen since.
 *
 * @param found in the order in which it was found
 */
public record AsFound(List<Found> found) {
    /** How something found stands now. */
    public enum Now {
        PUT_RIGHT,
        STILL_SO,
        /** The method chosen since has no such part. */
        FALLS_AWAY
    }

    /**
     * One thing found.
     *
     * @param seq its entry
     * @param since the place of the look that it was put right by; 0 otherwise
     */
    public record Found(Misuse misuse, int seq, Now now, int since) {}

    public AsFound {
        found = List.copyOf(found);
    }

    public static AsFound of(FittingPlan plan) {
        Situation situation = plan.situation();
        List<Found> found = new ArrayList<>();
        for (Stamped<FoundSo> each : situation.history(FoundSo.class)) {
            boolean taken = found.stream()
                    .anyMatch(before -> before.misuse() == each.value().misuse());
            if (!taken && each.value().there()) {
                found.add(found(each, plan));
            }
        }
        // Said and taken back again: nothing was found after all.
        found.removeIf(each -> situation
                .newest(FoundSo.class, fact -> fact.misuse() == each.misuse())
                .filter(last -> !last.value().there())
                .isPresent());
        return new AsFound(found);
    }

    private static Found found(Stamped<FoundSo> each, FittingPlan plan) {
        Optional<ConclusionState> state =
                plan.gate().state(Misuses.of(each.value().misuse()).putRightBy());
        boolean chosen = plan.situation().method().isPresent();
        if (state.isEmpty()) {
            return new Found(each.value().misuse(), each.seq(), chosen ? Now.FALLS_AWAY : Now.STILL_SO, 0);
        }
        // Conclusions from sheets and measures alone rest on no look: passing is enough for them.
        boolean putRight =
                state.get().passed() && (state.get().since() == 0 || state.get().since() > each.seq());
        return new Found(
                each.value().misuse(),
                each.seq(),
                putRight ? Now.PUT_RIGHT : Now.STILL_SO,
                putRight ? state.get().since() : 0);
    }

    /** What is still so, by area. */
    public List<Found> stillSo() {
        return found.stream().filter(each -> each.now() == Now.STILL_SO).toList();
    }
}
