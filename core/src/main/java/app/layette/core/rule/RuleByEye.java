package app.layette.core.rule;

import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;

/**
 * A rule that one answer by eye decides, by itself or with a page of a manual.
 *
 * @param <A> the answers to its question
 */
public abstract class RuleByEye<A extends Enum<A>> implements Rule.OfPlace {
    private final RuleCard card;
    private final Class<A> answers;

    /**
     * A rule that the first question of its card decides.
     *
     * @throws IllegalArgumentException when the card asks nothing, or something that is answered otherwise
     */
    protected RuleByEye(RuleCard card, Class<A> answers) {
        if (card.asked().isEmpty() || card.asked().get(0).answerType() != answers) {
            throw new IllegalArgumentException(
                    "The rule " + card.conclusion() + " asks nothing by eye that is answered by " + answers);
        }
        this.card = card;
        this.answers = answers;
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
    protected final AnsweredByEye<PlaceNow, A> byEye() {
        return new AnsweredByEye<>(question(), answers, this::further);
    }

    /** Judges an answer that is left to the rule; a rule that leaves one to itself says what it comes to. */
    protected Verdict.Judged further(PlaceNow situation, Stamped<A> answer) {
        throw AnsweredByEye.leftUnjudged(question(), answer.value().name());
    }
}
