package app.layette.core.measure;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** An angle in degrees. The sign is part of the meaning of each use and is documented there. */
public record Angle(double degrees) implements Comparable<Angle> {
    public static final Angle ZERO = new Angle(0);

    public Angle {
        if (!Double.isFinite(degrees)) {
            throw new IllegalArgumentException("An angle must be finite, was " + degrees);
        }
    }

    public static Angle ofDegrees(double degrees) {
        return new Angle(degrees);
    }

    /**
     * Reads degrees, with or without the sign °.
     *
     * @param minDegrees lowest value taken, inclusive
     * @param maxDegrees highest value taken, inclusive
     * @throws UnreadableMeasureException when it cannot be read or lies outside the range
     */
    public static Angle parse(@Nullable String text, double minDegrees, double maxDegrees) {
        return QuantityReader.angle(text, minDegrees, maxDegrees);
    }

    public double radians() {
        return Math.toRadians(degrees);
    }

    public double sin() {
        return Math.sin(radians());
    }

    public double cos() {
        return Math.cos(radians());
    }

    public Angle plus(Angle other) {
        return new Angle(degrees + other.degrees);
    }

    public Angle minus(Angle other) {
        return new Angle(degrees - other.degrees);
    }

    public Angle absolute() {
        return new Angle(Math.abs(degrees));
    }

    @Override
    public int compareTo(Angle other) {
        return Double.compare(degrees, other.degrees);
    }

    /** At most one decimal, and the sign: 37.9°, 40°. */
    @Override
    public String toString() {
        String text = String.format(Locale.ROOT, "%.1f", degrees).replaceFirst("\\.0$", "");
        return (text.equals("-0") ? "0" : text) + "°";
    }
}
