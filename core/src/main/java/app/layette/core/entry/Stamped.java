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
 */
public record Stamped<T>(T value, int seq, int seen, OffsetDateTime at, Author by, How how) {

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
        return new Stamped<>(other, seq, seen, at, by, how);
    }

    /** The day it was made, by the clock of whoever made it. */
    public LocalDate on() {
        return at.toLocalDate();
    }
}
