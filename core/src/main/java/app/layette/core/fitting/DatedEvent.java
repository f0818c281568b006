package app.layette.core.fitting;

import java.time.LocalDate;
import java.time.Period;
import java.util.Optional;
import java.util.Set;

/**
 * Something that comes due.
 *
 * @param key message key
 * @param on the day; for what growing brings the likely one; the first one of what comes again
 * @param after whether the likely day is not that day but later than it: past what can be computed
 * @param earliest for what growing brings; empty for a fixed date
 * @param latest for what growing brings; empty for a fixed date, or where it is after two years
 * @param every how long after it was done it comes due again; empty for what comes once
 */
public record DatedEvent(
        String key,
        LocalDate on,
        boolean after,
        Optional<LocalDate> earliest,
        Optional<LocalDate> latest,
        Optional<Period> every) {
    /** What a fitting point has to look at in its own work; a family is told when something came of it. */
    private static final Set<String> OWN_WORK = Set.of("date.RULES_DIFFER", "date.CORRECTION_WAITS");

    /** Whether something that comes due is for the family too. */
    public static boolean isForTheFamily(String key) {
        return !OWN_WORK.contains(key);
    }

    /** A fixed day, once. */
    public static DatedEvent once(String key, LocalDate on) {
        return new DatedEvent(key, on, false, Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** A fixed day, and again whenever it was done. */
    public static DatedEvent again(String key, LocalDate first, Period every) {
        return new DatedEvent(key, first, false, Optional.empty(), Optional.empty(), Optional.of(every));
    }

    /** A likely day, and how far it may be off. */
    public static DatedEvent between(
            String key, LocalDate likely, Optional<LocalDate> earliest, Optional<LocalDate> latest) {
        return new DatedEvent(key, likely, false, earliest, latest, Optional.empty());
    }

    /** A likely day later than the last one that can be computed, and the earliest it may be. */
    public static DatedEvent after(String key, LocalDate last, Optional<LocalDate> earliest) {
        return new DatedEvent(key, last, true, earliest, Optional.empty(), Optional.empty());
    }

    /** The day on which it comes due after it was done on a day; empty for what comes once. */
    public Optional<LocalDate> after(LocalDate done) {
        return every.map(done::plus);
    }
}
