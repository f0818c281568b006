package app.layette.core.recline;

import app.layette.core.measure.Length;
import app.layette.core.vehicle.PositionId;
import java.util.Optional;

/**
 * Something that would reach a band which the recline device cannot.
 *
 * @param kind what
 * @param place for another place, which
 * @param lift for a roll, ℓ_t it has to make on top of the most reclined setting
 */
public record WayOut(Kind kind, Optional<PositionId> place, Optional<Length> lift) {
    /** Kinds of way out. */
    public enum Kind {
        /** A roll under the foot end, which the seat manual allows. */
        ROLL,
        /** A roll would do it; whether the seat manual allows one is not known. */
        ROLL_IF_ALLOWED,
        /** Another place in the same car. */
        OTHER_PLACE,
        /** Another method, or another seat. */
        OTHER_METHOD_OR_SEAT
    }

    static WayOut of(Kind kind) {
        return new WayOut(kind, Optional.empty(), Optional.empty());
    }

    static WayOut roll(Kind kind, Length lift) {
        return new WayOut(kind, Optional.empty(), Optional.of(lift));
    }

    static WayOut place(PositionId place) {
        return new WayOut(Kind.OTHER_PLACE, Optional.of(place), Optional.empty());
    }
}
