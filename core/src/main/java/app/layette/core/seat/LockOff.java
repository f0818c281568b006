package app.layette.core.seat;

import app.layette.core.evidence.Written;
import org.jspecify.annotations.Nullable;

/**
 * A clamp built into the restraint that locks the belt (SEC-2).
 *
 * @param side of the restraint, seen from its foot end
 * @param part of the belt that goes in
 * @param on what it is built into: the base stays out of a ride without it; {@code null} where nobody has looked
 */
public record LockOff(
        @Written(
                needed = true,
                among = {"LEFT", "RIGHT"})
        Side side,

        @Written(needed = true) Part part,

        @Written(says = "What it is built into; left out means nobody has looked.") @Nullable
        On on) {
    /** Side of the restraint. */
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

    /** Which part of the restraint it is on. */
    public enum On {
        BASE,
        /** The carrier, or the shell of a restraint of one piece. */
        CARRIER
    }
}
