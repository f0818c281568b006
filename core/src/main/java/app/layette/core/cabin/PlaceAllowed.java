package app.layette.core.cabin;

import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Permission;
import app.layette.core.finding.Weight;
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
        return leg ? answer.and(answer(FloorAndLeg.beforehand(there).weight())) : answer;
    }

    private static Permission answer(Verdict verdict) {
        return verdict instanceof Verdict.Judged judged
                ? answer(judged.deciding().weight())
                : Permission.NOT_KNOWN;
    }

    private static Permission answer(Weight weight) {
        return switch (weight) {
            case HOLDS, ADVISE -> Permission.ALLOWED;
            case NOT_KNOWN -> Permission.NOT_KNOWN;
            case STOP, FIX -> Permission.NOT_ALLOWED;
        };
    }

    private static List<Rule> rules(Method method) {
        return Rules.all().stream()
                .filter(rule -> rule.card().isSaidBeforehand() && rule.card().isRequiredBy(method))
                .filter(rule -> !rule.conclusion().equals(Conclusion.FRONT_ROW))
                .toList();
    }
}
