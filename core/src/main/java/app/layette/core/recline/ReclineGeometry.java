package app.layette.core.recline;

import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;

/**
 * The recline angle of a restraint on a rigid cushion, in the side view.
 *
 * <pre>θ = θ0 + σ − γ + asin(ℓ / L) − δ</pre>
 *
 * <p>Handbook of the fitting rules, section 6. Compression of the cushion is left out here: a soft cushion makes the
 * real angle differ by some degrees, which is why the seat's own indicator always has the last word.
 *
 * @param theta0 θ0, recline with the base level and the device at zero
 * @param cushionSlope γ, positive when the cushion drops towards the bight
 * @param contact L, distance of the two contact points of base and cushion, more than 0
 */
public record ReclineGeometry(Angle theta0, Angle cushionSlope, Length contact) {
    public ReclineGeometry {
        if (!contact.isMoreThan(Length.ZERO)) {
            throw new IllegalArgumentException("The contact distance (" + contact + ") must be more than 0 mm");
        }
    }

    /**
     * θ for one setting.
     *
     * @param lift ℓ at the foot end, 0 or more
     * @param slide σ, offset of a slide
     * @param ground δ, slope of the ground, nose-up positive
     */
    public Angle recline(Length lift, Angle slide, Angle ground) {
        return theta0.plus(slide).minus(cushionSlope).plus(tilt(lift)).minus(ground);
    }

    /** asin(ℓ / L), how far a lift tilts the base; the argument is kept within [-1, 1]. */
    public Angle tilt(Length lift) {
        double ratio = Math.max(-1, Math.min(1, lift.millimetres() / contact.millimetres()));
        return Angle.ofDegrees(Math.toDegrees(Math.asin(ratio)));
    }

    /** φ, how far the base drops towards the bight: γ less the tilt of the lift. */
    public Angle baseSlope(Length lift) {
        return cushionSlope.minus(tilt(lift));
    }
}
