package app.layette.core.drawing.side;

import app.layette.core.drawing.ChildFigure;
import app.layette.core.drawing.Ink;
import app.layette.core.drawing.Point;
import app.layette.core.drawing.Sketch;
import java.util.function.UnaryOperator;

/** The child in the shell. */
final class RiderFigure {
    private final Sketch sketch;
    private final ChildFigure child;
    private final RestraintFigure seat;
    private final UnaryOperator<Point> posed;

    RiderFigure(Sketch sketch, ChildFigure child, RestraintFigure seat) {
        this.sketch = sketch;
        this.child = child;
        this.seat = seat;
        this.posed = seat::carried;
    }

    private Point onShellBack(double up, double out) {
        return seat.onShellBack(up, out);
    }

    void draw() {
        double shoulder = child.shoulder();
        double head = child.headRadius();
        double neck = shoulder + 6;
        // far arm and leg first, then the body, the near ones last
        limb(Ink.CLOTH, 40, onShellBack(16, 62), new Point(118, 300), new Point(58, 268));
        sketch.blob(
                Ink.CLOTH,
                posed,
                onShellBack(-12, 10),
                onShellBack(shoulder * 0.45, 6),
                onShellBack(shoulder - 12, 12),
                onShellBack(shoulder + 4, 40),
                onShellBack(shoulder - 12, 84),
                onShellBack(shoulder * 0.6, 108),
                onShellBack(shoulder * 0.28, 112),
                onShellBack(-22, 96),
                onShellBack(-42, 54),
                onShellBack(-34, 20));
        Point skull = onShellBack(neck + head * 0.86, 16 + head);
        face(skull, head);
        limb(Ink.CLOTH, 46, onShellBack(-4, 66), new Point(96, 286), new Point(44, 232));
        limb(Ink.SKIN, 30, new Point(46, 236), new Point(26, 262));
        limb(
                Ink.CLOTH,
                34,
                onShellBack(shoulder - 26, 66),
                onShellBack(shoulder * 0.5, 124),
                onShellBack(shoulder * 0.42, 168));
        sketch.disc(Ink.SKIN, posed.apply(onShellBack(shoulder * 0.41, 178)), 17);
        sketch.ribbon(
                Ink.WEBBING,
                17,
                posed,
                onShellBack(shoulder - 8, 2),
                onShellBack(shoulder + 2, 34),
                onShellBack(shoulder - 20, 86),
                onShellBack(shoulder * 0.55, 112),
                onShellBack(26, 106));
    }

    private void limb(Ink ink, double width, Point... through) {
        sketch.ribbon(ink, width, posed, through);
    }

    /** The face looks away from the shell back; the nose goes under the head so that only its tip stands out. */
    private void face(Point skull, double head) {
        double t = seat.theta0().radians();
        Point out = new Point(-Math.cos(t), Math.sin(t));
        Point down = new Point(-Math.sin(t), -Math.cos(t));
        sketch.disc(
                Ink.SKIN, posed.apply(skull.plus(out.times(head * 0.97)).plus(down.times(head * 0.1))), head * 0.14);
        sketch.disc(Ink.SKIN, posed.apply(skull), head);
        sketch.curve(
                Ink.MEASURED,
                posed,
                skull.plus(out.times(head * 0.5)).plus(down.times(-head * 0.14)),
                skull.plus(out.times(head * 0.62)).plus(down.times(-head * 0.05)),
                skull.plus(out.times(head * 0.76)).plus(down.times(-head * 0.1)));
        sketch.curve(
                Ink.MEASURED,
                posed,
                skull.plus(out.times(head * 0.72)).plus(down.times(head * 0.5)),
                skull.plus(out.times(head * 0.62)).plus(down.times(head * 0.47)),
                skull.plus(out.times(head * 0.56)).plus(down.times(head * 0.4)));
        sketch.curve(
                Ink.MEASURED,
                posed,
                skull.plus(out.times(-head * 0.02)).plus(down.times(-head * 0.02)),
                skull.plus(out.times(-head * 0.22)).plus(down.times(head * 0.08)),
                skull.plus(out.times(-head * 0.08)).plus(down.times(head * 0.28)));
    }
}
