package app.layette.core.recline.cushion;

/**
 * How deep the cushion is pressed in under each end of a base. Raw millimetres, not lengths: they are results on the way
 * to an angle, and rounding them would show in it.
 *
 * @param footEndMm c_r
 * @param headEndMm c_f
 */
public record Depths(double footEndMm, double headEndMm) {
    public static final Depths NONE = new Depths(0, 0);

    Depths plus(Depths other) {
        return new Depths(footEndMm + other.footEndMm, headEndMm + other.headEndMm);
    }

    Depths times(double factor) {
        return new Depths(footEndMm * factor, headEndMm * factor);
    }

    Depths max(Depths other) {
        return new Depths(Math.max(footEndMm, other.footEndMm), Math.max(headEndMm, other.headEndMm));
    }

    /** Depth under a point of the base, straight between its ends. */
    public double at(double fraction) {
        return (1 - fraction) * footEndMm + fraction * headEndMm;
    }

    /** How much further the head end goes in than the foot end, in mm: what compression adds to the lift. */
    public double differenceMm() {
        return headEndMm - footEndMm;
    }
}
