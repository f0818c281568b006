package app.layette.core.secure;

import static app.layette.core.finding.RuleCode.SEC_3;
import static app.layette.core.finding.RuleCode.SEC_7;

import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.SeatSheet;
import java.util.List;

/** The rules of securing that an answer by eye decides: SEC-3, SEC-4, SEC-7 and SEC-8. */
public final class SecuringAnswers {
    private SecuringAnswers() {}

    public static List<Rule> rules() {
        return List.of(
                new AnsweredByEye(Conclusion.ANCHORS_CLICKED, Question.ANCHORS_HOOKED),
                new AnsweredByEye(Conclusion.STRAP, Question.STRAP, SecuringAnswers::underLockOff),
                new AnsweredByEye(Conclusion.CLICK_AND_LIFT, Question.CLICK),
                new Windows());
    }

    /** SEC-3: an anchor strap passes under a lock-off only where the seat manual says so. */
    private static Verdict.Judged underLockOff(Situation situation, Stamped<String> answer) {
        Finding.Builder finding = switch (situation.permission(PermissionKey.ANCHOR_STRAP_UNDER_LOCK_OFF)) {
            case ALLOWED -> Finding.of(SEC_3, Weight.HOLDS, "underLockOffAllowed");
            case NOT_ALLOWED -> Finding.of(SEC_3, Weight.FIX, "underLockOffNotAllowed");
            case NOT_KNOWN ->
                Finding.of(SEC_3, Weight.NOT_KNOWN, "underLockOffNotKnown")
                        .toldBy(PermissionKey.ANCHOR_STRAP_UNDER_LOCK_OFF);
        };
        return Verdict.judged(finding.changedBy("STRAP"));
    }

    /** SEC-7: every indicator that the sheet lists shows locked; a sheet that lists none says so. */
    private static final class Windows implements Rule {
        @Override
        public Conclusion conclusion() {
            return Conclusion.WINDOWS;
        }

        @Override
        public Verdict judge(Situation situation) {
            if (situation.seat().isEmpty()) {
                return Verdict.open("SHEET");
            }
            Evidence<List<String>> windows =
                    situation.seat().map(SeatSheet::windows).orElseThrow();
            if (windows.value().isEmpty()) {
                return Verdict.judged(Finding.of(SEC_7, Weight.NOT_KNOWN, "noList")
                        .lacks(SheetValue.WINDOWS)
                        .from(windows)
                        .changedBy("SEAT_MANUAL"));
            }
            if (windows.value().get().isEmpty()) {
                return Verdict.judged(
                        Finding.of(SEC_7, Weight.HOLDS, "noWindows").from(windows));
            }
            return new AnsweredByEye(Conclusion.WINDOWS, Question.WINDOWS, Windows::allLocked).judge(situation);
        }

        private static Verdict.Judged allLocked(Situation situation, Stamped<String> answer) {
            return Verdict.judged(Finding.of(SEC_7, Weight.HOLDS, "allLocked"));
        }
    }
}
