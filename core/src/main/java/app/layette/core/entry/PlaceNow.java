package app.layette.core.entry;

import app.layette.core.entry.Fact.Stage;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import java.util.Optional;

/** The place now, with the restraint that stands on it: which seating position, by which method, how it sits there. */
public interface PlaceNow extends RestraintNow {
    Optional<Stamped<Fact.Placed>> placed();

    Optional<Method> method();

    /** The chosen method; while none is chosen, the usual one of this kind of restraint. */
    Method usualMethod();

    /** The chosen seating position, when the car has it. */
    Optional<SeatingPosition> position();

    /** An answer about one seating position by name. */
    Optional<Stamped<String>> answerAt(Question question, PositionId place);

    /**
     * The place in the entries from which on the present seating position has been the chosen one; 0 while none is. What
     * was tested or measured before that belongs to another position.
     */
    int placeSince();

    Optional<Stamped<Fact.LevelRead>> level(Stage stage);

    /** The latest place at which recline device, roll, place or method was set; 0 for never. */
    int lastDeviceChange();

    /** Whether this is teaching at the bedside, without a car. */
    boolean isBedside();
}
