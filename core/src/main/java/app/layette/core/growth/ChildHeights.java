package app.layette.core.growth;

import app.layette.core.child.Child;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.RestraintNow;
import app.layette.core.entry.Stamped;
import app.layette.core.growth.Growth.Between;
import app.layette.core.measure.Length;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;

/**
 * How this child's seated heights follow its length (GRO): by its own share, from a height and a length that were measured
 * within seven days of each other, the nearest such pair; else by the usual one.
 */
public final class ChildHeights {
    private static final long PAIR_WITHIN_DAYS = 7;

    private final RestraintNow situation;
    private final Growth growth;
    private final Stamped<Fact.LengthMeasured> latest;

    private ChildHeights(RestraintNow situation, Growth growth, Stamped<Fact.LengthMeasured> latest) {
        this.situation = situation;
        this.growth = growth;
        this.latest = latest;
    }

    /** How a child grows that somebody described; empty while nobody said when it was born. */
    public static Optional<Growth> growth(RestraintNow situation) {
        return situation.child().map(Stamped::value).map(ChildHeights::growth);
    }

    private static Growth growth(Child child) {
        return new Growth(child.born(), boxed(child.gestationDays()), child.sex(), child.birthWeight());
    }

    private static Optional<Integer> boxed(OptionalInt days) {
        return days.isPresent() ? Optional.of(days.getAsInt()) : Optional.empty();
    }

    /** Empty while birth or length are not known. */
    public static Optional<ChildHeights> of(RestraintNow situation) {
        return growth(situation)
                .flatMap(growth ->
                        situation.measured(Dimension.BODY).map(latest -> new ChildHeights(situation, growth, latest)));
    }

    /** When a height along the shell back is reached with the insert as it is. */
    public Outlook reaches(Length height, Share share) {
        return growth.height(latest.value().length(), latest.on(), share, height.minus(situation.insertLift()));
    }

    /** The child's own share where it was measured; else the usual one. */
    public Share share(Dimension what) {
        return ownShare(what).orElse(what == Dimension.CROWN ? Share.USUAL_CROWN : Share.USUAL_SHOULDER);
    }

    /** The child's share after its shoulder was seen between two heights on a day. */
    public Share shoulderBetween(Length low, Length high, LocalDate on) {
        Length lift = situation.insertLift();
        return Share.USUAL_SHOULDER.within(low.minus(lift), high.minus(lift), lengthOn(on));
    }

    private Optional<Share> ownShare(Dimension what) {
        record Pair(Stamped<Fact.LengthMeasured> height, Stamped<Fact.LengthMeasured> length) {
            long apart() {
                return Math.abs(ChronoUnit.DAYS.between(height.on(), length.on()));
            }
        }
        List<Stamped<Fact.LengthMeasured>> lengths = measured(Dimension.BODY).toList();
        return measured(what)
                .flatMap(height -> lengths.stream().map(length -> new Pair(height, length)))
                .filter(pair -> pair.apart() <= PAIR_WITHIN_DAYS)
                .min(Comparator.comparingLong(Pair::apart)
                        .thenComparing(pair -> -pair.height().seq())
                        .thenComparing(pair -> -pair.length().seq()))
                .map(pair -> Share.of(bare(pair.height()), pair.length().value().length()));
    }

    private Stream<Stamped<Fact.LengthMeasured>> measured(Dimension what) {
        return situation.history(Fact.LengthMeasured.class).stream()
                .filter(each -> each.value().what() == what && !each.how().isEstimate());
    }

    /** A height without the insert that was in when it was measured. */
    private Length bare(Stamped<Fact.LengthMeasured> height) {
        Length length = height.value().length();
        return height.value().insert() == Fact.InsertState.BARE ? length : length.minus(situation.insertLift());
    }

    /** A seated height on a day by the usual share of the length, the insert included. */
    public Length usual(Share share, LocalDate day) {
        return lengthOn(day).times(share.likely()).plus(situation.insertLift());
    }

    private Length lengthOn(LocalDate day) {
        return day.isAfter(latest.on())
                ? growth.likelyLengthOn(latest.value().length(), latest.on(), day)
                : latest.value().length();
    }

    /**
     * Where a height that was measured or seen may stand today; the same on its own day. Past the end of the growth table
     * nobody can say.
     *
     * @param height along the shell back, insert included
     * @param on day of the look
     */
    public Optional<Between<Length>> today(Length height, LocalDate on, Dimension what) {
        LocalDate today = situation.today();
        if (!on.isBefore(today)) {
            return Optional.of(new Between<>(height, height));
        }
        if (today.isAfter(growth.horizon())) {
            return Optional.empty();
        }
        Length lift = situation.insertLift();
        Length bare = height.minus(lift);
        double share = ownShare(what)
                .map(Share::likely)
                .orElse(bare.millimetres() / lengthOn(on).millimetres());
        Between<Length> length = growth.lengthOn(latest.value().length(), latest.on(), today);
        Length least = length.least().times(share).plus(lift);
        Length most = length.most().times(share).plus(lift);
        return Optional.of(
                new Between<>(least.isMoreThan(height) ? height : least, most.isLessThan(height) ? height : most));
    }
}
