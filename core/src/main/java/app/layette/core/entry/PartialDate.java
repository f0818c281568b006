package app.layette.core.entry;

import app.layette.core.measure.DateReader;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Optional;

/**
 * A date as printed on a label, which is often only a month.
 *
 * @param month the month
 * @param day the day, when printed
 */
public record PartialDate(YearMonth month, Optional<LocalDate> day) {

    /**
     * Reads {@code 2024-03} or {@code 2024-03-17}.
     *
     * @throws IllegalArgumentException when it is neither
     */
    public static PartialDate parse(String text) {
        String clean = text == null ? "" : text.strip();
        try {
            if (clean.length() <= 7) {
                return new PartialDate(YearMonth.parse(clean), Optional.empty());
            }
            LocalDate day = LocalDate.parse(clean);
            return new PartialDate(YearMonth.from(day), Optional.of(day));
        } catch (DateTimeException e) {
            throw new IllegalArgumentException(
                    "The date (" + clean + ") must be year-month or year-month-day; allowed 1990-01 to 2099-12", e);
        }
    }

    /**
     * Reads what was typed from a label: {@code 03/2024}, {@code MAR 2024}, {@code 20240317}.
     *
     * @throws app.layette.core.measure.UnreadableDateException when it is neither month nor day, or could be two days
     */
    public static PartialDate typed(String text) {
        DateReader.MonthOrDay read = DateReader.monthOrDay(text);
        return new PartialDate(read.month(), read.day());
    }

    /** First day it can mean: where counting from manufacture begins (CND-1). */
    public LocalDate firstDay() {
        return day.orElseGet(() -> month.atDay(1));
    }

    /** Last day it can mean: the last usable day of a printed month (CND-1). */
    public LocalDate lastDay() {
        return day.orElseGet(month::atEndOfMonth);
    }

    @Override
    public String toString() {
        return day.map(LocalDate::toString).orElseGet(month::toString);
    }
}
