package app.layette.core.condition;

import static app.layette.core.finding.RuleCode.CND_9;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** CND-9: the sheet in use is confirmed, and no newer version waits for a lead. */
@AutoService(Asking.class)
public final class SheetsCurrent implements Rule {
    private static final RuleCard CARD = RuleCard.of(Conclusion.named("SHEETS_CURRENT"), RuleCode.CND_9)
            .countsBeforeBirth()
            .clearedEarlier()
            .at(StepKey.LABEL, 100);

    @Override
    public RuleCard card() {
        return CARD;
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
