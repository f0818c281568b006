package app.layette.core.measure;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A length, held to 0.01 mm. Equality and ordering use the canonical value alone; the text that was typed travels along
 * for display.
 */
public final class Length implements Comparable<Length> {
    /** International inch, exact by definition (1959). */
    private static final double MILLIMETRES_PER_INCH = 25.4;

    public static final Length ZERO = ofMillimetres(0);

    private final long hundredthsOfMillimetre;
    private final @Nullable String typed;

    private Length(long hundredthsOfMillimetre, @Nullable String typed) {
        this.hundredthsOfMillimetre = hundredthsOfMillimetre;
        this.typed = typed;
    }

    /** A length in millimetres, rounded to 0.01 mm. */
    public static Length ofMillimetres(double millimetres) {
        return new Length(Math.round(millimetres * 100), null);
    }

    public static Length ofCentimetres(double centimetres) {
        return ofMillimetres(centimetres * 10);
    }

    public static Length ofInches(double inches) {
        return ofMillimetres(inches * MILLIMETRES_PER_INCH);
    }

    /**
     * Reads a length with its unit, or a bare number that fits only one unit within the range.
     *
     * @throws UnreadableMeasureException when it cannot be read, is ambiguous, or lies outside the range
     */
    public static Length parse(@Nullable String text, LengthRange allowed) {
        return QuantityReader.length(text, allowed);
    }

    Length typedAs(String text) {
        return new Length(hundredthsOfMillimetre, text);
    }

    public double millimetres() {
        return hundredthsOfMillimetre / 100.0;
    }

    public double centimetres() {
        return millimetres() / 10;
    }

    public double inches() {
        return millimetres() / MILLIMETRES_PER_INCH;
    }

    public Length plus(Length other) {
        return new Length(hundredthsOfMillimetre + other.hundredthsOfMillimetre, null);
    }

    /** This length less another; may be negative, which is how a margin past a limit shows. */
    public Length minus(Length other) {
        return new Length(hundredthsOfMillimetre - other.hundredthsOfMillimetre, null);
    }

    public Length times(double factor) {
        return ofMillimetres(millimetres() * factor);
    }

    public Length absolute() {
        return new Length(Math.abs(hundredthsOfMillimetre), null);
    }

    public boolean isMoreThan(Length other) {
        return compareTo(other) > 0;
    }

    public boolean isLessThan(Length other) {
        return compareTo(other) < 0;
    }

    /** What was typed, when this value came from typing. */
    public Optional<String> typed() {
        return Optional.ofNullable(typed);
    }

    /** Prints the length: millimetres up to 400 mm and centimetres above, or inches to a tenth. */
    public String in(UnitSystem system) {
        return QuantityPrinter.length(this, system);
    }

    @Override
    public int compareTo(Length other) {
        return Long.compare(hundredthsOfMillimetre, other.hundredthsOfMillimetre);
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof Length other && other.hundredthsOfMillimetre == hundredthsOfMillimetre;
    }

    @Override
    public int hashCode() {
        return Long.hashCode(hundredthsOfMillimetre);
    }

    @Override
    public String toString() {
        return in(UnitSystem.METRIC);
    }
}
