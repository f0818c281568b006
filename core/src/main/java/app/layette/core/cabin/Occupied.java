package app.layette.core.cabin;

import app.layette.core.entry.Method;
import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Length;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import java.util.Comparator;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;

/**
 * What a rider keeps from everybody else in the car (CAB-13 d, OUT-4): seating positions, belts and anchors.
 *
 * @param takes every seating position that is taken
 * @param uses belts and anchors that nobody else can use with it
 */
public record Occupied(Set<PositionId> takes, Set<Use> uses) {
    public Occupied {
        takes = Set.copyOf(takes);
        uses = Set.copyOf(uses);
    }

    /** A thing of a seating position that serves one at a time. */
    public enum Kind {
        BELT,
        INNER_ANCHOR,
        OUTER_ANCHOR
    }

    /** One such thing. */
    public record Use(PositionId place, Kind kind) {}

    /** A person on the vehicle seat. */
    public static Occupied byPerson(PositionId place) {
        return new Occupied(Set.of(place), Set.of(belt(place)));
    }

    /**
     * A restraint.
     *
     * @param width of its shell; empty where it is not known, and nothing beside it counts as covered
     * @param car empty while none is chosen: the places alone are told apart then
     */
    public static Occupied byRestraint(
            PositionId place, Method method, Optional<Length> width, Optional<VehicleSheet> car) {
        Set<PositionId> takes = method.takes(place);
        Set<Use> uses = new HashSet<>();
        if (method.isByBelt()) {
            takes.forEach(each -> uses.add(belt(each)));
        } else {
            uses.addAll(anchors(place, car));
        }
        width.ifPresent(each -> car.ifPresent(sheet -> uses.addAll(coveredBuckles(place, each, sheet))));
        return new Occupied(takes, uses);
    }

    /** A restraint wider than its place covers a neighbour's buckle that stands on its side: nobody can buckle there. */
    private static Set<Use> coveredBuckles(PositionId place, Length width, VehicleSheet car) {
        boolean wider = car.position(place)
                .flatMap(position -> position.width().value())
                .filter(width::isMoreThan)
                .isPresent();
        if (!wider) {
            return Set.of();
        }
        Set<Use> covered = new HashSet<>();
        for (SeatingPosition other : car.positions()) {
            int apart = other.id().side().ordinal() - place.side().ordinal();
            Side towards = apart < 0 ? Side.RIGHT : Side.LEFT;
            boolean beside = other.id().row() == place.row() && Math.abs(apart) == 1;
            if (beside
                    && other.buckleSide()
                            .value()
                            .filter(side -> side == towards)
                            .isPresent()) {
                covered.add(belt(other.id()));
            }
        }
        return covered;
    }

    private static Use belt(PositionId place) {
        return new Use(place, Kind.BELT);
    }

    /** A place uses its own pair; a middle without one borrows the inner ones of its neighbours. */
    private static Set<Use> anchors(PositionId place, Optional<VehicleSheet> car) {
        boolean borrows = place.side() == Side.MIDDLE
                && car.flatMap(sheet -> sheet.position(place))
                        .map(SeatingPosition::anchors)
                        .flatMap(Evidence::value)
                        .filter(each -> each == OwnAnchors.OWN_PAIR)
                        .isEmpty();
        return borrows
                ? Set.of(
                        new Use(new PositionId(place.row(), Side.LEFT), Kind.INNER_ANCHOR),
                        new Use(new PositionId(place.row(), Side.RIGHT), Kind.INNER_ANCHOR))
                : Set.of(new Use(place, Kind.INNER_ANCHOR), new Use(place, Kind.OUTER_ANCHOR));
    }

    /** A seating position that both take. */
    public Optional<PositionId> placeOf(Occupied other) {
        return takes.stream().filter(other.takes::contains).min(Comparator.comparing(PositionId::toString));
    }

    /** A belt or an anchor that both need. */
    public Optional<Use> useOf(Occupied other) {
        return uses.stream()
                .filter(other.uses::contains)
                .min(Comparator.comparing(Use::kind)
                        .thenComparing(each -> each.place().toString()));
    }
}
