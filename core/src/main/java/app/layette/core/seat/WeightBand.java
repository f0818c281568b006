package app.layette.core.seat;

import app.layette.core.measure.Mass;
import org.jspecify.annotations.Nullable;

/**
 * A band of child weights, the lower end included and the upper end not, so that bands meet without a gap or an overlap
 * (REC-2).
 *
 * @param from lightest weight inside; {@code null} when open
 * @param below first weight that is no longer inside; {@code null} when open
 */
public record WeightBand(@Nullable Mass from, @Nullable Mass below) {
    public static final WeightBand EVERY_WEIGHT = new WeightBand(null, null);

    /** A band that includes both ends, as a manual prints it; masses are compared to a tenth of a gram. */
    public static WeightBand fromToInclusive(Mass from, Mass to) {
        return new WeightBand(from, to.plus(Mass.ofGrams(0.1)));
    }

    public boolean contains(Mass weight) {
        return (from == null || !weight.isLessThan(from)) && (below == null || weight.isLessThan(below));
    }
}
