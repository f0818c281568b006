package app.layette.core.growth;

import java.time.LocalDate;
import java.util.Optional;

/**
 * When a limit is reached.
 *
 * @param earliest first day on the fast path; empty when it is after {@code horizon}
 * @param likely first day on the child's own path
 * @param latest first day on the slow path
 * @param reached whether it is reached already
 * @param horizon last day that is looked at
 * @param rough whether growth before term is in it
 */
public record Outlook(
        Optional<LocalDate> earliest,
        Optional<LocalDate> likely,
        Optional<LocalDate> latest,
        boolean reached,
        LocalDate horizon,
        boolean rough) {

    public static Outlook reached(LocalDate on, LocalDate horizon) {
        return new Outlook(Optional.of(on), Optional.of(on), Optional.of(on), true, horizon, false);
    }

    /** The wider of two outlooks, for a child whose sex is not given; the likely day is the earlier one. */
    public Outlook or(Outlook other) {
        return new Outlook(
                earlier(earliest, other.earliest),
                earlier(likely, other.likely),
                later(latest, other.latest),
                reached && other.reached,
                horizon,
                rough || other.rough);
    }

    /** When both are reached: the later of each. */
    public Outlook andAlso(Outlook other) {
        return new Outlook(
                later(earliest, other.earliest),
                later(likely, other.likely),
                later(latest, other.latest),
                reached && other.reached,
                horizon.isAfter(other.horizon) ? horizon : other.horizon,
                rough || other.rough);
    }

    private static Optional<LocalDate> earlier(Optional<LocalDate> a, Optional<LocalDate> b) {
        if (a.isEmpty() || b.isEmpty()) {
            return a.or(() -> b);
        }
        return a.get().isBefore(b.get()) ? a : b;
    }

    private static Optional<LocalDate> later(Optional<LocalDate> a, Optional<LocalDate> b) {
        if (a.isEmpty() || b.isEmpty()) {
            return Optional.empty();
        }
        return a.get().isAfter(b.get()) ? a : b;
    }
}
