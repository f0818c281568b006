package app.layette.core.seat;

/**
 * A clamp built into the restraint that locks the belt (SEC-2).
 *
 * @param side of the base, seen from its foot end
 * @param part of the belt that goes in
 */
public record LockOff(Side side, Part part) {
    /** Side of the base. */
    public enum Side {
        LEFT,
        RIGHT
    }

    /** Part of the belt. */
    public enum Part {
        LAP,
        SHOULDER,
        BOTH
    }
}
