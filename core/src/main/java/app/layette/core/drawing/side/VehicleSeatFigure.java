package app.layette.core.drawing.side;

import app.layette.core.drawing.Ink;
import app.layette.core.drawing.Point;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Part;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.drawing.Sketch;
import app.layette.core.finding.Argument;
import java.util.Map;
import java.util.function.UnaryOperator;

/** Cushion and back of the vehicle seat, and the front seat. */
final class VehicleSeatFigure {
    private static final UnaryOperator<Point> AS_IS = p -> p;

    private final Sketch sketch;
    private final Setup setup;

    VehicleSeatFigure(Sketch sketch, Setup setup) {
        this.sketch = sketch;
        this.setup = setup;
    }

    /** From the car (origin at the bight, x towards the front) to the view. */
    static Point view(double x, double y) {
        return new Point(-x, y);
    }

    private Point onCushion(double along, double above) {
        double slope = setup.slope().radians();
        return view(
                along * Math.cos(slope) - above * Math.sin(slope), along * Math.sin(slope) + above * Math.cos(slope));
    }

    private Point onSeatBack(double up, double behind) {
        double lean = setup.backAngle().radians();
        return view(-up * Math.sin(lean) - behind * Math.cos(lean), up * Math.cos(lean) - behind * Math.sin(lean));
    }

    void drawSeat() {
        drawUpholstery();
        drawSlope();
    }

    /** Cushion and seat back without a word. */
    void drawUpholstery() {
        sketch.blob(
                Ink.UPHOLSTERY,
                AS_IS,
                onSeatBack(-60, 12),
                onSeatBack(60, 0),
                onSeatBack(250, 2),
                onSeatBack(420, 0),
                onSeatBack(560, 4),
                onSeatBack(640, 34),
                onSeatBack(640, 110),
                onSeatBack(420, 150),
                onSeatBack(-40, 160));
        sketch.blob(
                Ink.UPHOLSTERY,
                AS_IS,
                onCushion(2, -16),
                onCushion(60, 0),
                onCushion(260, 0),
                onCushion(440, 0),
                onCushion(505, -10),
                onCushion(530, -48),
                onCushion(512, -120),
                onCushion(280, -136),
                onCushion(10, -132));
    }

    private void drawSlope() {
        boolean known = setup.knowsSlope();
        sketch.line(
                known ? Ink.FAINT : Ink.UNKNOWN,
                onCushion(500, 0),
                view(-onCushion(500, 0).x() - 170, onCushion(500, 0).y()));
        sketch.label(
                known ? Ink.FAINT : Ink.UNKNOWN,
                onCushion(430, -78),
                Anchor.START,
                Rank.MINOR,
                known ? "side.slope" : "side.slopeUnknown",
                Map.of("slope", Argument.of(setup.slope())));
        sketch.label(
                Ink.FAINT,
                onSeatBack(20, 70).plus(new Point(14, -40)),
                Anchor.MIDDLE,
                Rank.MINOR,
                "side.bight",
                Map.of());
    }

    /** The front seat, where the car's sheet says it is, and the room before it. */
    void drawFrontSeat(Pose pose) {
        var foremost = pose.outline().foremost();
        double headEnd = foremost.alongMm();
        double height =
                foremost.upMm() + pose.shiftMm() * Math.tan(setup.slope().radians());
        boolean known = pose.gap().isPresent();
        double front = headEnd + pose.gap().map(gap -> gap.millimetres()).orElse(60.0);
        Ink ink = known ? Ink.FRONT_SEAT : Ink.UNKNOWN;
        sketch.curve(
                ink,
                AS_IS,
                view(front + 78, -150),
                view(front + 26, 120),
                view(front, height),
                view(front - 8, Math.max(height + 70, 480)));
        sketch.curve(
                ink,
                AS_IS,
                view(front + 150, -150),
                view(front + 104, 120),
                view(front + 78, height),
                view(front + 62, Math.max(height + 78, 490)));
        sketch.label(Ink.FAINT, view(front + 66, 60), Anchor.MIDDLE, Rank.MINOR, "side.frontSeat", Map.of());
        if (known) {
            sketch.group(Part.GAP, () -> {
                sketch.line(Ink.COMPUTED, view(headEnd + 4, height), view(front, height));
                sketch.label(
                        Ink.COMPUTED,
                        view((front + headEnd) / 2, height + 14),
                        Anchor.MIDDLE,
                        Rank.MAIN,
                        "side.gap",
                        Map.of("gap", Argument.of(pose.gap().get())));
            });
        }
    }
}
