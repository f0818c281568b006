package app.layette.core.recline.cushion;

import app.layette.core.measure.Force;

/**
 * A weight on the base.
 *
 * @param weight W
 * @param at w, where it acts along the base from the foot end (0) to the head end (1); outside, the base tips
 */
public record Load(Force weight, double at) {
    /** Whether it acts beyond an end of the base. */
    public boolean tips() {
        return at < 0 || at > 1;
    }

    Depths on(Cushion cushion) {
        return cushion.under(weight.newtons() * (1 - at), weight.newtons() * at);
    }
}
