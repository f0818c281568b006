package app.layette.core.recline.learn;

import app.layette.core.measure.Angle;
import java.util.Optional;

/**
 * A stretch of recline angles that looks the same on an indicator.
 *
 * @param from lowest angle inside; empty when open
 * @param below first angle no longer inside; empty when open
 */
public record Zone(Optional<Angle> from, Optional<Angle> below) {
    public static Zone below(Angle border) {
        return new Zone(Optional.empty(), Optional.of(border));
    }

    public static Zone from(Angle border) {
        return new Zone(Optional.of(border), Optional.empty());
    }

    public static Zone between(Angle from, Angle below) {
        return new Zone(Optional.of(from), Optional.of(below));
    }

    /** The same zone, seen from a place that shifts every reading by an angle. */
    public Zone shiftedBy(Angle by) {
        return new Zone(from.map(by::plus), below.map(by::plus));
    }

    public boolean contains(Angle angle) {
        return from.map(border -> angle.compareTo(border) >= 0).orElse(true)
                && below.map(border -> angle.compareTo(border) < 0).orElse(true);
    }

    double fromDegrees() {
        return from.map(Angle::degrees).orElse(Double.NEGATIVE_INFINITY);
    }

    double belowDegrees() {
        return below.map(Angle::degrees).orElse(Double.POSITIVE_INFINITY);
    }
}
