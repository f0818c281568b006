package app.layette.core.harness;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.SlotsSet;
import app.layette.core.entry.Method;
import app.layette.core.entry.RestraintNow;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Length;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.rule.Verdict.Judged;
import app.layette.core.seat.Harness;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/**
 * HAR-1 and HAR-2: the shoulder webbing comes from the slot at or next below the shoulder, with the loop that the sheet
 * gives for it. Judged is what was set, never what was advised.
 */
@AutoService(Asking.class)
public final class SlotAtShoulder implements Rule.OfRestraint {
    private static final RuleCard CARD = RuleCard.of(Conclusion.SLOT, RuleCode.HAR_1)
            .requiredOf(Method::isThroughSlots)
            .clearedEarlier()
            .reopenedBy(Change.INSERT, Change.COVER, Change.MEASURES_RENEWED, Change.OTHER_SEAT)
            .decidedBy(SheetValue.LOOPS)
            .at(StepKey.THREAD, 100);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        return List.of(new Ask(
                Kind.SLOTS,
                "",
                looks.situation().newest(Fact.SlotsSet.class).isPresent()
                        && looks.isSettled(conclusion())
                        && looks.isSettled(Conclusion.THREADED_ALIKE)));
    }

    @Override
    public Verdict judge(RestraintNow situation) {
        Optional<ShoulderAndSlots> shoulder = ShoulderAndSlots.in(situation);
        Optional<Stamped<SlotsSet>> set = situation.seen(SlotsSet.class);
        if (shoulder.isEmpty() || set.isEmpty()) {
            return Verdict.open(shoulder.isEmpty() ? Missing.Entry.SHOULDER : Missing.Entry.SLOTS);
        }
        if (ThreadedAlike.isMovedSince(set.get(), situation)) {
            return Verdict.open(Missing.Entry.RETHREAD);
        }
        if (shoulder.get().count() == 0) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.HAR-1.slotsNotKnown")
                    .lacks(SheetValue.SLOTS)
                    .changedBy("SEAT_MANUAL"));
        }
        return judge(set.get().value(), shoulder.get(), situation)
                .restingOn(shoulder.get().look());
    }

    private static Judged judge(SlotsSet set, ShoulderAndSlots shoulder, RestraintNow situation) {
        int slot = set.leftShell();
        if (slot != shoulder.best()) {
            return Verdict.judged(Finding.of(
                            Weight.FIX,
                            slot > shoulder.best() ? "finding.HAR-1.aboveShoulder" : "finding.HAR-1.notNextBelow")
                    .with("slot", slot)
                    .with("best", shoulder.best())
                    .changedBy("SLOTS"));
        }
        return loop(set, situation).map(Verdict::judged).orElseGet(() -> farBelow(slot, shoulder, situation));
    }

    private static Optional<Finding.Builder> loop(SlotsSet set, RestraintNow situation) {
        Evidence<List<Harness.Loop>> loops =
                situation.seat().map(SeatSheet::harness).map(Harness::loops).orElse(Evidence.notLooked());
        if (!loops.isLooked()) {
            return Optional.of(Finding.of(Weight.NOT_KNOWN, "finding.HAR-4.loopsNotLooked")
                    .lacks(SheetValue.LOOPS)
                    .changedBy("SEAT_MANUAL"));
        }
        return loops.value()
                .flatMap(list -> list.stream()
                        .filter(loop -> loop.isFor(set.leftShell()))
                        .findFirst())
                .filter(loop -> !loop.name().equals(set.loop()))
                .map(loop -> Finding.of(Weight.FIX, "finding.HAR-4.otherLoop")
                        .with("slot", set.leftShell())
                        .with("loop", loop.name())
                        .from(loops)
                        .changedBy("SLOTS"));
    }

    private static Judged farBelow(int slot, ShoulderAndSlots shoulder, RestraintNow situation) {
        Optional<Length> below = shoulder.below(slot);
        Finding.Builder holds = Finding.of(
                        Weight.HOLDS, below.isPresent() ? "finding.HAR-1.nextBelow" : "finding.HAR-1.nextBelowByEye")
                .with("slot", slot);
        below.ifPresent(gap -> holds.with("below", gap));
        Judged verdict = Verdict.judged(holds);
        Length far = situation.practice().profile().slotFarBelow();
        return below.filter(gap -> gap.isMoreThan(far))
                .map(gap -> verdict.andAlso(Finding.of(Weight.ADVISE, "finding.HAR-2.farBelow")
                        .with("below", gap)
                        .with("far", far)
                        .changedBy("INSERT_OR_SEAT")
                        .build()))
                .orElse(verdict);
    }
}
