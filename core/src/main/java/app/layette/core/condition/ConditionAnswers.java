package app.layette.core.condition;

import static app.layette.core.finding.RuleCode.CND_3;
import static app.layette.core.finding.RuleCode.CND_4;
import static app.layette.core.finding.RuleCode.CND_5;
import static app.layette.core.finding.RuleCode.CND_7;

import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import app.layette.core.rule.Verdict.Judged;
import app.layette.core.seat.CrashRule;
import app.layette.core.seat.SeatSheet;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/** The rules of clearing a seat that begin with an answer by eye: CND-2 to CND-7. */
public final class ConditionAnswers {
    private ConditionAnswers() {}

    public static List<Rule> rules() {
        return List.of(
                new AnsweredByEye(Conclusion.HISTORY, Question.HISTORY),
                new AnsweredByEye(Conclusion.CRASH, Question.CRASH, ConditionAnswers::minorCrash),
                new AnsweredByEye(Conclusion.RECALL, Question.RECALL, ConditionAnswers::recallAge),
                new AnsweredByEye(Conclusion.PARTS, Question.PARTS, ConditionAnswers::partsAgainstList),
                new AnsweredByEye(Conclusion.MANUALS, Question.MANUALS),
                new AnsweredByEye(Conclusion.APPROVAL, Question.APPROVAL, ConditionAnswers::approvalCounts));
    }

    /** CND-3: a crash minor in every point passes only where the maker's rule lets it; silence is the public rule. */
    private static Judged minorCrash(Situation situation, Stamped<String> answer) {
        Evidence<CrashRule> rule = situation.seat().map(SeatSheet::crash).orElse(Evidence.notLooked());
        if (!rule.isLooked()) {
            return Verdict.judged(Finding.of(CND_3, Weight.NOT_KNOWN, "makerRuleNotLooked")
                    .lacks(SheetValue.CRASH_RULE)
                    .changedBy("SEAT_MANUAL"));
        }
        boolean replace = rule.value().orElse(CrashRule.MINOR_MAY_STAY) == CrashRule.REPLACE_ALWAYS;
        return Verdict.judged(
                Finding.of(CND_3, replace ? Weight.STOP : Weight.HOLDS, replace ? "makerSaysReplace" : "minor")
                        .from(rule)
                        .changedBy("OTHER_SEAT"));
    }

    /** CND-4: a look-up is good for the profile's days; one dated in the future is no look-up. */
    private static Judged recallAge(Situation situation, Stamped<String> answer) {
        int allowed = situation.practice().profile().recallDays();
        Optional<LocalDate> lookedUp = answer.freshOn(situation.today());
        boolean old = lookedUp.isEmpty() || ChronoUnit.DAYS.between(lookedUp.get(), situation.today()) > allowed;
        String fine = answer.value().equals("NONE_OPEN") ? "noneOpen" : "remedyDone";
        return Verdict.judged((old ? Verdict.again(CND_4, "lookUpTooOld") : Finding.of(CND_4, Weight.HOLDS, fine))
                .with("lookedUp", answer.on())
                .with("days", allowed)
                .changedBy("RECALL"));
    }

    /** CND-5: "all here" means something only against a list of parts that is known to be complete. */
    private static Judged partsAgainstList(Situation situation, Stamped<String> answer) {
        Evidence<List<String>> parts = situation.seat().map(SeatSheet::parts).orElse(Evidence.notLooked());
        Optional<List<String>> list = parts.value();
        return Verdict.judged(list.map(
                        each -> Finding.of(CND_5, Weight.HOLDS, "complete").with("count", each.size()))
                .orElseGet(() -> Finding.of(CND_5, Weight.NOT_KNOWN, "noList").lacks(SheetValue.PARTS))
                .from(parts)
                .changedBy("SEAT_MANUAL"));
    }

    /** CND-7: the approval on the label is one that counts where the family drives. */
    private static Judged approvalCounts(Situation situation, Stamped<String> answer) {
        Evidence<List<String>> approvals =
                situation.seat().map(SeatSheet::approvals).orElse(Evidence.notLooked());
        Optional<String> law = situation.practice().lawCountry();
        if (law.isEmpty()) {
            return Verdict.judged(
                    Finding.of(CND_7, Weight.NOT_KNOWN, "lawNotKnown").changedBy("LAW"));
        }
        String country = law.get();
        Finding.Builder finding = approvals
                .value()
                .map(list -> list.contains(country)
                        ? Finding.of(CND_7, Weight.HOLDS, "counts")
                        : Finding.of(CND_7, Weight.STOP, "otherCountry"))
                .orElseGet(
                        () -> Finding.of(CND_7, Weight.NOT_KNOWN, "notOnSheet").lacks(SheetValue.APPROVED_HERE));
        return Verdict.judged(finding.with("country", country).from(approvals).changedBy("APPROVAL"));
    }
}
