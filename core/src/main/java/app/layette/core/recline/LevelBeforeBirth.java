package app.layette.core.recline;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Fact.LevelRead;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.Optional;

/**
 * REC-1 before the birth: with what stays in the car tightened and no child in it, the seat's own indicator passes by its
 * own criterion, read on level ground. With the child in it is looked at anew.
 */
@AutoService(Asking.class)
public final class LevelBeforeBirth implements Rule.OfPlace {
    private static final RuleCard CARD = RuleCard.of(Conclusion.LEVEL_TIGHT, RuleCode.REC_1)
            .requiredOf(method -> false)
            .countsBeforeBirth()
            .reopenedBy(
                    Change.TIGHTENED,
                    Change.BELT_TOUCHED,
                    Change.ANCHOR_TOUCHED,
                    Change.ARMS_WALKED_IN,
                    Change.CAR_MOVED)
            .reopenedElsewhere()
            .at(StepKey.TIGHTEN, 600);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        Optional<Stamped<LevelRead>> level = situation.level(Stage.TIGHT);
        if (level.isEmpty() || situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.LEVEL);
        }
        Evidence<Indicator> indicator =
                situation.seat().map(SeatSheet::recline).map(Recline::indicator).orElseThrow();
        if (indicator.value().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.REC-1.indicatorNotKnown")
                    .lacks(SheetValue.INDICATOR, SheetValue.LEVEL_PASS)
                    .from(indicator)
                    .changedBy("SEAT_MANUAL"));
        }
        Verdict.Judged verdict = GroundLevel.worth(situation) == GroundLevel.Worth.FINAL
                ? Verdict.judged(LevelWithChild.judge(
                                level.get().value().reading(), indicator.value().get())
                        .from(indicator)
                        .changedBy("DEVICE"))
                : Verdict.judged(Finding.of(Weight.FIX, "finding.REC-3.levelBeforeGround")
                        .changedBy("LEVEL_GROUND"));
        return verdict.restingOn(level.get());
    }
}
