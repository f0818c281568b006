package app.layette.core.suit;

import static app.layette.core.finding.RuleCode.SUIT_1;

import app.layette.core.child.Child;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Mass;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.Limits;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/**
 * SUIT-1: the child's weight lies inside the rear-facing limits, both ends inclusive. Newborns first lose weight: in
 * the first two weeks a weight older than three days is asked for again.
 */
public final class WeightFits implements Rule {
    private static final int FIRST_WEEKS_DAYS = 14;
    private static final int GOOD_FOR_DAYS = 3;

    @Override
    public Conclusion conclusion() {
        return Conclusion.WEIGHT;
    }

    @Override
    public Verdict judge(Situation situation) {
        Optional<Stamped<Mass>> weight = situation.weight();
        Optional<Stamped<Child>> child = situation.child();
        if (weight.isEmpty() || child.isEmpty() || situation.seat().isEmpty()) {
            return Verdict.open("WEIGHT");
        }
        Limits limits = situation.seat().get().limits();
        if (limits.weightMin().value().isEmpty() || limits.weightMax().value().isEmpty()) {
            return Verdict.judged(Finding.of(SUIT_1, Weight.NOT_KNOWN, "limitsNotKnown")
                    .from(limits.weightMin())
                    .changedBy("SEAT_MANUAL"));
        }
        if (isOld(weight.get(), child.get().value(), situation)) {
            return Verdict.judged(Finding.of(SUIT_1, Weight.NOT_KNOWN, "weightTooOld")
                    .with("weighed", weight.get().on())
                    .with("days", GOOD_FOR_DAYS)
                    .changedBy("WEIGHT"));
        }
        return Verdict.judged(inside(weight.get().value(), limits));
    }

    private static boolean isOld(Stamped<Mass> weight, Child child, Situation situation) {
        boolean firstWeeks = child.ageDays(situation.today()) < FIRST_WEEKS_DAYS;
        return firstWeeks && ChronoUnit.DAYS.between(weight.on(), situation.today()) > GOOD_FOR_DAYS;
    }

    private static Finding.Builder inside(Mass weight, Limits limits) {
        Mass min = limits.weightMin().value().orElseThrow();
        Mass max = limits.weightMax().value().orElseThrow();
        boolean light = weight.isLessThan(min);
        boolean heavy = weight.isMoreThan(max);
        String reason = light ? "tooLight" : heavy ? "tooHeavy" : "inside";
        return Finding.of(SUIT_1, light || heavy ? Weight.STOP : Weight.HOLDS, reason)
                .with("weight", weight)
                .with("min", min)
                .with("max", max)
                .with("room", max.minus(weight))
                .from(limits.weightMax())
                .changedBy("OTHER_SEAT");
    }
}
