package app.layette.core.coming;

import app.layette.core.child.Child;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/**
 * What a due date proposes: when what stays in the car is fitted, and from when a birth is early.
 *
 * @param from first day for the base, inclusive
 * @param by the day by which it is to be in
 */
public record Preparation(LocalDate from, LocalDate by) {
    private static final int A_WEEK = 7;
    /** Completed weeks at which a base is usually fitted. */
    private static final int USUAL_WEEK = 35;
    /** Several children come earlier. */
    private static final int SEVERAL_WEEK = 32;

    private static final int ROOM_WEEKS = 2;

    /**
     * Proposes the days for what stays in the car.
     *
     * @param due of the child
     * @param several whether it is more than one
     * @param sooner a day by which a doctor wants it done; empty where none does
     * @param today nothing is proposed before it
     */
    public static Preparation of(LocalDate due, boolean several, Optional<LocalDate> sooner, LocalDate today) {
        LocalDate usual = due.minusDays(Child.TERM_DAYS).plusWeeks(several ? SEVERAL_WEEK : USUAL_WEEK);
        LocalDate by = sooner.filter(usual::isAfter).orElse(usual);
        LocalDate last = by.isBefore(today) ? today : by;
        LocalDate first = by.minusWeeks(ROOM_WEEKS);
        return new Preparation(first.isBefore(today) ? today : first, last);
    }

    /** Completed weeks of the pregnancy on a day. */
    public static int weeksNow(LocalDate due, LocalDate today) {
        return Math.max(0, (int) (Child.TERM_DAYS - ChronoUnit.DAYS.between(today, due)) / A_WEEK);
    }
}
