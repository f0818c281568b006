package app.layette.core.rule;

import app.layette.core.entry.Answers;
import app.layette.core.entry.FactsNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import java.util.Optional;
import java.util.function.BiFunction;

/**
 * What one answer by eye comes to. Answers that need more than themselves are handed to {@code further}.
 *
 * @param <N> the part of the situation that is at hand for that
 * @param <A> the answers to the question
 * @param question what is asked
 * @param answers the kind of its answers
 * @param further judges the answers that are left to the rule
 */
public record AnsweredByEye<N extends FactsNow, A extends Enum<A>>(
        Question question, Class<A> answers, BiFunction<N, Stamped<A>, Verdict.Judged> further) {

    public AnsweredByEye(Question question, Class<A> answers) {
        this(question, answers, (now, answer) -> {
            throw leftUnjudged(question, answer.value().name());
        });
    }

    public Verdict judge(N now) {
        Optional<Stamped<String>> answer = now.answer(question);
        if (answer.isEmpty()) {
            return Verdict.open(question);
        }
        return judge(now, answer.get());
    }

    /** What an answer comes to: one that is not known well enough may fail a check, and passes none. */
    public Verdict judge(N now, Stamped<String> given) {
        Verdict.Judged verdict = Answers.weight(question, given.value())
                .map(weight -> Verdict.judged(finding(question, given.value(), weight)))
                .orElseGet(() -> further.apply(now, given.with(Enum.valueOf(answers, given.value()))))
                .restingOn(given);
        return verdict.passes() && !question.isPassedBy(given.how()) ? Verdict.open(Missing.Entry.LOOK_HERE) : verdict;
    }

    /**
     * The finding that an answer makes by itself. An answer that leaves it not known leads back to the question: somebody
     * has to find the page, or somebody else to look.
     *
     * @throws IllegalStateException when the question does not say what the answer comes to
     */
    private static Finding.Builder finding(Question question, String answer, Weight weight) {
        String key = question.asked().findings().get(answer);
        if (key == null) {
            throw leftUnjudged(question, answer);
        }
        Finding.Builder finding = Finding.of(weight, key).changedBy(question.name());
        return weight == Weight.NOT_KNOWN ? finding.changedBy(Verdict.AGAIN) : finding;
    }

    /** What a rule throws that leaves an answer to itself and does not judge it: it is broken, and the gate stays shut. */
    static IllegalStateException leftUnjudged(Question question, String answer) {
        return new IllegalStateException("The rule of " + question + " has to judge the answer " + answer);
    }
}
