package app.layette.core.recline.learn;

import org.hipparchus.special.Erf;

/** The standard normal distribution. */
final class Normal {
    private static final double ROOT_TWO = Math.sqrt(2);
    private static final double ROOT_TWO_PI = Math.sqrt(2 * Math.PI);

    private Normal() {}

    /** Φ(x). */
    static double below(double x) {
        return 0.5 * Erf.erfc(-x / ROOT_TWO);
    }

    /** φ(x); zero at infinity. */
    static double density(double x) {
        return Double.isInfinite(x) ? 0 : Math.exp(-x * x / 2) / ROOT_TWO_PI;
    }

    /** Φ(b) − Φ(a), taken from the nearer tail so that it stays exact far out. */
    static double between(double a, double b) {
        return a > 0 ? below(-a) - below(-b) : below(b) - below(a);
    }
}
