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

/**
 * All about a question that is answered by eye.
 *
 * @param question which
 * @param rule the rule that it belongs to
 * @param known how the answer may be known so that it passes
 * @param carried whether an earlier fitting of the same seat answers it, once nothing has changed since
 * @param whose what it is told of, where one seat stands in several cars
 * @param byItself whether it is told by itself and never with a look: the result of a test, and what must not be passed over
 * @param answers what each answer weighs by itself, in the order in which they are offered; empty where a rule has to look
 *     further
 * @param looks the looks that show it
 */
public record Asked(
        Question question,
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
        if (answers.isEmpty()) {
            throw new IllegalStateException("The question " + question + " has no answer");
        }
        for (Shown shown : looks) {
            if (byItself) {
                throw new IllegalStateException(
                        "The look " + shown.look() + " shows " + question + ", which is asked by itself");
            }
            if (!shown.drawn().equals(Shown.AS_SHEET) && !answers.containsKey(shown.drawn())) {
                throw new IllegalStateException("The look " + shown.look() + " draws " + question + " as ("
                        + shown.drawn() + "); allowed " + answers.keySet());
            }
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

    /** Starts a question, seen here and asked each time. */
    public static Builder about(Question question) {
        return new Builder(question);
    }

    /** Collects the parts of a question. */
    public static final class Builder {
        private final Question question;
        private final Map<String, Optional<Weight>> answers = new LinkedHashMap<>();
        private final Map<String, String> findings = new HashMap<>();
        private final List<Shown> looks = new ArrayList<>();
        private RuleCode rule;
        private Known known = Known.SEEN;
        private boolean carried;
        private Whose whose = Whose.CAR;
        private boolean byItself;

        private Builder(Question question) {
            this.question = question;
        }

        /** Names the rule where it is another than the one that asks. */
        public Builder of(RuleCode other) {
            rule = other;
            return this;
        }

        /** An answer with which it holds, and the whole key of what it says. */
        public Builder holds(String answer, String finding) {
            return says(Weight.HOLDS, answer, finding);
        }

        /** An answer with which it holds; its rule says the rest. */
        public Builder holds(String answer) {
            return weigh(Optional.of(Weight.HOLDS), answer);
        }

        /** An answer that passes with advice, and the whole key of what it says. */
        public Builder advises(String answer, String finding) {
            return says(Weight.ADVISE, answer, finding);
        }

        /** An answer that asks to put something right, and the whole key of what it says. */
        public Builder fix(String answer, String finding) {
            return says(Weight.FIX, answer, finding);
        }

        /** An answer that ends it, and the whole key of what it says. */
        public Builder stop(String answer, String finding) {
            return says(Weight.STOP, answer, finding);
        }

        /** An answer after which it is not known, and the whole key of what it says. */
        public Builder notKnown(String answer, String finding) {
            return says(Weight.NOT_KNOWN, answer, finding);
        }

        /** An answer after which it is not known; its rule says the rest. */
        public Builder notKnown(String answer) {
            return weigh(Optional.of(Weight.NOT_KNOWN), answer);
        }

        /** Answers that weigh nothing alone: the rule looks further, at a permission or a limit. */
        public Builder leftToRule(String... those) {
            for (String answer : those) {
                weigh(Optional.empty(), answer);
            }
            return this;
        }

        private Builder says(Weight weight, String answer, String finding) {
            findings.put(answer, finding);
            return weigh(Optional.of(weight), answer);
        }

        private Builder weigh(Optional<Weight> weight, String answer) {
            if (answers.put(answer, weight) != null) {
                throw new IllegalStateException("The question " + question + " names the answer " + answer + " twice");
            }
            return this;
        }

        /** Known also where it is read on a label or a page. */
        public Builder read() {
            known = Known.READ;
            return this;
        }

        /** Known also where somebody tells it. */
        public Builder told() {
            known = Known.TOLD;
            return this;
        }

        /** Carried from an earlier fitting of the same seat. */
        public Builder carried() {
            carried = true;
            return this;
        }

        /** Told of carrier and base together, wherever they stand. */
        public Builder ofRestraint() {
            whose = Whose.RESTRAINT;
            return this;
        }

        /** Told of the seat, the child in it and the harness, in whatever car it stands. */
        public Builder ofShell() {
            whose = Whose.SHELL;
            return this;
        }

        /** Never told with a look. */
        public Builder byItself() {
            byItself = true;
            return this;
        }

        /** Seen in a look, at this place among its marks, drawn with this answer. */
        public Builder shownIn(LookKey look, int place, String drawn) {
            looks.add(new Shown(look, place, drawn, How.MEASURED));
            return this;
        }

        /** Told in a look. */
        public Builder toldIn(LookKey look, int place, String drawn) {
            looks.add(new Shown(look, place, drawn, How.TOLD));
            return this;
        }

        /**
         * The question, asked by this rule.
         *
         * @throws IllegalStateException when it has no answer, or a look draws one that it does not have
         */
        public Asked by(RuleCode asking) {
            return new Asked(
                    question, rule == null ? asking : rule, known, carried, whose, byItself, answers, findings, looks);
        }
    }
}
