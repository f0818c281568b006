package app.layette.core.day;

import java.time.LocalDate;

/**
 * What is taken already.
 *
 * @param bay id of its bay
 * @param span when, at the fitting point's own time, the way to a ward and back not counted
 */
public record Taken(String bay, LocalDate day, Span span) {}
