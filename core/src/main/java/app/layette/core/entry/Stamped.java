package app.layette.core.entry;

import java.time.LocalDate;
import java.time.OffsetDateTime;

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

    /** The day it was made, by the clock of whoever made it. */
    public LocalDate on() {
        return at.toLocalDate();
    }
}
