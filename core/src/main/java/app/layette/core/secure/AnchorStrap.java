package app.layette.core.secure;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** SEC-3: the strap straight and its tail stowed; under a lock-off only where the seat manual says so. */
@AutoService(Asking.class)
public final class AnchorStrap extends RuleByEye<AnchorStrap.Answer> {
    /** What {@link Question#STRAP} is answered with. */
    public enum Answer {
        STRAIGHT_AND_STOWED,
        TWISTED,
        TAIL_LOOSE,
        UNDER_LOCK_OFF
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("STRAP"), RuleCode.SEC_3)
            .requiredOf(Method::isByAnchorStrap)
            .countsBeforeBirth()
            .reopenedElsewhere()
            .asks(Asked.about(Question.STRAP, Answer.class)
                    .holds(Answer.STRAIGHT_AND_STOWED, "finding.SEC-3.straightAndStowed")
                    .fix(Answer.TWISTED, "finding.SEC-3.twisted")
                    .fix(Answer.TAIL_LOOSE, "finding.SEC-3.tailLoose")
                    .leftToRule(Answer.UNDER_LOCK_OFF)
                    .shownIn(LookKey.FIXED, 250, Answer.STRAIGHT_AND_STOWED))
            .decidedBy(PermissionKey.ANCHOR_STRAP_UNDER_LOCK_OFF)
            .at(StepKey.TIGHTEN, 500);

    public AnchorStrap() {
        super(CARD, Answer.class);
    }

    @Override
    protected Verdict.Judged further(PlaceNow situation, Stamped<Answer> answer) {
        Finding.Builder finding = switch (situation.permission(PermissionKey.ANCHOR_STRAP_UNDER_LOCK_OFF)) {
            case ALLOWED -> Finding.of(Weight.HOLDS, "finding.SEC-3.underLockOffAllowed");
            case NOT_ALLOWED -> Finding.of(Weight.FIX, "finding.SEC-3.underLockOffNotAllowed");
            case NOT_KNOWN ->
                Finding.of(Weight.NOT_KNOWN, "finding.SEC-3.underLockOffNotKnown")
                        .toldBy(PermissionKey.ANCHOR_STRAP_UNDER_LOCK_OFF);
        };
        return Verdict.judged(finding.changedBy("STRAP"));
    }
}
