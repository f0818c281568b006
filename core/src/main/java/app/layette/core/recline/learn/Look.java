package app.layette.core.recline.learn;

import app.layette.core.measure.Angle;

/** One look at the angle, taken where something was expected. */
public sealed interface Look {
    Expectation expected();

    /**
     * A number read off a level.
     *
     * @param angle as read
     * @param spread 1 sd of the reading
     */
    record OfNumber(Expectation expected, Angle angle, Angle spread) implements Look {
        /** 1 sd of a number read by eye, in degrees. */
        public static final Angle USUAL_SPREAD = Angle.ofDegrees(1);
    }

    /** What the seat's own indicator shows. */
    record OfZone(Expectation expected, Zone zone) implements Look {}
}
