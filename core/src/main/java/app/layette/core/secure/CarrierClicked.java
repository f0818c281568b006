package app.layette.core.secure;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.finding.RuleCode;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.RuleCard;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** SEC-8: the carrier clicked onto its base, and held when it was lifted. */
@AutoService(Asking.class)
public final class CarrierClicked extends RuleByEye<CarrierClicked.Answer> {
    /** What {@link Question#CLICK} is answered with. */
    public enum Answer {
        CLICKED_AND_LIFTED,
        CAME_LOOSE
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("CLICK_AND_LIFT"), RuleCode.SEC_8)
            .requiredOf(Method::isOnBase)
            .reopenedBy(Change.CARRIER_ON_OFF)
            .reopenedElsewhere()
            .asks(Asked.about(Question.CLICK, Answer.class)
                    .holds(Answer.CLICKED_AND_LIFTED, "finding.SEC-8.clickedAndLifted")
                    .fix(Answer.CAME_LOOSE, "finding.SEC-8.cameLoose")
                    .shownIn(LookKey.DOOR, 430, Answer.CLICKED_AND_LIFTED))
            .at(StepKey.CARRIER_ON, 100);

    public CarrierClicked() {
        super(CARD, Answer.class);
    }
}
