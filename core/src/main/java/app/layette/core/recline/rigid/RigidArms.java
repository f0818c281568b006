package app.layette.core.recline.rigid;

import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import java.util.Optional;

/**
 * The angle of a base that pivots on rigid lower anchors and stands on its load leg.
 *
 * <pre>
 * h_A + (x_l − x_a) sin φ + (z_l − z_a) cos φ − q = 0,  solved for φ
 * θ = θ0 − φ + σ − δ
 * </pre>
 *
 * <p>Handbook, section 6. A longer leg raises the head end: φ grows and the child sits more upright. No compression and no
 * roll here. Solutions beyond ±45° are not taken: no base stands so.
 *
 * @param anchorAlong x_a of the anchors in the base frame (origin at the foot-end contact, x towards the head end)
 * @param anchorUp z_a of the anchors in the base frame
 * @param legAlong x_l, where the leg hangs
 * @param legUp z_l
 */
public record RigidArms(Length anchorAlong, Length anchorUp, Length legAlong, Length legUp) {
    private static final double STEEPEST_DEGREES = 45;

    /**
     * φ, how far the head end stands above level.
     *
     * @param anchorHeight h_A, height of the anchors above the floor under the leg
     * @param leg q, length of the leg from where it hangs to the floor
     * @return empty when no leg of that length reaches the floor with the base anywhere near level
     */
    public Optional<Angle> rise(Length anchorHeight, Length leg) {
        double along = legAlong.millimetres() - anchorAlong.millimetres();
        double up = legUp.millimetres() - anchorUp.millimetres();
        double reach = Math.hypot(along, up);
        double sine = (leg.millimetres() - anchorHeight.millimetres()) / reach;
        if (reach == 0 || Math.abs(sine) > 1) {
            return Optional.empty();
        }
        double degrees = Math.toDegrees(Math.asin(sine) - Math.atan2(up, along));
        return Math.abs(degrees) > STEEPEST_DEGREES ? Optional.empty() : Optional.of(Angle.ofDegrees(degrees));
    }

    /**
     * θ for a leg.
     *
     * @param theta0 θ0, recline with the base level
     * @param slide σ, offset of a slide
     * @param ground δ, slope of the ground, nose-up positive
     */
    public Optional<Angle> recline(Angle theta0, Length anchorHeight, Length leg, Angle slide, Angle ground) {
        return rise(anchorHeight, leg)
                .map(rise -> theta0.minus(rise).plus(slide).minus(ground));
    }
}
