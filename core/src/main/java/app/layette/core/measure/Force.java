package app.layette.core.measure;

import java.util.Locale;

/** A force in newtons, finite and not negative. */
public record Force(double newtons) implements Comparable<Force> {
    public static final Force ZERO = new Force(0);

    /** Standard gravity as this program rounds it, in N per kg. */
    private static final double GRAVITY = 9.81;

    public Force {
        if (!Double.isFinite(newtons) || newtons < 0) {
            throw new IllegalArgumentException("A force (" + newtons + " N) must be finite and at least 0");
        }
    }

    public static Force ofNewtons(double newtons) {
        return new Force(newtons);
    }

    /** The weight of a mass: kg × 9.81. */
    public static Force weightOf(Mass mass) {
        return new Force(mass.kilograms() * GRAVITY);
    }

    public Force plus(Force other) {
        return new Force(newtons + other.newtons);
    }

    @Override
    public int compareTo(Force other) {
        return Double.compare(newtons, other.newtons);
    }

    @Override
    public String toString() {
        return String.format(Locale.ROOT, "%.0f N", newtons);
    }
}
