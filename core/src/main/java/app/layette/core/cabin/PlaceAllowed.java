package app.layette.core.cabin;

import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Permission;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Rules;
import app.layette.core.rule.Verdict;
import java.util.List;

/** What the rules of the place say of a place and method before anything is fixed there. */
public final class PlaceAllowed {
    private PlaceAllowed() {}

    /** The answer about the place and method that a situation stands at, the front row's own rule included. */
    public static Permission answer(Situation there) {
        return withoutFrontRow(there).and(answer(new FrontRowLast().judge(there)));
    }

    /** The same without asking whether the back could take it. */
    static Permission withoutFrontRow(Situation there) {
        Permission answer = Permission.ALLOWED;
        for (Rule rule : rules(there.usualMethod())) {
            answer = answer.and(answer(rule.judge(there)));
        }
        boolean leg = there.usualMethod().isReclined() && !there.usualMethod().isBaseless();
        return leg ? answer.and(FloorAndLeg.beforehand(there).weight().asPermission()) : answer;
    }

    private static Permission answer(Verdict verdict) {
        return verdict instanceof Verdict.Judged judged
                ? judged.deciding().weight().asPermission()
                : Permission.NOT_KNOWN;
    }

    private static List<Rule> rules(Method method) {
        return Rules.all().stream()
                .filter(rule -> rule.card().isSaidBeforehand() && rule.card().isRequiredBy(method))
                .filter(rule -> !rule.conclusion().equals(Conclusion.FRONT_ROW))
                .toList();
    }
}
