package app.layette.core.seat;

import app.layette.core.measure.Length;
import java.util.Comparator;
import java.util.Optional;

/**
 * A maximum length, or the statement that there is none. Ordered by how much it lets in: no maximum is the largest.
 *
 * @param max inclusive; empty when the manual states that there is no limit
 */
public record LengthLimit(Optional<Length> max) implements Comparable<LengthLimit> {
    private static final Comparator<LengthLimit> BY_ROOM = Comparator.<LengthLimit, Boolean>comparing(
                    limit -> limit.max().isEmpty())
            .thenComparing(limit -> limit.max().orElse(Length.ZERO));

    public static LengthLimit none() {
        return new LengthLimit(Optional.empty());
    }

    public static LengthLimit of(Length max) {
        return new LengthLimit(Optional.of(max));
    }

    @Override
    public int compareTo(LengthLimit other) {
        return BY_ROOM.compare(this, other);
    }
}
