package app.layette.core.drawing.side;

import app.layette.core.drawing.Ink;
import app.layette.core.drawing.Point;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.drawing.Sketch;
import app.layette.core.entry.Fact.HandleSet;
import app.layette.core.measure.Angle;
import app.layette.core.seat.HandlePosition;
import java.util.Map;
import java.util.Optional;

/** Base, shell and handle at one pose. */
final class RestraintFigure {
    /** Where the child's hips rest, in the base frame. */
    static final Point HIPS = new Point(258, 150);

    /** How much lower a shell stands without a base under it. */
    private static final double WITHOUT_BASE_MM = 90;

    private final Sketch sketch;
    private final Setup setup;
    private final Pose pose;
    private final double shellTop;

    RestraintFigure(Sketch sketch, Setup setup, Pose pose) {
        this.sketch = sketch;
        this.setup = setup;
        this.pose = pose;
        this.shellTop = setup.shellTop();
    }

    Angle theta0() {
        return setup.theta0();
    }

    /** From the base frame to the view. */
    Point posed(Point p) {
        return pose.base(p, setup.slope());
    }

    /** From the base frame to the view, for what a slide moves. */
    Point carried(Point p) {
        Point standing = setup.hasBase() ? p : new Point(p.x(), p.y() - WITHOUT_BASE_MM);
        return posed(Pose.turned(standing, setup.pivot(), -pose.slide().radians()));
    }

    /** A point along the shell back: {@code up} from the hips, {@code out} from the pad towards the child. */
    Point onShellBack(double up, double out) {
        double t = theta0().radians();
        return new Point(
                HIPS.x() + up * Math.sin(t) - out * Math.cos(t), HIPS.y() + up * Math.cos(t) + out * Math.sin(t));
    }

    void drawBase() {
        double contact = setup.contact();
        sketch.blob(
                Ink.BASE,
                this::posed,
                new Point(4, 0),
                new Point(contact * 0.5, 3),
                new Point(contact - 4, 0),
                new Point(contact + 14, 30),
                new Point(contact - 26, 84),
                new Point(contact * 0.5, 98),
                new Point(46, 92),
                new Point(-8, 44));
    }

    void drawShell() {
        sketch.blob(
                Ink.SHELL,
                this::carried,
                new Point(-48, 332),
                new Point(-66, 312),
                new Point(-52, 210),
                new Point(-6, 132),
                new Point(70, 100),
                new Point(210, 92),
                new Point(312, 108),
                onShellBack(60, -52),
                onShellBack(220, -48),
                onShellBack(shellTop - 60, -43),
                onShellBack(shellTop - 8, -38),
                onShellBack(shellTop + 10, -17),
                onShellBack(shellTop - 8, 2),
                onShellBack(shellTop - 60, 0),
                onShellBack(220, 0),
                onShellBack(70, 0),
                new Point(HIPS.x() - 12, HIPS.y() + 8),
                new Point(200, 158),
                new Point(96, 172),
                new Point(20, 236));
        // The near side wall, so that the shell reads as a tub around the child.
        sketch.curve(
                Ink.PAD,
                this::carried,
                onShellBack(shellTop * 0.86, 8),
                onShellBack(shellTop * 0.66, 70),
                onShellBack(shellTop * 0.45, 112),
                onShellBack(shellTop * 0.22, 108),
                new Point(60, 262),
                new Point(-34, 318));
    }

    void drawHandle() {
        Optional<HandlePosition> set = setup.situation()
                .newest(HandleSet.class)
                .map(stamped -> stamped.value().position());
        Point pivot = onShellBack(shellTop * 0.36, 104);
        double towardsHead = set.map(RestraintFigure::handleAngle).orElse(24.0);
        double length = shellTop * 0.66;
        double t = Math.toRadians(towardsHead);
        Point grip = new Point(pivot.x() + length * Math.sin(t), pivot.y() + length * Math.cos(t));
        if (set.isPresent()) {
            sketch.ribbon(Ink.SHELL, 22, this::carried, pivot, grip);
            sketch.disc(Ink.SHELL, carried(pivot), 17);
        } else {
            sketch.line(Ink.UNKNOWN, carried(pivot), carried(grip));
            sketch.label(
                    Ink.UNKNOWN,
                    carried(grip).plus(new Point(0, 16)),
                    Anchor.MIDDLE,
                    Rank.MAIN,
                    "side.handleUnknown",
                    Map.of());
        }
    }

    private static double handleAngle(HandlePosition position) {
        return switch (position) {
            case UP -> 4;
            case TOWARDS_HEAD_END -> 62;
            case TOWARDS_FOOT_END -> -58;
            case DOWN -> -108;
        };
    }
}
