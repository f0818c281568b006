package app.layette.core.drawing;

import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.finding.Argument;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/** Collects the shapes of a view, moving each point by the pose of the part that is being drawn. */
final class Sketch {
    private final List<Shape> shapes = new ArrayList<>();

    List<Shape> shapes() {
        return shapes;
    }

    void polygon(Ink ink, UnaryOperator<Point> pose, Point... points) {
        shapes.add(new Shape.Outline(posed(pose, points), true, false, ink));
    }

    void blob(Ink ink, UnaryOperator<Point> pose, Point... points) {
        shapes.add(new Shape.Outline(posed(pose, points), true, true, ink));
    }

    void curve(Ink ink, UnaryOperator<Point> pose, Point... points) {
        shapes.add(new Shape.Outline(posed(pose, points), false, true, ink));
    }

    void line(Ink ink, Point from, Point to) {
        shapes.add(new Shape.Outline(List.of(from, to), false, false, ink));
    }

    void ribbon(Ink ink, double width, UnaryOperator<Point> pose, Point... points) {
        shapes.add(new Shape.Ribbon(posed(pose, points), width, ink));
    }

    void disc(Ink ink, Point centre, double radius) {
        shapes.add(new Shape.Disc(centre, radius, ink));
    }

    void arc(Ink ink, Point centre, double inner, double outer, double from, double to) {
        shapes.add(new Shape.Arc(centre, inner, outer, from, to, ink));
    }

    void label(Ink ink, Point at, Anchor anchor, Rank rank, String key, Map<String, Argument> arguments) {
        shapes.add(new Shape.Label(at, "drawing." + key, arguments, anchor, rank, ink));
    }

    private static List<Point> posed(UnaryOperator<Point> pose, Point... points) {
        return Arrays.stream(points).map(pose).toList();
    }
}
