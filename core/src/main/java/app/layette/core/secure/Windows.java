package app.layette.core.secure;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.List;

/** SEC-7: every indicator that the sheet lists shows locked; a sheet that lists none says so. */
@AutoService(Asking.class)
public final class Windows extends RuleByEye<Windows.Answer> {
    /** What {@link Question#WINDOWS} is answered with. */
    public enum Answer {
        ALL_LOCKED,
        NOT_ALL
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.WINDOWS, RuleCode.SEC_7)
            .requiredOf(method -> !method.isBaseless())
            .countsBeforeBirth()
            .reopenedBy(
                    Change.TIGHTENED, Change.BELT_TOUCHED, Change.ANCHOR_TOUCHED, Change.ARMS_WALKED_IN, Change.TURNED)
            .reopenedElsewhere()
            .reopenedOnTurningBaseBy(Change.HARNESS_OPENED)
            .asks(Asked.about(Question.WINDOWS, Answer.class)
                    .leftToRule(Answer.ALL_LOCKED)
                    .fix(Answer.NOT_ALL, "finding.SEC-7.notAll")
                    .shownIn(LookKey.SHOWN, 320, Answer.ALL_LOCKED)
                    .shownIn(LookKey.DOOR, 450, Answer.ALL_LOCKED))
            .decidedBy(SheetValue.WINDOWS)
            .at(StepKey.LEG_AND_WINDOWS, 200);

    public Windows() {
        super(CARD, Answer.class);
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        if (situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.SHEET);
        }
        Evidence<List<String>> windows =
                situation.seat().map(SeatSheet::windows).orElseThrow();
        if (windows.value().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.SEC-7.noList")
                    .lacks(SheetValue.WINDOWS)
                    .from(windows)
                    .changedBy("SEAT_MANUAL"));
        }
        if (windows.value().get().isEmpty()) {
            return Verdict.judged(
                    Finding.of(Weight.HOLDS, "finding.SEC-7.noWindows").from(windows));
        }
        return super.judge(situation);
    }

    @Override
    protected Verdict.Judged further(PlaceNow situation, Stamped<Answer> answer) {
        return Verdict.judged(Finding.of(Weight.HOLDS, "finding.SEC-7.allLocked"));
    }

    @Override
    public boolean isAsked(Situation situation) {
        return situation
                .seat()
                .flatMap(seat -> seat.windows().value())
                .filter(list -> !list.isEmpty())
                .isPresent();
    }
}
