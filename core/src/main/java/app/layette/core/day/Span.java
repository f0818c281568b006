package app.layette.core.day;

import java.time.LocalTime;

/**
 * A time of a day, from its beginning up to its end.
 *
 * @param from inclusive
 * @param to exclusive; after {@code from}
 */
public record Span(LocalTime from, LocalTime to) {
    public Span {
        if (!from.isBefore(to)) {
            throw new IllegalArgumentException("The end (" + to + ") must be after the beginning (" + from + ")");
        }
    }

    public boolean overlaps(Span other) {
        return from.isBefore(other.to) && other.from.isBefore(to);
    }

    public boolean holds(Span other) {
        return !other.from.isBefore(from) && !other.to.isAfter(to);
    }
}
