package app.layette.core.cabin;

import static app.layette.core.cabin.PlaceRules.permitted;
import static app.layette.core.finding.RuleCode.CAB_3;
import static app.layette.core.finding.RuleCode.CAB_5;

import app.layette.core.entry.Question;
import app.layette.core.evidence.PermissionKey;
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
                new AnsweredByEye(
                        Conclusion.ONE_SYSTEM,
                        Question.SYSTEMS,
                        (situation, answer) -> Verdict.judged(
                                permitted(situation, CAB_5, PermissionKey.BOTH_SYSTEMS, "bothSystems"))));
    }
}
