package app.layette.core.suit;

import app.layette.core.child.Child;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Finding;
import app.layette.core.growth.ChildHeights;
import app.layette.core.growth.Growth;
import app.layette.core.growth.Growth.Between;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.LengthLimit;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/**
 * Whether a weight or length is still what counts (GRO, SUIT-1, SUIT-2). It is not when the clock that made it cannot be
 * believed, when somebody told a newer one, when the early or the late growth path has crossed a border by today, and, for
 * a weight taken before day 14 of life, from the fourth day after it on, for good.
 */
final class MeasureAge {
    private static final int FIRST_WEEKS_DAYS = 14;
    private static final int GOOD_FOR_DAYS = 3;

    private MeasureAge() {}

    /** Why the weight is asked for again; empty while it counts. */
    static Optional<Finding.Builder> ofWeight(PlaceNow situation, Stamped<Mass> weight) {
        if (situation.isToldLater(weight, Fact.Weighed.class, fact -> true)) {
            return Optional.of(Verdict.again("finding.SUIT-1.toldLater").with("weight", weight.value()));
        }
        Optional<LocalDate> on = weight.freshOn(situation.today());
        if (on.isEmpty()) {
            return Optional.of(Verdict.again("finding.SUIT-1.timeInDoubt"));
        }
        Child child = situation.child().orElseThrow().value();
        boolean newborn = ChronoUnit.DAYS.between(child.born(), on.get()) < FIRST_WEEKS_DAYS;
        if (newborn && ChronoUnit.DAYS.between(on.get(), situation.today()) > GOOD_FOR_DAYS) {
            return Optional.of(Verdict.again("finding.SUIT-1.weightTooOld")
                    .with("weighed", on.get())
                    .with("days", GOOD_FOR_DAYS));
        }
        boolean grown = situation.today().isAfter(on.get()) && mayHaveCrossed(situation, weight.value(), on.get());
        return grown
                ? Optional.of(Verdict.again("finding.SUIT-1.mayHaveGrown").with("weighed", on.get()))
                : Optional.empty();
    }

    /** Past the end of the growth table nobody can say. */
    private static boolean mayHaveCrossed(PlaceNow situation, Mass weight, LocalDate on) {
        Growth growth = ChildHeights.growth(situation).orElseThrow();
        if (situation.today().isAfter(growth.horizon())) {
            return true;
        }
        Between<Mass> today = growth.weightOn(weight, on, situation.today());
        WeightBorders then = WeightBorders.at(weight, situation);
        return !then.equals(WeightBorders.at(today.least(), situation))
                || !then.equals(WeightBorders.at(today.most(), situation));
    }

    /** Why the length is asked for again; empty while it counts. */
    static Optional<Finding.Builder> ofLength(PlaceNow situation, Stamped<Fact.LengthMeasured> length) {
        if (situation.isToldLater(length, Fact.LengthMeasured.class, fact -> fact.what() == Dimension.BODY)) {
            return Optional.of(Verdict.again("finding.SUIT-2.toldLater")
                    .with("length", length.value().length()));
        }
        Optional<LocalDate> on = length.freshOn(situation.today());
        if (on.isEmpty()) {
            return Optional.of(Verdict.again("finding.SUIT-2.timeInDoubt"));
        }
        boolean past = situation.today().isAfter(on.get()) && mayHaveOutgrown(situation, length.value(), on.get());
        return past
                ? Optional.of(Verdict.again("finding.SUIT-2.mayHaveGrown").with("measured", on.get()))
                : Optional.empty();
    }

    private static boolean mayHaveOutgrown(PlaceNow situation, Fact.LengthMeasured length, LocalDate on) {
        Optional<Growth> growth = ChildHeights.growth(situation);
        if (growth.isEmpty() || situation.today().isAfter(growth.get().horizon())) {
            return true;
        }
        Length most =
                growth.get().lengthOn(length.length(), on, situation.today()).most();
        return situation
                .lengthMax()
                .value()
                .flatMap(LengthLimit::max)
                .filter(max -> !length.length().isMoreThan(max) && most.isMoreThan(max))
                .isPresent();
    }
}
