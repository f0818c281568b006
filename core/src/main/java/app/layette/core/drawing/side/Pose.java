package app.layette.core.drawing.side;

import app.layette.core.drawing.Point;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.FrontToBack;
import java.util.Optional;

/**
 * Where the restraint stands at one setting.
 *
 * @param baseSlope φ
 * @param heldUpMm ℓ − c_r
 * @param slide σ
 * @param shiftMm how far it stands forward of the bight
 * @param recline θ
 * @param gap to the front seat; empty when the car's distances are not known
 * @param outline as it stands
 */
record Pose(
        Angle baseSlope,
        double heldUpMm,
        Angle slide,
        double shiftMm,
        Angle recline,
        Optional<Length> gap,
        FrontToBack outline) {

    /** A point of the base frame in the view: x to the right, so that the head end points left. */
    Point base(Point p, Angle slope) {
        double phi = baseSlope.radians();
        double x = -heldUpMm * slope.sin() + p.x() * Math.cos(phi) - p.y() * Math.sin(phi) + shiftMm;
        double y = heldUpMm * slope.cos() + p.x() * Math.sin(phi) + p.y() * Math.cos(phi);
        // Along the cushion, not along the ground, so that the base stays on it.
        return new Point(-x, y + shiftMm * slope.sin() / slope.cos());
    }

    /** A point turned about another, anticlockwise as seen with x towards the head end and up. */
    static Point turned(Point p, Point about, double radians) {
        double x = p.x() - about.x();
        double y = p.y() - about.y();
        return new Point(
                about.x() + x * Math.cos(radians) - y * Math.sin(radians),
                about.y() + x * Math.sin(radians) + y * Math.cos(radians));
    }
}
