package app.layette.core.drawing.side;

import app.layette.core.drawing.Ink;
import app.layette.core.drawing.Point;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Part;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.drawing.Sketch;
import app.layette.core.measure.Angle;
import app.layette.core.recline.IndicatorZones;
import app.layette.core.seat.Indicator.Kind;
import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * The seat's own level indicator as it should look with the child in: the bubble, the ball, the needle, the colours or the
 * line of this seat. The upright side is drawn to the left, as in the side view the head end is.
 */
final class IndicatorFace {
    static final Point CENTRE = new Point(-800, 764);
    private static final Point BESIDE = new Point(-560, 764);
    /** From the middle to a border of the band. */
    private static final double HALF_BAND = 34;

    private static final double HALF_TUBE = 102;
    private static final double TURN_PER_BAND = 11;
    private static final UnaryOperator<Point> AS_IS = p -> p;

    /**
     * How the moving part stands for a recline.
     *
     * @param along shift to the right
     * @param turn degrees clockwise
     */
    record Mark(double along, double turn) {}

    private final Sketch sketch;
    private final IndicatorZones zones;
    private final Point centre;
    private final boolean expected;

    private IndicatorFace(Sketch sketch, IndicatorZones zones, Point centre, boolean expected) {
        this.sketch = sketch;
        this.zones = zones;
        this.centre = centre;
        this.expected = expected;
    }

    /** As computed. */
    static IndicatorFace expected(Sketch sketch, IndicatorZones zones) {
        return new IndicatorFace(sketch, zones, CENTRE, true);
    }

    /** As it was read. */
    static IndicatorFace seen(Sketch sketch, IndicatorZones zones) {
        return new IndicatorFace(sketch, zones, BESIDE, false);
    }

    /** Where the moving part stands: a bubble runs to the higher end, a ball to the lower. */
    static Mark mark(IndicatorZones zones, Angle recline) {
        double position = Math.max(-3, Math.min(3, zones.position(recline)));
        double along = Math.max(-HALF_TUBE + 26, Math.min(HALF_TUBE - 26, position * HALF_BAND));
        return switch (zones.indicator().kind()) {
            case BUBBLE -> new Mark(along, 0);
            case BALL -> new Mark(-along, 0);
            case WINDOW -> new Mark(-along, 0);
            case POINTER -> new Mark(0, position * TURN_PER_BAND);
            case LINE -> new Mark(0, position * TURN_PER_BAND * 0.6);
        };
    }

    void draw(Angle recline) {
        Kind kind = zones.indicator().kind();
        Mark mark = mark(zones, recline);
        if (kind == Kind.BUBBLE || kind == Kind.BALL) {
            tube();
        } else if (kind == Kind.POINTER) {
            sketch.arc(Ink.BAND, centre.plus(new Point(0, -70)), 84, 110, -TURN_PER_BAND, TURN_PER_BAND);
            sketch.arc(Ink.FAINT, centre.plus(new Point(0, -70)), 84, 110, -40, 40);
        } else if (kind == Kind.WINDOW) {
            sketch.polygon(Ink.FAINT, AS_IS, box(HALF_BAND + 16, 26));
        } else {
            sketch.line(Ink.FAINT, at(-HALF_TUBE, -26), at(HALF_TUBE, -26));
        }
        if (expected) {
            sketch.group(Part.MARK, () -> moving(kind, mark));
        } else {
            moving(kind, mark);
        }
        sketch.label(
                Ink.FAINT,
                at(0, -62),
                Anchor.MIDDLE,
                Rank.MINOR,
                expected ? "side.shouldLook" : "side.wasSeen",
                Map.of());
    }

    private void tube() {
        sketch.polygon(Ink.BAND, AS_IS, at(-HALF_BAND, -18), at(HALF_BAND, -18), at(HALF_BAND, 18), at(-HALF_BAND, 18));
        sketch.polygon(Ink.TUBE, AS_IS, box(HALF_TUBE, 18));
    }

    private void moving(Kind kind, Mark mark) {
        switch (kind) {
            case BUBBLE ->
                sketch.blob(
                        expected ? Ink.COMPUTED_MARK : Ink.SEEN_MARK,
                        AS_IS,
                        at(mark.along() - 24, 0),
                        at(mark.along(), 12),
                        at(mark.along() + 24, 0),
                        at(mark.along(), -12));
            case BALL -> sketch.disc(expected ? Ink.COMPUTED_MARK : Ink.SEEN_MARK, at(mark.along(), 0), 14);
            case POINTER -> sketch.line(expected ? Ink.COMPUTED : Ink.MEASURED, at(0, -70), turned(0, 36, mark.turn()));
            case WINDOW ->
                sketch.polygon(
                        Ink.BAND,
                        AS_IS,
                        at(mark.along() - HALF_BAND, -20),
                        at(mark.along() + HALF_BAND, -20),
                        at(mark.along() + HALF_BAND, 20),
                        at(mark.along() - HALF_BAND, 20));
            case LINE ->
                sketch.line(
                        expected ? Ink.COMPUTED : Ink.MEASURED,
                        turnedAbout(at(-HALF_TUBE, 0), centre, mark.turn()),
                        turnedAbout(at(HALF_TUBE, 0), centre, mark.turn()));
        }
    }

    private Point[] box(double halfWidth, double halfHeight) {
        return new Point[] {
            at(-halfWidth, -halfHeight),
            at(halfWidth, -halfHeight),
            at(halfWidth, halfHeight),
            at(-halfWidth, halfHeight)
        };
    }

    private Point at(double along, double up) {
        return centre.plus(new Point(along, up));
    }

    /** What the moving part turns about. */
    static Point pivot(Kind kind) {
        return kind == Kind.POINTER ? CENTRE.plus(new Point(0, -70)) : CENTRE;
    }

    private Point turned(double along, double up, double clockwise) {
        return turnedAbout(at(along, up), at(0, -70), clockwise);
    }

    private static Point turnedAbout(Point p, Point about, double clockwise) {
        return Pose.turned(p, about, -Math.toRadians(clockwise));
    }
}
