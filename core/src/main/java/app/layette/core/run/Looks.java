package app.layette.core.run;

import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.gate.ConclusionState;
import app.layette.core.gate.Gate;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.run.Ask.Kind;
import java.util.ArrayList;
import java.util.List;

/** What has been looked at and still holds, for deciding what is asked next. */
record Looks(Situation situation, Gate gate) {
    private static final String TOLD_ONLY = "open." + AnsweredByEye.TOLD_ONLY;

    /** A look before the child is in: it checks nothing and sharpens the advice. */
    Ask look(Stage stage) {
        return Ask.offered(
                Kind.LEVEL,
                stage.name(),
                situation
                        .level(stage)
                        .filter(level -> level.seq() > situation.lastDeviceChange())
                        .isPresent());
    }

    boolean isRequired(Conclusion conclusion) {
        return gate.state(conclusion).isPresent();
    }

    List<Ask> questions(Question... questions) {
        List<Ask> asks = new ArrayList<>();
        for (Question question : questions) {
            asks.add(new Ask(
                    Kind.QUESTION, question.name(), situation.answer(question).isPresent() && isSettled(question)));
        }
        return asks;
    }

    Ask question(Question question, Conclusion serves) {
        return new Ask(
                Kind.QUESTION, question.name(), situation.answer(question).isPresent() && isSettled(serves));
    }

    Ask act(Act act) {
        return new Ask(
                Kind.ACT,
                act.name(),
                // On a re-check the hands did it the last time; what they did is looked at.
                situation.isAsBefore()
                        || situation
                                .newest(Fact.Acted.class, fact -> fact.act() == act)
                                .isPresent());
    }

    /** Neither spoiled since nor to be put right: a look that failed asks for the next look. */
    boolean isSettled(Question question) {
        return gate.conclusions().stream()
                .filter(each -> each.conclusion().code() == question.rule())
                .allMatch(Looks::isSettled);
    }

    boolean isSettled(Conclusion conclusion) {
        return gate.state(conclusion).map(Looks::isSettled).orElse(true);
    }

    /** Settled, or re-opened by what this look had seen: then it waits for another one and not for this. */
    boolean isSettledBy(Conclusion conclusion, Stamped<?> look) {
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

    /** Looked at, and settled. */
    boolean isLooked(Conclusion conclusion) {
        return gate.state(conclusion)
                .map(each -> isSettled(each) && each.state() != ConclusionState.State.OPEN)
                .orElse(false);
    }

    boolean isGood(Conclusion conclusion) {
        return gate.state(conclusion).map(ConclusionState::passed).orElse(false);
    }
}
