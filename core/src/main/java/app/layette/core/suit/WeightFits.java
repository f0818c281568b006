package app.layette.core.suit;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Fact;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Lack;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Mass;
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

/**
 * SUIT-1: the child's weight lies inside the rear-facing limits, both ends inclusive, and still does: a weight that time,
 * or a newer word, has overtaken is asked for again.
 */
@AutoService(Asking.class)
public final class WeightFits implements Rule.OfPlace {
    private static final RuleCard CARD = RuleCard.of(Conclusion.WEIGHT, RuleCode.SUIT_1)
            .clearedEarlier()
            .decidedBy(SheetValue.WEIGHT_MIN, SheetValue.WEIGHT_MAX)
            .decidedBy(Fact.Quantity.WEIGHT_MIN, Fact.Quantity.WEIGHT_MAX)
            .at(StepKey.FITS, 100);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        return List.of(
                new Ask(Kind.WEIGHT, "", looks.situation().weight().isPresent() && looks.isSettled(conclusion())));
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        Optional<Stamped<Mass>> weight = situation.weight();
        if (weight.isEmpty() || situation.child().isEmpty() || situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.WEIGHT);
        }
        if (situation.weightMin().value().isEmpty()
                || situation.weightMax().value().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.SUIT-1.limitsNotKnown")
                    .lacks(limits(situation))
                    .from(situation.weightMin())
                    .changedBy("SEAT_MANUAL"));
        }
        return Verdict.judged(MeasureAge.ofWeight(situation, weight.get())
                .map(again -> again.changedBy("WEIGHT"))
                .orElseGet(() -> inside(weight.get().value(), situation)));
    }

    /** The limits that nobody has looked up. */
    private static List<Lack> limits(PlaceNow situation) {
        List<Lack> lacks = new ArrayList<>();
        if (situation.weightMin().value().isEmpty()) {
            lacks.add(new Lack(SheetValue.WEIGHT_MIN, ""));
        }
        if (situation.weightMax().value().isEmpty()) {
            lacks.add(new Lack(SheetValue.WEIGHT_MAX, ""));
        }
        return lacks;
    }

    /** The weight against the limits alone, for a child of whom nobody said when it was born; never fresh by itself. */
    public static Finding againstLimits(PlaceNow situation) {
        boolean known = situation.weight().isPresent()
                && situation.weightMin().value().isPresent()
                && situation.weightMax().value().isPresent();
        return known
                ? inside(situation.weight().get().value(), situation).build()
                : Finding.of(Weight.NOT_KNOWN, "finding.SUIT-1.limitsNotKnown")
                        .changedBy("SEAT_MANUAL")
                        .build();
    }

    private static Finding.Builder inside(Mass weight, PlaceNow situation) {
        Mass min = situation.weightMin().value().orElseThrow();
        Mass max = situation.weightMax().value().orElseThrow();
        boolean light = weight.isLessThan(min);
        boolean heavy = weight.isMoreThan(max);
        String message =
                light ? "finding.SUIT-1.tooLight" : heavy ? "finding.SUIT-1.tooHeavy" : "finding.SUIT-1.inside";
        return Finding.of(light || heavy ? Weight.STOP : Weight.HOLDS, message)
                .with("weight", weight)
                .with("min", min)
                .with("max", max)
                .with("room", max.minus(weight))
                .from(situation.weightMax())
                .changedBy("OTHER_SEAT");
    }
}
