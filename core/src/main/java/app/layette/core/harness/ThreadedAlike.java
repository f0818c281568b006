package app.layette.core.harness;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Fact.SlotsSet;
import app.layette.core.entry.Fact.WebbingMoved;
import app.layette.core.entry.Method;
import app.layette.core.entry.PapersNow;
import app.layette.core.entry.RestraintNow;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.Optional;

/** HAR-4: the shoulder webbing comes from the same slot on both sides, and from the same in pad and shell. */
@AutoService(Asking.class)
public final class ThreadedAlike implements Rule.OfRestraint {
    private static final RuleCard CARD = RuleCard.of(Conclusion.THREADED_ALIKE, RuleCode.HAR_4)
            .requiredOf(Method::isThroughSlots)
            .clearedEarlier()
            .reopenedBy(Change.COVER, Change.SLOT, Change.OTHER_SEAT)
            .at(StepKey.THREAD, 200);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(RestraintNow situation) {
        Optional<Stamped<SlotsSet>> set = situation.seen(SlotsSet.class);
        if (set.isEmpty()) {
            return Verdict.open(Missing.Entry.SLOTS);
        }
        if (isMovedSince(set.get(), situation)) {
            return Verdict.open(Missing.Entry.RETHREAD);
        }
        return Verdict.judged(judge(set.get().value())).restingOn(set.get());
    }

    /** Whether a webbing was moved that whoever looked at the slots had not seen moved. */
    static boolean isMovedSince(Stamped<SlotsSet> set, PapersNow situation) {
        return situation.history(WebbingMoved.class).stream().anyMatch(moved -> moved.seq() > set.seen());
    }

    private static Finding.Builder judge(SlotsSet set) {
        int slot = set.leftShell();
        if (slot != set.rightShell()) {
            return Finding.of(Weight.FIX, "finding.HAR-4.unequalSides")
                    .with("left", set.leftShell())
                    .with("right", set.rightShell())
                    .changedBy("SLOTS");
        }
        if (set.leftPad() != slot || set.rightPad() != slot) {
            return Finding.of(Weight.FIX, "finding.HAR-4.padDiffers")
                    .with("slot", slot)
                    .with("pad", set.leftPad() != slot ? set.leftPad() : set.rightPad())
                    .changedBy("SLOTS");
        }
        return Finding.of(Weight.HOLDS, "finding.HAR-4.alike").with("slot", slot);
    }
}
