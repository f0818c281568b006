package app.layette.core.recline.cushion;

import app.layette.core.measure.Force;

/**
 * A press of the hand while the belt or anchor strap is held.
 *
 * @param hand P, force of the hand
 * @param at p, where it presses, 0 foot end to 1 head end
 * @param pull T_h, tension that the other hand holds meanwhile
 */
public record Press(Force hand, double at, Force pull) {
    /** An ordinary press over the middle. */
    public static final Press USUAL = new Press(Force.ofNewtons(300), 0.5, Force.ofNewtons(50));

    public Press {
        if (at < 0 || at > 1) {
            throw new IllegalArgumentException("The press point (" + at + ") must lie on the base; allowed [0, 1]");
        }
    }

    public Press movedTo(double point) {
        return new Press(hand, point, pull);
    }
}
