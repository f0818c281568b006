package app.layette.core.entry;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.Optional;

/**
 * A fact in its place: what is known, and when, by whom and how it became known.
 *
 * @param value the fact
 * @param seq its place
 * @param seen the last place that its author had seen
 * @param timely whether its own time can be believed
 */
public record Stamped<T>(T value, int seq, int seen, OffsetDateTime at, Author by, How how, boolean timely) {

    /** The one to trust: the better rank of knowing, and within a rank the later one. */
    Stamped<T> orBetter(Stamped<T> later) {
        return later.how.kind().rank() <= how.kind().rank() ? later : this;
    }

    /** Whether it was entered after another look at the same thing, or nobody took that other look. */
    public boolean isAfter(Optional<? extends Stamped<?>> other) {
        return other.map(each -> seq > each.seq()).orElse(true);
    }

    /** The same stamp on another value, for one that is computed from this. */
    public <V> Stamped<V> with(V other) {
        return new Stamped<>(other, seq, seen, at, by, how, timely);
    }

    /** The day it was made; of what was carried over the day on which it was first taken. */
    public LocalDate on() {
        return how.carriedDay().orElseGet(at::toLocalDate);
    }

    /**
     * The day that counts for freshness; empty when the clock that made it cannot be believed, it lies after today, or
     * it was carried over from nobody knows when.
     */
    public Optional<LocalDate> freshOn(LocalDate today) {
        boolean unknown =
                how.kind() == How.Kind.CARRIED_FROM && how.carriedDay().isEmpty();
        return timely && !unknown && !on().isAfter(today) ? Optional.of(on()) : Optional.empty();
    }
}
