package app.layette.core.recline;

import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.cushion.Depths;

/**
 * The recline angle of a restraint on a cushion, in the side view.
 *
 * <pre>
 * θ = θ0 + σ − γ + asin((ℓ − c_r + c_f) / L) − δ
 * Δℓ = L (sin α2 − sin α1)
 * </pre>
 *
 * <p>Handbook of the fitting rules, section 6. The argument of the arcsine is kept within [−1, 1]. The seat's own
 * indicator always has the last word over a computed angle.
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
     * θ on a cushion that does not give.
     *
     * @param lift ℓ at the foot end, 0 or more
     * @param slide σ, offset of a slide
     * @param ground δ, slope of the ground, nose-up positive
     */
    public Angle recline(Length lift, Angle slide, Angle ground) {
        return recline(lift, slide, ground, Depths.NONE);
    }

    /** θ with the cushion pressed in. */
    public Angle recline(Length lift, Angle slide, Angle ground, Depths depths) {
        return theta0.plus(slide).minus(cushionSlope).plus(tilt(lift, depths)).minus(ground);
    }

    /** asin(ℓ / L), how far a lift tilts the base. */
    public Angle tilt(Length lift) {
        return tilt(lift, Depths.NONE);
    }

    /** asin((ℓ − c_r + c_f) / L), how far a lift on a cushion that gives tilts the base. */
    public Angle tilt(Length lift, Depths depths) {
        double ratio = (lift.millimetres() + depths.differenceMm()) / contact.millimetres();
        return Angle.ofDegrees(Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, ratio)))));
    }

    /** φ, how far the base drops towards the bight: γ less the tilt. */
    public Angle baseSlope(Length lift, Depths depths) {
        return cushionSlope.minus(tilt(lift, depths));
    }

    /** Δℓ that changes the tilt from one angle to another; negative when it is to be lowered. */
    public Length liftBetween(Angle from, Angle to) {
        return Length.ofMillimetres(contact.millimetres() * (to.sin() - from.sin()));
    }
}
