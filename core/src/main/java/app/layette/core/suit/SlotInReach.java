package app.layette.core.suit;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.entry.RestraintNow;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.harness.ShoulderAndSlots;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** SUIT-4: the lowest usable slot is at or below the shoulder, with the insert as it will be. */
@AutoService(Asking.class)
public final class SlotInReach implements Rule.OfRestraint {
    private static final RuleCard CARD = RuleCard.of(Conclusion.SLOT_IN_REACH, RuleCode.SUIT_4)
            .requiredOf(Method::isThroughSlots)
            .clearedEarlier()
            .reopenedBy(Change.INSERT, Change.COVER, Change.MEASURES_RENEWED, Change.OTHER_SEAT)
            .decidedBy(SheetValue.SLOTS)
            .at(StepKey.SHOULDER, 100);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        RestraintNow situation = looks.situation();
        List<Ask> asks = new ArrayList<>();
        boolean seen = ShoulderAndSlots.in(situation).isPresent();
        if (situation.slotCount() == 0 && situation.seat().isPresent() && !seen) {
            // The slots have to be counted before anybody can say between which the shoulder lies.
            asks.add(new Ask(Kind.SHEET_VALUE, SheetValue.SLOTS.name(), false));
        }
        asks.add(new Ask(Kind.SHOULDER, "", seen && looks.isSettled(conclusion())));
        return asks;
    }

    @Override
    public Verdict judge(RestraintNow situation) {
        Optional<ShoulderAndSlots> shoulder = ShoulderAndSlots.in(situation);
        if (shoulder.isEmpty()) {
            return Verdict.open(Missing.Entry.SHOULDER);
        }
        if (shoulder.get().count() == 0) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.SUIT-4.slotsNotKnown")
                    .lacks(SheetValue.SLOTS)
                    .changedBy("SEAT_MANUAL"));
        }
        if (shoulder.get().mayHaveGrown(situation)) {
            return Verdict.judged(Verdict.again("finding.SUIT-4.mayHaveGrown")
                            .with("looked", shoulder.get().look().on())
                            .changedBy("SHOULDER"))
                    .restingOn(shoulder.get().look());
        }
        boolean reached = shoulder.get().best() >= 1;
        Finding.Builder finding = Finding.of(
                        reached ? Weight.HOLDS : Weight.STOP,
                        reached ? "finding.SUIT-4.inReach" : "finding.SUIT-4.belowLowest")
                .with("slot", Math.max(1, shoulder.get().best()))
                .changedBy(reached ? "SHOULDER" : "INSERT_OR_SEAT");
        shoulder.get().belowLowest().ifPresent(gap -> finding.with("above", gap));
        return Verdict.judged(finding).restingOn(shoulder.get().look());
    }
}
