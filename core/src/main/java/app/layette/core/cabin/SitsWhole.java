package app.layette.core.cabin;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.finding.RuleCode;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** CAB-3: the base or shell sits on the vehicle seat whole; overhanging only where the manual allows it. */
@AutoService(Asking.class)
public final class SitsWhole extends RuleByEye<SitsWhole.Answer> {
    /** What {@link Question#SITS_WHOLE} is answered with. */
    public enum Answer {
        WHOLE,
        OVERHANGS
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("SITS_WHOLE"), RuleCode.CAB_3)
            .countsBeforeBirth()
            .reopenedElsewhere()
            .asks(Asked.about(Question.SITS_WHOLE, Answer.class)
                    .holds(Answer.WHOLE, "finding.CAB-3.whole")
                    .leftToRule(Answer.OVERHANGS)
                    .shownIn(LookKey.FIXED, 290, Answer.WHOLE))
            .decidedBy(PermissionKey.OVERHANG)
            .at(StepKey.TIGHTEN, 700);

    public SitsWhole() {
        super(CARD, Answer.class);
    }

    @Override
    protected Verdict.Judged further(PlaceNow situation, Stamped<Answer> answer) {
        return Verdict.judged(PlaceRules.permitted(
                situation,
                PermissionKey.OVERHANG,
                new PlaceRules.ByPage(
                        "finding.CAB-3.overhangAllowed",
                        "finding.CAB-3.overhangNotAllowed",
                        "finding.CAB-3.overhangNotKnown")));
    }
}
