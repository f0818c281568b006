package app.layette.core.condition;

import static app.layette.core.finding.RuleCode.CND_9;

import app.layette.core.entry.Situation;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;

/** CND-9: the sheet in use is confirmed, and no newer version waits for a lead. */
public final class SheetsCurrent implements Rule {
    @Override
    public Conclusion conclusion() {
        return Conclusion.SHEETS_CURRENT;
    }

    @Override
    public Verdict judge(Situation situation) {
        if (situation.seat().isEmpty()) {
            return Verdict.judged(Finding.of(CND_9, Weight.NOT_KNOWN, "noSheet").changedBy("SHEET"));
        }
        if (situation.isQuickSeat()) {
            return Verdict.judged(Finding.of(CND_9, Weight.ADVISE, "readHere").changedBy("SHEET"));
        }
        if (!situation.pendingVersions().isEmpty()) {
            return Verdict.judged(Finding.of(CND_9, Weight.NOT_KNOWN, "newerVersion")
                    .with("sheet", situation.pendingVersions().get(0).toString())
                    .changedBy("ADOPT"));
        }
        boolean draft = situation.seat().get().status() == SheetStatus.DRAFT;
        String name = situation.seat().get().identity().fullName();
        return Verdict.judged(
                draft
                        ? Finding.of(CND_9, Weight.NOT_KNOWN, "draft")
                                .with("seat", name)
                                .changedBy("CONFIRM_SHEET")
                        : Finding.of(CND_9, Weight.HOLDS, "current").with("seat", name));
    }
}
