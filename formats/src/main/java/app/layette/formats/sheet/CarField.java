package app.layette.formats.sheet;

import app.layette.core.vehicle.PositionId;
import java.util.Optional;

/**
 * One field of a vehicle sheet.
 *
 * @param pointer where it stands, a place by its name: {@code /positions/2-LEFT/airbag}
 * @param place the seating position that it tells of; empty for the car as a whole
 * @param key its words' key, the same at every place: {@code airbag}
 */
public record CarField(
        String pointer, Section section, Optional<PositionId> place, String key, Shape shape, boolean evidence)
        implements WrittenField {
    /** Parts of a vehicle sheet. */
    public enum Section {
        CAR,
        MAY,
        PLACE
    }
}
