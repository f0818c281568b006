package app.layette.core.fitting;

import java.time.LocalDate;

/**
 * Something that comes due.
 *
 * @param key message key
 * @param on the day
 */
public record DatedEvent(String key, LocalDate on) {}
