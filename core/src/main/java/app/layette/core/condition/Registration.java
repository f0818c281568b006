package app.layette.core.condition;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.PapersNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.Ask;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/**
 * CND-4: whether the registration card was sent, so that a recall finds this family. It advises and keeps nothing shut;
 * a card that nobody is known to have sent comes due after the hand-over.
 */
@AutoService(Asking.class)
public final class Registration implements Rule.OfPapers {
    /** What {@link Question#REGISTRATION} is answered with. */
    public enum Answer {
        SENT,
        NO_CARD,
        NOT_YET
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("REGISTRATION"), RuleCode.CND_4)
            .countsBeforeBirth()
            .clearedEarlier()
            .asks(Asked.about(Question.REGISTRATION, Answer.class)
                    .ofRestraint()
                    .leftToRule(Answer.SENT, Answer.NO_CARD, Answer.NOT_YET)
                    .told()
                    .carried())
            .at(StepKey.HISTORY_STEP, 400);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        return List.of(looks.offered(Question.REGISTRATION));
    }

    @Override
    public Verdict judge(PapersNow situation) {
        Optional<Answer> answer =
                situation.said(Question.REGISTRATION, Answer.class).map(Stamped::value);
        if (answer.isEmpty()) {
            return Verdict.judged(Finding.of(Weight.HOLDS, "finding.CND-4.cardNotAsked"));
        }
        return Verdict.judged(
                isSettled(situation)
                        ? Finding.of(
                                Weight.HOLDS,
                                answer.get() == Answer.SENT ? "finding.CND-4.cardSent" : "finding.CND-4.noCard")
                        : Finding.of(Weight.ADVISE, "finding.CND-4.cardNotSent").changedBy("REGISTRATION"));
    }

    /** Whether nothing is left to be sent. */
    public static boolean isSettled(PapersNow situation) {
        return situation
                .said(Question.REGISTRATION, Answer.class)
                .filter(answer -> answer.value() == Answer.SENT || answer.value() == Answer.NO_CARD)
                .isPresent();
    }
}
