package app.layette.core.placing;

import app.layette.core.cabin.Occupied;
import app.layette.core.entry.Method;
import app.layette.core.measure.Length;
import app.layette.core.vehicle.PositionId;
import java.util.List;
import java.util.Optional;

/**
 * Somebody who needs a place: a child in a restraint, or a person on the vehicle seat.
 *
 * @param name as it is shown
 * @param ways every way to seat them, the best first
 * @param width that they take beside others; empty when it is not known
 * @param held the place in which somebody wants them; empty where any will do
 */
public record Demand(String name, List<Way> ways, Optional<Length> width, Optional<PositionId> held) {
    public Demand {
        ways = List.copyOf(ways);
    }

    public Demand(String name, List<Way> ways, Optional<Length> width) {
        this(name, ways, width, Optional.empty());
    }

    /** The same, in this place and no other: without a way to be there, none is left. */
    public Demand heldAt(PositionId place) {
        return new Demand(
                name, ways.stream().filter(way -> way.place().equals(place)).toList(), width, Optional.of(place));
    }

    /**
     * One way to seat somebody.
     *
     * @param place where
     * @param method how a restraint is fixed; empty for a person
     * @param occupied what nobody else can have with it
     */
    public record Way(PositionId place, Optional<Method> method, Occupied occupied) {}
}
