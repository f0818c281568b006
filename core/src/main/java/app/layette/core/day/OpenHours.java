package app.layette.core.day;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/**
 * When a fitting point is open.
 *
 * @param weekly by day of the week; a day that is missing is closed
 * @param exceptions by date, in place of its day of the week; an empty list is a day on which it is closed
 */
public record OpenHours(Map<DayOfWeek, List<Span>> weekly, Map<LocalDate, List<Span>> exceptions) {
    public OpenHours {
        weekly = Map.copyOf(weekly);
        exceptions = Map.copyOf(exceptions);
    }

    public List<Span> on(LocalDate day) {
        return exceptions.getOrDefault(day, weekly.getOrDefault(day.getDayOfWeek(), List.of()));
    }
}
