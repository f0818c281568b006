package app.layette.core.recline;

import app.layette.core.measure.Angle;
import app.layette.core.recline.learn.Zone;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.Indicator.Borders;
import app.layette.core.seat.Indicator.Pass;
import app.layette.core.seat.Indicator.Reading;

/**
 * How the five readings of an indicator map to the recline it sees (REC-1).
 *
 * <p>The band on the sheet is what passes. Where only wholly inside passes, "part outside" lies beyond the band's borders;
 * where any part passes, it lies within them.
 *
 * @param indicator the seat's own
 * @param band for the child's weight
 */
public record IndicatorZones(Indicator indicator, Borders band) {
    /** The zone that passes. */
    public Zone passing() {
        return Zone.between(band.from(), band.to());
    }

    /** The recline at which a reading is seen. */
    public Zone zone(Reading reading) {
        Angle low = wholly(band.from(), band.from().plus(indicator.partWidth()));
        Angle lowest = low.minus(indicator.partWidth());
        Angle high = wholly(band.to(), band.to().minus(indicator.partWidth()));
        Angle highest = high.plus(indicator.partWidth());
        return switch (reading) {
            case OUTSIDE_UPRIGHT -> Zone.below(lowest);
            case PART_UPRIGHT -> Zone.between(lowest, low);
            case INSIDE -> Zone.between(low, high);
            case PART_RECLINED -> Zone.between(high, highest);
            case OUTSIDE_RECLINED -> Zone.from(highest);
        };
    }

    private Angle wholly(Angle border, Angle within) {
        return indicator.pass() == Pass.WHOLLY_INSIDE ? border : within;
    }

    /** A recline at which a reading is seen: the middle of its zone, or half a band beyond an open end. */
    public Angle typical(Reading reading) {
        double half = (band.to().degrees() - band.from().degrees()) / 2;
        Zone zone = zone(reading);
        double from = zone.from().or(zone::below).orElseThrow().degrees();
        double below = zone.below().or(zone::from).orElseThrow().degrees();
        double open = zone.from().isEmpty() ? -half : zone.below().isEmpty() ? half : 0;
        return Angle.ofDegrees((from + below) / 2 + open);
    }

    /** What the indicator shows at a recline. */
    public Reading reading(Angle recline) {
        for (Reading reading : Reading.values()) {
            if (zone(reading).contains(recline)) {
                return reading;
            }
        }
        // Only a band narrower than its parts gets here: what is not inside is partly outside.
        return recline.compareTo(band.to()) < 0 ? Reading.PART_UPRIGHT : Reading.PART_RECLINED;
    }

    /**
     * Where the mark stands for a recline: −1 at the upright border of the band, 0 in its middle, 1 at its reclined
     * border, and on beyond them.
     */
    public double position(Angle recline) {
        double middle = (band.from().degrees() + band.to().degrees()) / 2;
        double half = (band.to().degrees() - band.from().degrees()) / 2;
        return half == 0 ? 0 : (recline.degrees() - middle) / half;
    }
}
