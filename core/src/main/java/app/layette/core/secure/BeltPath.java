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

/** SEC-3: the belt straight, in the path for this way of riding. */
@AutoService(Asking.class)
public final class BeltPath extends RuleByEye<BeltPath.Answer> {
    /** What {@link Question#BELT_ROUTE} is answered with. */
    public enum Answer {
        STRAIGHT_IN_PATH,
        TWISTED,
        WRONG_PATH,
        UNUSED_ANCHORS_LOOSE
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("BELT_PATH"), RuleCode.SEC_3)
            .requiredOf(Method::isByBelt)
            .countsBeforeBirth()
            .reopenedBy(Change.BELT_TOUCHED)
            .reopenedElsewhere()
            .asks(Asked.about(Question.BELT_ROUTE, Answer.class)
                    .holds(Answer.STRAIGHT_IN_PATH, "finding.SEC-3.straightInPath")
                    .fix(Answer.TWISTED, "finding.SEC-3.twisted")
                    .fix(Answer.WRONG_PATH, "finding.SEC-3.wrongPath")
                    .fix(Answer.UNUSED_ANCHORS_LOOSE, "finding.SEC-3.unusedAnchorsLoose")
                    .shownIn(LookKey.FIXED, 210, Answer.STRAIGHT_IN_PATH))
            .at(StepKey.ROUTE_BELT, 300);

    public BeltPath() {
        super(CARD, Answer.class);
    }
}
