package app.layette.core.entry;

import app.layette.core.practice.Practice;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** The one log that everything is read out of, and under which practice and on which day it is read. */
public interface FactsNow {
    Practice practice();

    /** The day in the fitting point's zone. */
    LocalDate today();

    FittingRecord.Unit unit();

    /** The newest of the best known answers to a question about the chosen place; an estimate is no answer. */
    Optional<Stamped<String>> answer(Question question);

    /** The same as one of the question's answers; empty too where it is none that the question takes. */
    default <A extends Enum<A>> Optional<Stamped<A>> said(Question question, Class<A> answers) {
        return answer(question)
                .flatMap(given -> Answers.as(answers, given.value()).map(given::with));
    }

    /** The newest of the best known facts of a kind that was not estimated. */
    <F extends Fact> Optional<Stamped<F>> newest(Class<F> kind);

    /** The newest of the best known facts of a kind that was not estimated and fits. */
    <F extends Fact> Optional<Stamped<F>> newest(Class<F> kind, Predicate<F> fits);

    /** The same, but only where it was seen, felt or measured here: what a check by eye or hand rests on. */
    <F extends Fact> Optional<Stamped<F>> seen(Class<F> kind, Predicate<F> fits);

    /** The newest fact of a kind that was seen, felt or measured here. */
    <F extends Fact> Optional<Stamped<F>> seen(Class<F> kind);

    /** A setting as it was seen here, or as an earlier fitting left it where nothing was done to the seat since. */
    <F extends Fact> Optional<Stamped<F>> set(Class<F> kind, Predicate<F> fits);

    /** Every fact of a kind in its order, estimates and simulated ones too: for advice, never for a check. */
    <F extends Fact> List<Stamped<F>> history(Class<F> kind);

    /** The latest place at which any of these changes happened, leaving out one entry's own place; 0 for never. */
    int lastChange(Set<Change> kinds, int exceptSeq);

    /** The places of every change of these kinds, in their order. */
    List<Integer> changes(Set<Change> kinds);
}
