package app.layette.core.entry;

import app.layette.core.finding.Weight;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** The answers that a question takes and what each one weighs; the rule that asks it says both ({@link Asked}). */
public final class Answers {
    private Answers() {}

    /** The answers to a question, in the order in which they are offered. */
    public static List<String> to(Question question) {
        return List.copyOf(question.asked().answers().keySet());
    }

    public static boolean takes(Question question, String answer) {
        return question.asked().answers().containsKey(answer);
    }

    /** An answer by its name; empty where the question does not take it. */
    public static <A extends Enum<A>> Optional<A> as(Class<A> answers, String answer) {
        return Arrays.stream(answers.getEnumConstants())
                .filter(each -> each.name().equals(answer))
                .findFirst();
    }

    /** Whether with this answer all is in order, whatever else may be so. */
    public static boolean holds(Question question, String answer) {
        return weight(question, answer).filter(weight -> weight == Weight.HOLDS).isPresent();
    }

    /**
     * What an answer weighs by itself; empty when a rule has to look further. An answer that the question does not take is
     * a stop: unknown things fail closed.
     */
    public static Optional<Weight> weight(Question question, String answer) {
        return question.asked().answers().getOrDefault(answer, Optional.of(Weight.STOP));
    }
}
