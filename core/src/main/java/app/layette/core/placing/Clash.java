package app.layette.core.placing;

import app.layette.core.vehicle.PositionId;
import java.util.Optional;

/**
 * Why two cannot ride together, or one not where it is wanted.
 *
 * @param kind what both would need
 * @param row the row in which it is
 * @param place whose belt, anchor or seat it is; empty for the width of a row
 */
public record Clash(Kind kind, int row, Optional<PositionId> place) {
    /** What both would need. */
    public enum Kind {
        /** The same seating position. */
        PLACE,
        /** The same belt or its buckle. */
        BELT,
        /** The same lower anchor. */
        ANCHOR,
        /** More width than the row has. */
        WIDTH,
        /** A place in which somebody is wanted, and in which nothing allows them. */
        REFUSED
    }

    static Clash at(Kind kind, PositionId place) {
        return new Clash(kind, place.row(), Optional.of(place));
    }
}
