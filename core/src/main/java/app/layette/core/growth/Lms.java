package app.layette.core.growth;

/**
 * One point of a growth standard: X(z) = M (1 + L S z)^(1/L), and beyond three standard deviations on by the distance of
 * the second to the third.
 *
 * @param l power
 * @param m median, more than 0
 * @param s coefficient of variation, more than 0
 */
record Lms(double l, double m, double s) {
    private static final double FAR = 3;
    private static final double NO_POWER = 1e-12;

    /** The measure at a z-score. */
    double at(double z) {
        if (z > FAR) {
            return plain(FAR) + (z - FAR) * (plain(FAR) - plain(FAR - 1));
        }
        if (z < -FAR) {
            return plain(-FAR) + (z + FAR) * (plain(-FAR + 1) - plain(-FAR));
        }
        return plain(z);
    }

    private double plain(double z) {
        return Math.abs(l) < NO_POWER ? m * Math.exp(s * z) : m * Math.pow(1 + l * s * z, 1 / l);
    }

    /** The z-score of a measure, more than 0. */
    double z(double measure) {
        double z = Math.abs(l) < NO_POWER ? Math.log(measure / m) / s : (Math.pow(measure / m, l) - 1) / (l * s);
        if (z > FAR) {
            return FAR + (measure - plain(FAR)) / (plain(FAR) - plain(FAR - 1));
        }
        if (z < -FAR) {
            return -FAR + (measure - plain(-FAR)) / (plain(-FAR + 1) - plain(-FAR));
        }
        return z;
    }

    /** A point between this and the next. */
    Lms towards(Lms next, double share) {
        return new Lms(l + (next.l - l) * share, m + (next.m - m) * share, s + (next.s - s) * share);
    }
}
