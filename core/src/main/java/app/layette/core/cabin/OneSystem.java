package app.layette.core.cabin;

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

/** CAB-5: what holds it is the chosen method alone, or both where the seat manual says so. */
@AutoService(Asking.class)
public final class OneSystem extends RuleByEye<OneSystem.Answer> {
    /** What {@link Question#SYSTEMS} is answered with. */
    public enum Answer {
        ANCHORS_ALONE,
        BELT_ALONE,
        ANCHORS_AND_BELT,
        WITH_TOP_TETHER
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("ONE_SYSTEM"), RuleCode.CAB_5)
            .requiredOf(Method::staysInTheCar)
            .countsBeforeBirth()
            .reopenedElsewhere()
            .asks(Asked.about(Question.SYSTEMS, Answer.class)
                    .leftToRule(
                            Answer.ANCHORS_ALONE, Answer.BELT_ALONE, Answer.ANCHORS_AND_BELT, Answer.WITH_TOP_TETHER)
                    .shownIn(LookKey.FIXED, 300))
            .decidedBy(PermissionKey.BOTH_SYSTEMS, PermissionKey.TOP_TETHER_REAR_FACING)
            .at(StepKey.TIGHTEN, 800);

    public OneSystem() {
        super(CARD, Answer.class);
    }

    @Override
    protected Verdict.Judged further(PlaceNow situation, Stamped<Answer> answer) {
        if (answer.value() == Answer.WITH_TOP_TETHER) {
            return Verdict.judged(PlaceRules.permitted(
                    situation,
                    PermissionKey.TOP_TETHER_REAR_FACING,
                    new PlaceRules.ByPage(
                            "finding.CAB-5.topTetherAllowed",
                            "finding.CAB-5.topTetherNotAllowed",
                            "finding.CAB-5.topTetherNotKnown")));
        }
        if (answer.value() == Answer.ANCHORS_AND_BELT) {
            return Verdict.judged(PlaceRules.permitted(
                    situation,
                    PermissionKey.BOTH_SYSTEMS,
                    new PlaceRules.ByPage(
                            "finding.CAB-5.bothSystemsAllowed",
                            "finding.CAB-5.bothSystemsNotAllowed",
                            "finding.CAB-5.bothSystemsNotKnown")));
        }
        boolean byBelt = answer.value() == Answer.BELT_ALONE;
        boolean asChosen =
                situation.method().map(method -> method.isByBelt() == byBelt).orElse(false);
        String alone = byBelt ? "finding.CAB-5.beltAlone" : "finding.CAB-5.anchorsAlone";
        return Verdict.judged(
                Finding.of(asChosen ? Weight.HOLDS : Weight.FIX, asChosen ? alone : "finding.CAB-5.otherMethod")
                        .changedBy("SYSTEMS"));
    }
}
