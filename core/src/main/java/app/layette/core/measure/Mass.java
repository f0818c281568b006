package app.layette.core.measure;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A mass, held to 0.1 g. Equality and ordering use the canonical value alone; the text that was typed travels along for
 * display.
 */
public final class Mass implements Comparable<Mass> {
    /** International avoirdupois pound, exact by definition (1959). */
    private static final double GRAMS_PER_POUND = 453.59237;

    private static final int OUNCES_PER_POUND = 16;

    private final long tenthsOfGram;
    private final @Nullable String typed;

    private Mass(long tenthsOfGram, @Nullable String typed) {
        this.tenthsOfGram = tenthsOfGram;
        this.typed = typed;
    }

    /** A mass in grams, rounded to 0.1 g. */
    public static Mass ofGrams(double grams) {
        return new Mass(Math.round(grams * 10), null);
    }

    public static Mass ofKilograms(double kilograms) {
        return ofGrams(kilograms * 1000);
    }

    public static Mass ofPounds(double pounds) {
        return ofGrams(pounds * GRAMS_PER_POUND);
    }

    /** Pounds and ounces, sixteen ounces to the pound. */
    public static Mass ofPoundsAndOunces(double pounds, double ounces) {
        return ofPounds(pounds + ounces / OUNCES_PER_POUND);
    }

    /**
     * Reads a mass with its unit, or a bare number that fits only one unit within the range.
     *
     * @throws UnreadableMeasureException when it cannot be read, is ambiguous, or lies outside the range
     */
    public static Mass parse(@Nullable String text, MassRange allowed) {
        return QuantityReader.mass(text, allowed);
    }

    Mass typedAs(String text) {
        return new Mass(tenthsOfGram, text);
    }

    public double grams() {
        return tenthsOfGram / 10.0;
    }

    public double kilograms() {
        return tenthsOfGram / 10_000.0;
    }

    public double pounds() {
        return grams() / GRAMS_PER_POUND;
    }

    public Mass plus(Mass other) {
        return new Mass(tenthsOfGram + other.tenthsOfGram, null);
    }

    /** This mass less another; may be negative, which is how a margin past a limit shows. */
    public Mass minus(Mass other) {
        return new Mass(tenthsOfGram - other.tenthsOfGram, null);
    }

    public boolean isMoreThan(Mass other) {
        return compareTo(other) > 0;
    }

    public boolean isLessThan(Mass other) {
        return compareTo(other) < 0;
    }

    /** What was typed, when this value came from typing. */
    public Optional<String> typed() {
        return Optional.ofNullable(typed);
    }

    /** Prints the mass: 2.95 kg, or 6 lb 8 oz with ounces to the half. */
    public String in(UnitSystem system) {
        return QuantityPrinter.mass(this, system);
    }

    @Override
    public int compareTo(Mass other) {
        return Long.compare(tenthsOfGram, other.tenthsOfGram);
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof Mass other && other.tenthsOfGram == tenthsOfGram;
    }

    @Override
    public int hashCode() {
        return Long.hashCode(tenthsOfGram);
    }

    @Override
    public String toString() {
        return in(UnitSystem.METRIC);
    }
}
