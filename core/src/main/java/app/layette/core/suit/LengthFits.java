package app.layette.core.suit;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.PlaceNow;
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
import app.layette.core.seat.LengthLimit;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** SUIT-2: the child is no longer than the maximum, itself included. A manual may state that there is no maximum. */
@AutoService(Asking.class)
public final class LengthFits implements Rule.OfPlace {
    private static final RuleCard CARD = RuleCard.of(Conclusion.LENGTH, RuleCode.SUIT_2)
            .clearedEarlier()
            .decidedBy(SheetValue.LENGTH_MAX)
            .decidedBy(Fact.Quantity.LENGTH_MAX)
            .at(StepKey.FITS, 200);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        return List.of(new Ask(
                Kind.LENGTH,
                "",
                looks.situation().measured(Fact.Dimension.BODY).isPresent() && looks.isSettled(conclusion())));
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        Optional<Stamped<Fact.LengthMeasured>> measured = situation.measured(Dimension.BODY);
        if (measured.isEmpty() || situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.LENGTH);
        }
        Optional<Finding.Builder> again = MeasureAge.ofLength(situation, measured.get());
        if (again.isPresent()) {
            return Verdict.judged(again.get().changedBy("LENGTH"));
        }
        Length length = measured.get().value().length();
        Evidence<LengthLimit> limit = situation.lengthMax();
        if (limit.value().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.SUIT-2.limitNotKnown")
                    .lacks(SheetValue.LENGTH_MAX)
                    .with("length", length)
                    .from(limit)
                    .changedBy("SEAT_MANUAL"));
        }
        return Verdict.judged(limit.value()
                .get()
                .max()
                .map(max -> against(length, max))
                .orElseGet(
                        () -> Finding.of(Weight.HOLDS, "finding.SUIT-2.noLimit").with("length", length))
                .from(limit));
    }

    private static Finding.Builder against(Length length, Length max) {
        boolean tooLong = length.isMoreThan(max);
        return Finding.of(
                        tooLong ? Weight.STOP : Weight.HOLDS,
                        tooLong ? "finding.SUIT-2.tooLong" : "finding.SUIT-2.inside")
                .with("length", length)
                .with("max", max)
                .with("room", max.minus(length))
                .changedBy("OTHER_SEAT");
    }
}
