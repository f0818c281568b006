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

/** SEC-4: both connectors clicked onto their anchors, the right way up. */
@AutoService(Asking.class)
public final class AnchorsClicked extends RuleByEye<AnchorsClicked.Answer> {
    /** What {@link Question#ANCHORS_HOOKED} is answered with. */
    public enum Answer {
        BOTH_CLICKED,
        ONE_LOOSE,
        UPSIDE_DOWN
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("ANCHORS_CLICKED"), RuleCode.SEC_4)
            .requiredOf(Method::isByAnchors)
            .countsBeforeBirth()
            .reopenedBy(Change.ANCHOR_TOUCHED)
            .reopenedElsewhere()
            .asks(Asked.about(Question.ANCHORS_HOOKED, Answer.class)
                    .holds(Answer.BOTH_CLICKED, "finding.SEC-4.bothClicked")
                    .fix(Answer.ONE_LOOSE, "finding.SEC-4.oneLoose")
                    .fix(Answer.UPSIDE_DOWN, "finding.SEC-4.upsideDown")
                    .shownIn(LookKey.FIXED, 200, Answer.BOTH_CLICKED))
            .at(StepKey.HOOK, 100);

    public AnchorsClicked() {
        super(CARD, Answer.class);
    }
}
