package app.layette.core.harness;

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

/** HAR-4: the webbing runs straight, home on its plate and free. */
@AutoService(Asking.class)
public final class WebbingHome extends RuleByEye<WebbingHome.Answer> {
    /** What {@link Question#WEBBING} is answered with. */
    public enum Answer {
        STRAIGHT_HOME_AND_FREE,
        TWISTED,
        NOT_HOME_ON_PLATE,
        DOES_NOT_RUN
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("WEBBING"), RuleCode.HAR_4)
            .requiredOf(Method::isThroughSlots)
            .clearedEarlier()
            .reopenedBy(Change.COVER, Change.SLOT, Change.OTHER_SEAT)
            .asks(Asked.about(Question.WEBBING, Answer.class)
                    .ofShell()
                    .holds(Answer.STRAIGHT_HOME_AND_FREE, "finding.HAR-4.straightHomeAndFree")
                    .fix(Answer.TWISTED, "finding.HAR-4.twisted")
                    .fix(Answer.NOT_HOME_ON_PLATE, "finding.HAR-4.notHomeOnPlate")
                    .fix(Answer.DOES_NOT_RUN, "finding.HAR-4.doesNotRun")
                    .shownIn(LookKey.THREADED, 120, Answer.STRAIGHT_HOME_AND_FREE))
            .at(StepKey.THREAD, 400);

    public WebbingHome() {
        super(CARD, Answer.class);
    }
}
