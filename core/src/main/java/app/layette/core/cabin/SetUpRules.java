package app.layette.core.cabin;

import static app.layette.core.cabin.PlaceRules.permitted;
import static app.layette.core.finding.RuleCode.CAB_3;
import static app.layette.core.finding.RuleCode.CAB_5;

import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import java.util.List;

/** How the base sits and by what it is held: overhang (CAB-3) and one system alone (CAB-5). */
public final class SetUpRules {
    private SetUpRules() {}

    public static List<Rule> rules() {
        return List.of(
                new AnsweredByEye(
                        Conclusion.SITS_WHOLE,
                        Question.SITS_WHOLE,
                        (situation, answer) ->
                                Verdict.judged(permitted(situation, CAB_3, PermissionKey.OVERHANG, "overhang"))),
                new AnsweredByEye(Conclusion.ONE_SYSTEM, Question.SYSTEMS, SetUpRules::oneSystem));
    }

    /** CAB-5: what holds it is the chosen method alone, or both where the seat manual says so. */
    private static Verdict.Judged oneSystem(Situation situation, Stamped<String> answer) {
        if (answer.value().equals("WITH_TOP_TETHER")) {
            return Verdict.judged(permitted(situation, CAB_5, PermissionKey.TOP_TETHER_REAR_FACING, "topTether"));
        }
        if (answer.value().equals("ANCHORS_AND_BELT")) {
            return Verdict.judged(permitted(situation, CAB_5, PermissionKey.BOTH_SYSTEMS, "bothSystems"));
        }
        boolean byBelt = answer.value().equals("BELT_ALONE");
        boolean asChosen =
                situation.method().map(method -> method.isByBelt() == byBelt).orElse(false);
        String alone = byBelt ? "beltAlone" : "anchorsAlone";
        return Verdict.judged(Finding.of(CAB_5, asChosen ? Weight.HOLDS : Weight.FIX, asChosen ? alone : "otherMethod")
                .changedBy("SYSTEMS"));
    }
}
