package app.layette.core.entry;

import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.step.LookKey;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * All about a question that is answered by eye.
 *
 * @param question which
 * @param answerType the enum whose constants are its answers: each is spelled there alone
 * @param rule the rule that it belongs to
 * @param known how the answer may be known so that it passes
 * @param carried whether an earlier fitting of the same seat answers it, once nothing has changed since
 * @param whose what it is told of, where one seat stands in several cars
 * @param byItself whether it is told by itself and never with a look: the result of a test, and what must not be passed over
 * @param answers what each answer weighs by itself, in the order in which they are offered; empty where a rule has to look
 *     further
 * @param findings the whole key of what an answer says; none where its rule says it
 * @param looks the looks that show it
 */
public record Asked(
        Question question,
        Class<? extends Enum<?>> answerType,
        RuleCode rule,
        Known known,
        boolean carried,
        Whose whose,
        boolean byItself,
        Map<String, Optional<Weight>> answers,
        Map<String, String> findings,
        List<Shown> looks) {

    public Asked {
        answers = Collections.unmodifiableMap(new LinkedHashMap<>(answers));
        findings = Map.copyOf(findings);
        looks = List.copyOf(looks);
        for (Enum<?> each : answerType.getEnumConstants()) {
            if (!answers.containsKey(each.name())) {
                throw new IllegalStateException(
                        "The question " + question + " does not say what the answer " + each + " weighs");
            }
        }
        if (byItself && !looks.isEmpty()) {
            throw new IllegalStateException(
                    "The look " + looks.get(0).look() + " shows " + question + ", which is asked by itself");
        }
    }

    /** What an answer is told of, where one seat is fixed in several cars in one visit. */
    public enum Whose {
        /** The car, the place and the securing there: asked anew for each. */
        CAR,
        /** The whole restraint: once, and anew for a base that stays in another car. */
        RESTRAINT,
        /** The seat that the child is carried in, the child and the harness: once. */
        SHELL
    }

    /** How an answer may be known so that it passes. */
    public enum Known {
        /** Seen, felt or tested here. */
        SEEN,
        /** The same, or read on a label or a page. */
        READ,
        /** What a family or a ward says is enough. */
        TOLD
    }

    /**
     * How a look shows it when it is in order.
     *
     * @param look which
     * @param place its place among the marks of the look, by which they are kept
     * @param drawn the answer that is drawn, or {@code *} where the sheets decide it
     * @param how how what was drawn is known
     */
    public record Shown(LookKey look, int place, String drawn, How how) {
        /** Drawn as the sheets ask it here. */
        public static final String AS_SHEET = "*";
    }

    /** Starts a question, seen here and asked each time; each of its answers has to be weighed. */
    public static <A extends Enum<A>> Builder<A> about(Question question, Class<A> answers) {
        return new Builder<>(question, answers);
    }

    /**
     * Collects the parts of a question.
     *
     * @param <A> its answers
     */
    public static final class Builder<A extends Enum<A>> {
        private final Question question;
        private final Class<A> answerType;
        private final Map<String, Optional<Weight>> answers = new LinkedHashMap<>();
        private final Map<String, String> findings = new HashMap<>();
        private final List<Shown> looks = new ArrayList<>();
        private @Nullable RuleCode rule;
        private Known known = Known.SEEN;
        private boolean carried;
        private Whose whose = Whose.CAR;
        private boolean byItself;

        private Builder(Question question, Class<A> answerType) {
            this.question = question;
            this.answerType = answerType;
        }

        /** Names the rule where it is another than the one that asks. */
        public Builder<A> of(RuleCode other) {
            rule = other;
            return this;
        }

        /** An answer with which it holds, and the whole key of what it says. */
        public Builder<A> holds(A answer, String finding) {
            return says(Weight.HOLDS, answer, finding);
        }

        /** An answer with which it holds; its rule says the rest. */
        public Builder<A> holds(A answer) {
            return weigh(Optional.of(Weight.HOLDS), answer);
        }

        /** An answer that passes with advice, and the whole key of what it says. */
        public Builder<A> advises(A answer, String finding) {
            return says(Weight.ADVISE, answer, finding);
        }

        /** An answer that asks to put something right, and the whole key of what it says. */
        public Builder<A> fix(A answer, String finding) {
            return says(Weight.FIX, answer, finding);
        }

        /** An answer that ends it, and the whole key of what it says. */
        public Builder<A> stop(A answer, String finding) {
            return says(Weight.STOP, answer, finding);
        }

        /** An answer after which it is not known, and the whole key of what it says. */
        public Builder<A> notKnown(A answer, String finding) {
            return says(Weight.NOT_KNOWN, answer, finding);
        }

        /** An answer after which it is not known; its rule says the rest. */
        public Builder<A> notKnown(A answer) {
            return weigh(Optional.of(Weight.NOT_KNOWN), answer);
        }

        /** Answers that weigh nothing alone: the rule looks further, at a permission or a limit. */
        @SafeVarargs
        public final Builder<A> leftToRule(A... those) {
            for (A answer : those) {
                weigh(Optional.empty(), answer);
            }
            return this;
        }

        private Builder<A> says(Weight weight, A answer, String finding) {
            findings.put(answer.name(), finding);
            return weigh(Optional.of(weight), answer);
        }

        private Builder<A> weigh(Optional<Weight> weight, A answer) {
            if (answers.put(answer.name(), weight) != null) {
                throw new IllegalStateException("The question " + question + " names the answer " + answer + " twice");
            }
            return this;
        }

        /** Known also where it is read on a label or a page. */
        public Builder<A> read() {
            known = Known.READ;
            return this;
        }

        /** Known also where somebody tells it. */
        public Builder<A> told() {
            known = Known.TOLD;
            return this;
        }

        /** Carried from an earlier fitting of the same seat. */
        public Builder<A> carried() {
            carried = true;
            return this;
        }

        /** Told of carrier and base together, wherever they stand. */
        public Builder<A> ofRestraint() {
            whose = Whose.RESTRAINT;
            return this;
        }

        /** Told of the seat, the child in it and the harness, in whatever car it stands. */
        public Builder<A> ofShell() {
            whose = Whose.SHELL;
            return this;
        }

        /** Never told with a look. */
        public Builder<A> byItself() {
            byItself = true;
            return this;
        }

        /** Seen in a look, at this place among its marks, drawn with this answer. */
        public Builder<A> shownIn(LookKey look, int place, A drawn) {
            looks.add(new Shown(look, place, drawn.name(), How.MEASURED));
            return this;
        }

        /** Seen in a look, at this place among its marks, drawn as the sheets ask it here. */
        public Builder<A> shownIn(LookKey look, int place) {
            looks.add(new Shown(look, place, Shown.AS_SHEET, How.MEASURED));
            return this;
        }

        /** Told in a look. */
        public Builder<A> toldIn(LookKey look, int place, A drawn) {
            looks.add(new Shown(look, place, drawn.name(), How.TOLD));
            return this;
        }

        /**
         * The question, asked by this rule.
         *
         * @throws IllegalStateException when it does not say what an answer weighs, or a look shows what is asked by itself
         */
        public Asked by(RuleCode asking) {
            return new Asked(
                    question,
                    answerType,
                    rule == null ? asking : rule,
                    known,
                    carried,
                    whose,
                    byItself,
                    answers,
                    findings,
                    looks);
        }
    }
}
