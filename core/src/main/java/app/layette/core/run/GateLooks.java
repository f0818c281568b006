package app.layette.core.run;

import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.gate.ConclusionState;
import app.layette.core.gate.Gate;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Missing;

/** What the gate says of the looks that were taken. */
record GateLooks(Situation situation, Gate gate) implements Looks {
    private static final String TOLD_ONLY = Missing.Entry.LOOK_HERE.message();

    @Override
    public boolean isRequired(Conclusion conclusion) {
        return gate.state(conclusion).isPresent();
    }

    @Override
    public boolean isSettled(Conclusion conclusion) {
        return gate.state(conclusion).map(GateLooks::isSettled).orElse(true);
    }

    @Override
    public boolean isSettledBy(Conclusion conclusion, Stamped<?> look) {
        boolean again = gate.state(conclusion)
                .filter(state -> state.state() == ConclusionState.State.STALE && look.seen() >= state.since())
                .isPresent();
        return again || isSettled(conclusion);
    }

    private static boolean isSettled(ConclusionState state) {
        boolean spokenOf = state.waitsFor().filter(TOLD_ONLY::equals).isPresent();
        return state.state() != ConclusionState.State.STALE
                && state.state() != ConclusionState.State.FAILED
                && !state.asksAgain()
                && !spokenOf;
    }

    @Override
    public boolean isLooked(Conclusion conclusion) {
        return gate.state(conclusion)
                .map(each -> isSettled(each) && each.state() != ConclusionState.State.OPEN)
                .orElse(false);
    }

    @Override
    public boolean isGood(Conclusion conclusion) {
        return gate.state(conclusion).map(ConclusionState::passed).orElse(false);
    }
}
