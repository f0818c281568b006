package app.layette.core.rule;

import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;

/** What has been looked at and still holds, for deciding what is asked next. */
public interface Looks {
    Situation situation();

    /** Whether this hand-over rests on it. */
    boolean isRequired(Conclusion conclusion);

    /** Neither spoiled since nor to be put right: a look that failed asks for the next look. */
    boolean isSettled(Conclusion conclusion);

    /** Settled, or re-opened by what this look had seen: then it waits for another one and not for this. */
    boolean isSettledBy(Conclusion conclusion, Stamped<?> look);

    /** Looked at, and settled. */
    boolean isLooked(Conclusion conclusion);

    /** Passed. */
    boolean isGood(Conclusion conclusion);

    /** A question, answered where there is an answer that settles what it serves. */
    default Ask question(Question question, Conclusion serves) {
        return new Ask(
                Kind.QUESTION, question.name(), situation().answer(question).isPresent() && isSettled(serves));
    }

    /** A question that is worth an answer and holds nothing up. */
    default Ask offered(Question question) {
        return Ask.offered(
                Kind.QUESTION, question.name(), situation().answer(question).isPresent());
    }

    /** What is looked at once and holds until it is re-opened. */
    default Ask looked(Kind kind, Conclusion serves) {
        return new Ask(kind, "", isLooked(serves));
    }

    /** A look before the child is in: it checks nothing and sharpens the advice. */
    default Ask look(Fact.Stage stage) {
        return Ask.offered(
                Kind.LEVEL,
                stage.name(),
                situation()
                        .level(stage)
                        .filter(level -> level.seq() > situation().lastDeviceChange())
                        .isPresent());
    }

    /** What hands do. */
    default Ask act(Act act) {
        return new Ask(
                Kind.ACT,
                act.name(),
                // On a re-check the hands did it the last time; what they did is looked at.
                situation().isAsBefore()
                        || situation()
                                .newest(Fact.Acted.class, fact -> fact.act() == act)
                                .isPresent());
    }
}
