package app.layette.core.harness;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
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

/** HAR-10: rolls beside the child, or a cloth at the crotch, by the seat manual; where it was read and is silent, by the
 * profile's school. */
@AutoService(Asking.class)
public final class SupportBesideChild extends RuleByEye<SupportBesideChild.Answer> {
    /** What {@link Question#SUPPORT} is answered with. */
    public enum Answer {
        NONE,
        ROLLS_BESIDE,
        CROTCH_CLOTH,
        BEHIND_OR_UNDER
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("SUPPORT"), RuleCode.HAR_10)
            .reopenedBy(Change.OTHER_SEAT)
            .asks(Asked.about(Question.SUPPORT, Answer.class)
                    .ofShell()
                    .holds(Answer.NONE, "finding.HAR-10.none")
                    .leftToRule(Answer.ROLLS_BESIDE, Answer.CROTCH_CLOTH)
                    .stop(Answer.BEHIND_OR_UNDER, "finding.HAR-10.behindOrUnder")
                    .shownIn(LookKey.HARNESSED, 370, Answer.NONE))
            .decidedBy(PermissionKey.ROLLS_BESIDE_CHILD, PermissionKey.CROTCH_CLOTH)
            .at(StepKey.HARNESS, 100);

    public SupportBesideChild() {
        super(CARD, Answer.class);
    }

    @Override
    protected Verdict.Judged further(PlaceNow situation, Stamped<Answer> answer) {
        boolean cloth = answer.value() == Answer.CROTCH_CLOTH;
        PermissionKey key = cloth ? PermissionKey.CROTCH_CLOTH : PermissionKey.ROLLS_BESIDE_CHILD;
        Finding.Builder finding = switch (situation.permission(key)) {
            case ALLOWED ->
                Finding.of(Weight.HOLDS, cloth ? "finding.HAR-10.clothAllowed" : "finding.HAR-10.rollsAllowed");
            case NOT_ALLOWED ->
                Finding.of(Weight.FIX, cloth ? "finding.HAR-10.clothNotAllowed" : "finding.HAR-10.rollsNotAllowed");
            case NOT_KNOWN ->
                Finding.of(Weight.NOT_KNOWN, cloth ? "finding.HAR-10.clothNotKnown" : "finding.HAR-10.rollsNotKnown")
                        .toldBy(key);
        };
        return Verdict.judged(finding.changedBy("SUPPORT"));
    }
}
