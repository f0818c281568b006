package app.layette.core.condition;

import app.layette.core.entry.Asking;
import app.layette.core.entry.PapersNow;
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
public final class SheetsCurrent implements Rule.OfPapers {
    private static final RuleCard CARD = RuleCard.of(Conclusion.named("SHEETS_CURRENT"), RuleCode.CND_9)
            .countsBeforeBirth()
            .clearedEarlier()
            .at(StepKey.LABEL, 100);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(PapersNow situation) {
        if (situation.seat().isEmpty()) {
            return Verdict.judged(
                    Finding.of(Weight.NOT_KNOWN, "finding.CND-9.noSheet").changedBy("SHEET"));
        }
        if (situation.isQuickSeat()) {
            return Verdict.judged(
                    Finding.of(Weight.ADVISE, "finding.CND-9.readHere").changedBy("SHEET"));
        }
        if (!situation.pendingVersions().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.CND-9.newerVersion")
                    .with("sheet", situation.pendingVersions().get(0).toString())
                    .changedBy("ADOPT"));
        }
        boolean draft = situation.seat().get().status() == SheetStatus.DRAFT;
        String name = situation.seat().get().identity().fullName();
        return Verdict.judged(
                draft
                        ? Finding.of(Weight.NOT_KNOWN, "finding.CND-9.draft")
                                .with("seat", name)
                                .changedBy("CONFIRM_SHEET")
                        : Finding.of(Weight.HOLDS, "finding.CND-9.current").with("seat", name));
    }
}
