package app.layette.core.suit;

import static app.layette.core.finding.RuleCode.SUIT_6;

import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;

/**
 * SUIT-6: feet that reach the vehicle seat back, or past the restraint's end, are no limit rear-facing unless the manual
 * says so. Where it was read and does not mind, nothing is asked.
 */
public final class FeetPastEnd implements Rule {
    @Override
    public Conclusion conclusion() {
        return Conclusion.FEET;
    }

    @Override
    public Verdict judge(Situation situation) {
        if (situation.seat().isEmpty()) {
            return Verdict.open("SHEET");
        }
        if (!isAsked(situation)) {
            return Verdict.judged(Finding.of(SUIT_6, Weight.HOLDS, "noLimit"));
        }
        return new AnsweredByEye(Conclusion.FEET, Question.FEET, FeetPastEnd::past).judge(situation);
    }

    /** Whether a look at the feet can change anything here. */
    public static boolean isAsked(Situation situation) {
        return situation.permission(PermissionKey.FEET_PAST_END) != Permission.ALLOWED;
    }

    private static Verdict.Judged past(Situation situation, Stamped<String> answer) {
        return Verdict.judged(
                situation.permission(PermissionKey.FEET_PAST_END) == Permission.NOT_ALLOWED
                        ? Finding.of(SUIT_6, Weight.STOP, "pastNotAllowed").changedBy("OTHER_SEAT")
                        : Finding.of(SUIT_6, Weight.NOT_KNOWN, "pastNotKnown")
                                .changedBy("SEAT_MANUAL")
                                .toldBy(PermissionKey.FEET_PAST_END));
    }
}
