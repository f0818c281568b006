package app.layette.core.stance;

import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.seat.Connectors;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import java.util.Optional;

/**
 * Where to stand and which way to pull (SEC-5): at the door of the place, or at the kerb for the middle; an anchor tail in
 * the direction in which it leaves the restraint, a belt towards its upper guide beside the place, arms and leg into the
 * car. Sides are the car's own.
 *
 * @param place that is worked at
 * @param door on which side to stand
 * @param pull which way to pull or push; empty where nothing is pulled
 * @param helper on which side a second pair of hands helps; empty where none is needed
 */
public record Stance(PositionId place, Side door, Optional<Pull> pull, Optional<Side> helper) {
    /** Directions in the car. */
    public enum Pull {
        TO_THE_LEFT,
        TO_THE_RIGHT,
        /** Towards the head end of the restraint. */
        TO_THE_FRONT,
        /** Into the bight: pushed, not pulled. */
        INTO_THE_SEAT
    }

    /** The stance of a step; empty before a place is chosen, and for what is done at a table. */
    public static Optional<Stance> of(PlaceNow situation, StepKey step) {
        boolean inTheCar = switch (step) {
            case DEVICE, HOOK, ROUTE_BELT, TIGHTEN, INCH, LEG_AND_WINDOWS, CARRIER_ON, LEVEL_CHILD -> true;
            default -> false;
        };
        return situation
                .placed()
                .filter(placed -> inTheCar)
                .map(placed ->
                        at(situation, placed.value().position(), placed.value().method(), step));
    }

    private static Stance at(PlaceNow situation, PositionId place, Method method, StepKey step) {
        Side door = place.side() == Side.MIDDLE ? kerb(situation) : place.side();
        if (step != StepKey.TIGHTEN) {
            return new Stance(place, door, Optional.empty(), Optional.empty());
        }
        Pull pull = method.isByRigidArms()
                ? Pull.INTO_THE_SEAT
                : method.isByBelt() ? towards(door) : alongTheTail(situation, door);
        return new Stance(place, door, Optional.of(pull), helper(situation, pull, door));
    }

    private static Side kerb(PlaceNow situation) {
        return situation
                .car()
                .map(VehicleSheet::kerbSide)
                .filter(side -> side != Side.MIDDLE)
                .orElse(Side.RIGHT);
    }

    private static Pull towards(Side side) {
        return side == Side.LEFT ? Pull.TO_THE_LEFT : Pull.TO_THE_RIGHT;
    }

    /** Seen from the foot end a tail that leaves to the left leaves to the car's left. */
    private static Pull alongTheTail(PlaceNow situation, Side door) {
        Optional<Connectors.Tail> tail =
                situation.seat().flatMap(seat -> seat.connectors().value()).map(Connectors::tail);
        return tail.map(side -> switch (side) {
                    case LEFT -> Pull.TO_THE_LEFT;
                    case RIGHT -> Pull.TO_THE_RIGHT;
                    case CENTRE -> Pull.TO_THE_FRONT;
                    case BOTH -> towards(door);
                })
                .orElse(towards(door));
    }

    /** A tail that leaves away from the door, or a second one there, is pulled from the other side or by a helper. */
    private static Optional<Side> helper(PlaceNow situation, Pull pull, Side door) {
        Side away = door == Side.LEFT ? Side.RIGHT : Side.LEFT;
        boolean pulledAway =
                pull == Pull.TO_THE_LEFT && away == Side.LEFT || pull == Pull.TO_THE_RIGHT && away == Side.RIGHT;
        boolean hasTwo = situation
                .seat()
                .flatMap(seat -> seat.connectors().value())
                .filter(each -> each.tail() == Connectors.Tail.BOTH)
                .isPresent();
        boolean byAnchors =
                situation.method().filter(method -> !method.isByBelt()).isPresent();
        return pulledAway || hasTwo && byAnchors ? Optional.of(away) : Optional.empty();
    }
}
