package app.layette.core.rule;

import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;

/** A rule that one answer by eye decides, by itself or with a page of a manual. */
public abstract class RuleByEye implements Rule.OfPlace {
    private final RuleCard card;

    /**
     * A rule that the first question of its card decides.
     *
     * @throws IllegalArgumentException when the card asks nothing
     */
    protected RuleByEye(RuleCard card) {
        if (card.asked().isEmpty()) {
            throw new IllegalArgumentException("The rule " + card.conclusion() + " asks nothing by eye");
        }
        this.card = card;
    }

    @Override
    public final RuleCard card() {
        return card;
    }

    protected final Question question() {
        return card.asked().get(0).question();
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        return byEye().judge(situation);
    }

    /** What its answer comes to, whatever else the rule looks at. */
    protected final AnsweredByEye<PlaceNow> byEye() {
        return new AnsweredByEye<>(question(), this::further);
    }

    /** Judges an answer that is left to the rule; a rule that leaves one to itself says what it comes to. */
    protected Verdict.Judged further(PlaceNow situation, Stamped<String> answer) {
        throw AnsweredByEye.leftUnjudged(question(), answer.value());
    }
}
