package app.layette.core.fitting;

import app.layette.core.coming.DueKind;
import java.time.LocalDate;
import java.time.Period;
import java.util.List;
import java.util.Optional;

/**
 * Something that comes due.
 *
 * @param kind what it is
 * @param on the day; for what growing brings the likely one; the first one of what comes again
 * @param after whether the likely day is not that day but later than it: past what can be computed
 * @param earliest for what growing brings; empty for a fixed date
 * @param latest for what growing brings; empty for a fixed date, or where it is after two years
 * @param every how long after it was done it comes due again; empty for what comes once
 */
public record DatedEvent(
        DueKind kind,
        LocalDate on,
        boolean after,
        Optional<LocalDate> earliest,
        Optional<LocalDate> latest,
        Optional<Period> every) {
    /** Key of its words. */
    public String key() {
        return kind.key();
    }

    /** A fixed day, once. */
    public static DatedEvent once(DueKind kind, LocalDate on) {
        return new DatedEvent(kind, on, false, Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** A fixed day, and again whenever it was done. */
    public static DatedEvent again(DueKind kind, LocalDate first, Period every) {
        return new DatedEvent(kind, first, false, Optional.empty(), Optional.empty(), Optional.of(every));
    }

    /** A likely day, and how far it may be off. */
    public static DatedEvent between(
            DueKind kind, LocalDate likely, Optional<LocalDate> earliest, Optional<LocalDate> latest) {
        return new DatedEvent(kind, likely, false, earliest, latest, Optional.empty());
    }

    /** A likely day later than the last one that can be computed, and the earliest it may be. */
    public static DatedEvent after(DueKind kind, LocalDate last, Optional<LocalDate> earliest) {
        return new DatedEvent(kind, last, true, earliest, Optional.empty(), Optional.empty());
    }

    /**
     * The day on which it comes due now. What comes again counts from the day on which it was last done; what comes once
     * stays where it is.
     *
     * @param done the days on which it was done
     */
    public LocalDate after(List<LocalDate> done) {
        return done.stream()
                .flatMap(day -> every.map(day::plus).stream())
                .filter(day -> day.isAfter(on))
                .max(LocalDate::compareTo)
                .orElse(on);
    }
}
