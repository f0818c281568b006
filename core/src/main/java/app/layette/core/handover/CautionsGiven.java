package app.layette.core.handover;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Question;
import app.layette.core.finding.RuleCode;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.RuleCard;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** OUT-1: the caregiver heard the cautions that belong to this fitting. */
@AutoService(Asking.class)
public final class CautionsGiven extends RuleByEye<CautionsGiven.Answer> {
    /** What {@link Question#CAUTIONS} is answered with. */
    public enum Answer {
        GIVEN
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("CAUTIONS"), RuleCode.OUT_1)
            .asks(Asked.about(Question.CAUTIONS, Answer.class)
                    .holds(Answer.GIVEN, "finding.OUT-1.given")
                    .shownIn(LookKey.FAMILY, 490, Answer.GIVEN))
            .at(StepKey.HAND_OVER, 100);

    public CautionsGiven() {
        super(CARD, Answer.class);
    }
}
