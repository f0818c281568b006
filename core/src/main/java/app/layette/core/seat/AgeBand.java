package app.layette.core.seat;

import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;

/**
 * A band of ages in months since birth, the lower end included and the upper end not.
 *
 * @param from youngest age inside; {@code null} when open
 * @param below first age that is no longer inside; {@code null} when open
 */
public record AgeBand(@Nullable Double from, @Nullable Double below) {
    public static final AgeBand EVERY_AGE = new AgeBand(null, null);

    private static final double DAYS_PER_MONTH = 30.4375;

    /** Whether an age lies inside; an unknown age lies only in a band that takes every age. */
    public boolean contains(OptionalLong ageDays) {
        if (ageDays.isEmpty()) {
            return equals(EVERY_AGE);
        }
        double months = ageDays.getAsLong() / DAYS_PER_MONTH;
        return (from == null || months >= from) && (below == null || months < below);
    }

    /** Days from birth to the first day inside; 0 when it is open to the young. */
    public long firstDay() {
        return from == null ? 0 : (long) Math.ceil(from * DAYS_PER_MONTH);
    }
}
