package app.layette.core.condition;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.CrashRule;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** CND-3: a crash minor in every point passes only where the maker's rule lets it; silence is the public rule. */
@AutoService(Asking.class)
public final class NoCrash extends RuleByEye<NoCrash.Answer> {
    /** What {@link Question#CRASH} is answered with. */
    public enum Answer {
        NONE,
        MINOR,
        NOT_MINOR,
        UNSURE
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.CRASH, RuleCode.CND_3)
            .countsBeforeBirth()
            .clearedEarlier()
            .reopenedBy(Change.OTHER_SEAT)
            .asks(Asked.about(Question.CRASH, Answer.class)
                    .ofRestraint()
                    .holds(Answer.NONE, "finding.CND-3.none")
                    .leftToRule(Answer.MINOR)
                    .stop(Answer.NOT_MINOR, "finding.CND-3.notMinor")
                    .stop(Answer.UNSURE, "finding.CND-3.unsure")
                    .told()
                    .carried()
                    .byItself())
            .decidedBy(SheetValue.CRASH_RULE)
            .at(StepKey.HISTORY_STEP, 200);

    public NoCrash() {
        super(CARD, Answer.class);
    }

    @Override
    protected Verdict.Judged further(PlaceNow situation, Stamped<Answer> answer) {
        Evidence<CrashRule> rule = situation.seat().map(SeatSheet::crash).orElse(Evidence.notLooked());
        if (!rule.isLooked()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.CND-3.makerRuleNotLooked")
                    .lacks(SheetValue.CRASH_RULE)
                    .changedBy("SEAT_MANUAL"));
        }
        boolean replace = rule.value().orElse(CrashRule.MINOR_MAY_STAY) == CrashRule.REPLACE_ALWAYS;
        return Verdict.judged(Finding.of(
                        replace ? Weight.STOP : Weight.HOLDS,
                        replace ? "finding.CND-3.makerSaysReplace" : "finding.CND-3.minor")
                .from(rule)
                .changedBy("OTHER_SEAT"));
    }
}
