package app.layette.core.measure;

import java.time.LocalDate;
import java.util.function.UnaryOperator;

/** The days that a date is taken from, seen from the day of the fitting; both ends included. */
public enum DayBounds {
    ANY(today -> LocalDate.MIN, today -> LocalDate.MAX),
    /** A child that may ride here was born in the last five years; what happened to it or its seat was since. */
    LAST_FIVE_YEARS(today -> today.minusYears(5), today -> today),
    /** Due in the longest pregnancy, 44 weeks, from today, or overdue by up to four weeks. */
    DUE(today -> today.minusDays(28), today -> today.plusDays(308)),
    /** Made since labels with a month are printed. */
    MADE(today -> LocalDate.of(1990, 1, 1), today -> today);

    private final UnaryOperator<LocalDate> lowest;
    private final UnaryOperator<LocalDate> highest;

    DayBounds(UnaryOperator<LocalDate> lowest, UnaryOperator<LocalDate> highest) {
        this.lowest = lowest;
        this.highest = highest;
    }

    public LocalDate lowest(LocalDate today) {
        return lowest.apply(today);
    }

    public LocalDate highest(LocalDate today) {
        return highest.apply(today);
    }
}
