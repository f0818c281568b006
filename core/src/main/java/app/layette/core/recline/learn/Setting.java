package app.layette.core.recline.learn;

import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;

/**
 * How the recline device stands, as far as the angle goes.
 *
 * @param lift ℓ at the foot end, a roll's equivalent lift included
 * @param slide σ as the reading sees it: zero for an indicator on the base
 * @param roll h, height of a roll that is part of the lift; zero for none
 */
public record Setting(Length lift, Angle slide, Length roll) {
    public static Setting lifted(Length lift) {
        return new Setting(lift, Angle.ZERO, Length.ZERO);
    }
}
