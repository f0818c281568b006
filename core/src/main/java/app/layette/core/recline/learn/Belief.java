package app.layette.core.recline.learn;

import app.layette.core.measure.Angle;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * What is believed of x = (a, u_r, u_f): mean and covariance. Never changed; each look gives a new one.
 *
 * <p>Prior: (θ0 − γ, 1, 1) with standard deviations 2.1213° (1.5° each for θ0 and γ, in square), 0.40 and 0.40, the two
 * multipliers correlated by 0.6.
 */
public final class Belief {
    /** Spread of the border of a zone as the eye sees it, 1 sd in degrees. */
    static final double BORDER = 0.3;

    private static final double SHEET_VARIANCE = 2 * 1.5 * 1.5;
    private static final double GIVE = 0.40;
    private static final double ALIKE = 0.6;
    private static final double HOPELESS = 1e-9;
    private static final double LEAST_VARIANCE = 1e-6;

    private final RealVector mean;
    private final RealMatrix covariance;

    private Belief(RealVector mean, RealMatrix covariance) {
        this.mean = mean;
        this.covariance = covariance;
    }

    /** Before any look. */
    public static Belief prior(Angle a) {
        return prior(a, 1);
    }

    /**
     * Before any look, with the usual spreads made wider or narrower.
     *
     * @param spread factor of every standard deviation, more than 0
     */
    public static Belief prior(Angle a, double spread) {
        double give = GIVE * GIVE;
        RealMatrix covariance = MatrixUtils.createRealMatrix(
                new double[][] {{SHEET_VARIANCE, 0, 0}, {0, give, ALIKE * give}, {0, ALIKE * give, give}});
        return new Belief(
                new ArrayRealVector(new double[] {a.degrees(), 1, 1}), covariance.scalarMultiply(spread * spread));
    }

    /** a, the recline with nothing lifted and nothing pressed in. */
    public Angle levelRecline() {
        return Angle.ofDegrees(mean.getEntry(0));
    }

    /** 1 sd of a. */
    public Angle levelReclineSpread() {
        return Angle.ofDegrees(Math.sqrt(covariance.getEntry(0, 0)));
    }

    /** u_r: how much more the cushion gives at the foot end than its class says. */
    public double footEndGive() {
        return mean.getEntry(1);
    }

    /** u_f. */
    public double headEndGive() {
        return mean.getEntry(2);
    }

    /** The angle expected of a reading. */
    public Prediction predict(Expectation expected) {
        RealVector row = new ArrayRealVector(expected.row());
        double mean = row.dotProduct(this.mean) + expected.offset().degrees();
        return new Prediction(Angle.ofDegrees(mean), Angle.ofDegrees(Math.sqrt(variance(row, expected))));
    }

    private double variance(RealVector row, Expectation expected) {
        return covariance.operate(row).dotProduct(row) + expected.noise();
    }

    /** Whether a number is further than three standard deviations from what was expected. */
    boolean isFarOff(Expectation expected, double degrees, double spread) {
        Prediction prediction = predict(expected);
        double sd = Math.hypot(prediction.spread().degrees(), spread);
        return Math.abs(degrees - prediction.mean().degrees()) > 3 * sd;
    }

    /** After a number. */
    Belief withNumber(Expectation expected, double degrees, double spread) {
        RealVector row = new ArrayRealVector(expected.row());
        double s = variance(row, expected) + spread * spread;
        double off = degrees - predict(expected).mean().degrees();
        RealVector gain = covariance.operate(row).mapDivide(s);
        return moved(gain, off, s);
    }

    /** The same, widened so far that a number that was out of reach lies three standard deviations off. */
    Belief widenedFor(Expectation expected, double degrees, double spread) {
        RealVector row = new ArrayRealVector(expected.row());
        double off = degrees - predict(expected).mean().degrees();
        double own = covariance.operate(row).dotProduct(row);
        double wanted = off * off / 9 - expected.noise() - spread * spread;
        return new Belief(mean, covariance.scalarMultiply(Math.max(1, wanted / own)));
    }

    /** Whether a zone is so far from what was expected that its likelihood means nothing. */
    boolean isHopeless(Expectation expected, Zone zone) {
        return likelihood(expected, zone, BORDER) < HOPELESS;
    }

    /** Probability that a reading falls into a zone. */
    public double likelihood(Expectation expected, Zone zone) {
        return likelihood(expected, zone, 0);
    }

    private double likelihood(Expectation expected, Zone zone, double border) {
        Prediction prediction = predict(expected);
        double sd = Math.hypot(prediction.spread().degrees(), border);
        return Normal.between(
                (zone.fromDegrees() - prediction.mean().degrees()) / sd,
                (zone.belowDegrees() - prediction.mean().degrees()) / sd);
    }

    /** After a zone: the moments of the normal cut to it; a hopeless one moves to its nearer border. */
    Belief withZone(Expectation expected, Zone zone) {
        double m = predict(expected).mean().degrees();
        if (isHopeless(expected, zone)) {
            double border = m < zone.fromDegrees() ? zone.fromDegrees() : zone.belowDegrees();
            return withNumber(expected, border, BORDER);
        }
        RealVector row = new ArrayRealVector(expected.row());
        double s = variance(row, expected) + BORDER * BORDER;
        double root = Math.sqrt(s);
        double a = (zone.fromDegrees() - m) / root;
        double b = (zone.belowDegrees() - m) / root;
        double z = Normal.between(a, b);
        double d = (Normal.density(a) - Normal.density(b)) / z;
        double v = Math.max(LEAST_VARIANCE, 1 + (edge(a) - edge(b)) / z - d * d);
        RealVector gain = covariance.operate(row).mapDivide(s);
        RealVector x = mean.add(gain.mapMultiply(root * d));
        return new Belief(x, covariance.subtract(gain.outerProduct(gain).scalarMultiply(s * (1 - v))));
    }

    /** x φ(x), zero at infinity. */
    private static double edge(double x) {
        return Double.isInfinite(x) ? 0 : x * Normal.density(x);
    }

    private Belief moved(RealVector gain, double off, double s) {
        return new Belief(
                mean.add(gain.mapMultiply(off)),
                covariance.subtract(gain.outerProduct(gain).scalarMultiply(s)));
    }
}
