package app.layette.core.trial;

import app.layette.core.measure.Angle;
import app.layette.core.recline.learn.Zone;
import java.util.List;

/**
 * The band to reach, and the five zones that an indicator shows around it: outside, part outside within 2° of a border,
 * inside.
 *
 * @param from lowest allowed recline
 * @param to first one too far
 */
public record TrialBand(Angle from, Angle to) {
    private static final Angle PART = Angle.ofDegrees(2);

    public static TrialBand of(double from, double to) {
        return new TrialBand(Angle.ofDegrees(from), Angle.ofDegrees(to));
    }

    Zone zone() {
        return Zone.between(from, to);
    }

    boolean contains(Angle angle) {
        return zone().contains(angle);
    }

    boolean isBelow(Angle angle) {
        return angle.compareTo(from) < 0;
    }

    /** The zone that an angle lies in. */
    Zone zoneOf(Angle angle) {
        List<Zone> zones = List.of(
                Zone.below(from.minus(PART)),
                Zone.between(from.minus(PART), from),
                zone(),
                Zone.between(to, to.plus(PART)),
                Zone.from(to.plus(PART)));
        return zones.stream().filter(zone -> zone.contains(angle)).findFirst().orElseThrow();
    }
}
