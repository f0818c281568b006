package app.layette.core.suit;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.ChildNow;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Mass;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.Ask;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/**
 * SUIT-12: what the caregiver would have to lift, carrier and child, against what they say they can. It advises a shell
 * that lifts out, a lighter carrier, or leaving the carrier in its place; it forbids nothing, and nobody has to answer.
 */
@AutoService(Asking.class)
public final class Lifting implements Rule.OfChild {
    /** What {@link Question#LIFTING} is answered with. */
    public enum Answer {
        CAN,
        NOT_NOW,
        UNSURE
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("LIFTING"), RuleCode.SUIT_12)
            .requiredOf(Method::isCarried)
            .asks(Asked.about(Question.LIFTING, Answer.class)
                    .ofShell()
                    .holds(Answer.CAN, "finding.SUIT-12.can")
                    .leftToRule(Answer.NOT_NOW, Answer.UNSURE)
                    .told())
            .at(StepKey.FITS, 500);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        return List.of(looks.offered(Question.LIFTING));
    }

    @Override
    public Verdict judge(ChildNow situation) {
        Optional<Answer> answer = situation.said(Question.LIFTING, Answer.class).map(Stamped::value);
        boolean can = answer.filter(said -> said == Answer.CAN).isPresent();
        if (answer.isEmpty() || can) {
            return Verdict.judged(Finding.of(Weight.HOLDS, can ? "finding.SUIT-12.can" : "finding.SUIT-12.notAsked"));
        }
        return Verdict.judged(together(situation)
                .map(mass ->
                        Finding.of(Weight.ADVISE, "finding.SUIT-12.tooHeavyNow").with("together", mass))
                .orElseGet(() -> Finding.of(Weight.ADVISE, "finding.SUIT-12.leaveInPlace"))
                .changedBy("LIFTING"));
    }

    /** Child and carrier together; empty while either is not known. */
    public static Optional<Mass> together(ChildNow situation) {
        Optional<Mass> carrier = situation
                .seat()
                .map(SeatSheet::shell)
                .flatMap(shell -> shell.carrierMass().value());
        return carrier.flatMap(
                mass -> situation.weight().map(weight -> weight.value().plus(mass)));
    }
}
