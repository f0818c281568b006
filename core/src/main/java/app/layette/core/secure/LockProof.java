package app.layette.core.secure;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.finding.RuleCode;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.RuleCard;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** SEC-1: the belt proved locked, by pulling it. */
@AutoService(Asking.class)
public final class LockProof extends RuleByEye<LockProof.Answer> {
    /** What {@link Question#LOCK_PROOF} is answered with. */
    public enum Answer {
        HELD,
        SLIPPED
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("LOCK_PROOF"), RuleCode.SEC_1)
            .requiredOf(Method::isByBelt)
            .countsBeforeBirth()
            .reopenedBy(Change.TIGHTENED, Change.BELT_TOUCHED)
            .reopenedElsewhere()
            .asks(Asked.about(Question.LOCK_PROOF, Answer.class)
                    .holds(Answer.HELD, "finding.SEC-1.held")
                    .fix(Answer.SLIPPED, "finding.SEC-1.slipped")
                    .byItself())
            .at(StepKey.TIGHTEN, 200);

    public LockProof() {
        super(CARD, Answer.class);
    }

    /** Once it is known that a belt holds it. */
    @Override
    public boolean isAsked(Situation situation) {
        return situation.method().isPresent();
    }
}
