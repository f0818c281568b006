package app.layette.core.fitting;

import java.time.LocalDate;
import java.util.Optional;

/**
 * Something that comes due.
 *
 * @param key message key
 * @param on the day; for what growing brings the likely one
 * @param earliest for what growing brings; empty for a fixed date
 * @param latest for what growing brings; empty for a fixed date, or where it is after two years
 */
public record DatedEvent(String key, LocalDate on, Optional<LocalDate> earliest, Optional<LocalDate> latest) {
    public DatedEvent(String key, LocalDate on) {
        this(key, on, Optional.empty(), Optional.empty());
    }
}
