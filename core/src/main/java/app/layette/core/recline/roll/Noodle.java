package app.layette.core.recline.roll;

import app.layette.core.measure.Length;

/**
 * A foam noodle, or three taped as a triangle: h = d (1 − k); triangle h = d (1 + √3/2)(1 − k). Two side by side do not
 * hold and are not offered (REC-6).
 *
 * @param diameter d, 20 to 150 mm
 * @param squash k, share of its height that it loses under load, 0.15 firm to 0.35 soft
 * @param bundle one or a triangle of three
 */
public record Noodle(Length diameter, double squash, Bundle bundle) implements Roll {
    /** A firm noodle's squash. */
    public static final double FIRM = 0.15;
    /** A soft noodle's squash. */
    public static final double SOFT = 0.35;

    /** How many, and how. */
    public enum Bundle {
        ONE(1),
        TRIANGLE(1 + Math.sqrt(3) / 2);

        private final double diameters;

        Bundle(double diameters) {
            this.diameters = diameters;
        }
    }

    public Noodle {
        if (squash < 0 || squash >= 1) {
            throw new IllegalArgumentException("The squash (" + squash + ") must be a share; allowed [0, 1)");
        }
    }

    @Override
    public Length height() {
        return Length.ofMillimetres(diameter.millimetres() * bundle.diameters * (1 - squash));
    }

    @Override
    public Length fromSeatBack() {
        return bundle == Bundle.ONE ? Length.ofMillimetres(diameter.millimetres() / 2) : diameter;
    }
}
