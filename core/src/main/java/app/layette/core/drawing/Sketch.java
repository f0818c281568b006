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
public final class Sketch {
    private final List<Shape> shapes = new ArrayList<>();

    public List<Shape> shapes() {
        return shapes;
    }

    /** Everything drawn meanwhile moves together. */
    public void group(Shape.Part part, Runnable drawing) {
        int before = shapes.size();
        drawing.run();
        List<Shape> moved = new ArrayList<>(shapes.subList(before, shapes.size()));
        shapes.subList(before, shapes.size()).clear();
        shapes.add(new Shape.Group(part, moved));
    }

    /** Everything drawn meanwhile leads to one target. */
    public void link(String target, String key, Map<String, Argument> arguments, Runnable drawing) {
        int before = shapes.size();
        drawing.run();
        List<Shape> linked = new ArrayList<>(shapes.subList(before, shapes.size()));
        shapes.subList(before, shapes.size()).clear();
        shapes.add(new Shape.Link(target, "drawing." + key, arguments, linked));
    }

    public void polygon(Ink ink, UnaryOperator<Point> pose, Point... points) {
        shapes.add(new Shape.Outline(posed(pose, points), true, false, ink));
    }

    public void blob(Ink ink, UnaryOperator<Point> pose, Point... points) {
        shapes.add(new Shape.Outline(posed(pose, points), true, true, ink));
    }

    public void curve(Ink ink, UnaryOperator<Point> pose, Point... points) {
        shapes.add(new Shape.Outline(posed(pose, points), false, true, ink));
    }

    public void line(Ink ink, Point from, Point to) {
        shapes.add(new Shape.Outline(List.of(from, to), false, false, ink));
    }

    public void ribbon(Ink ink, double width, UnaryOperator<Point> pose, Point... points) {
        shapes.add(new Shape.Ribbon(posed(pose, points), width, ink));
    }

    public void disc(Ink ink, Point centre, double radius) {
        shapes.add(new Shape.Disc(centre, radius, ink));
    }

    public void arc(Ink ink, Point centre, double inner, double outer, double from, double to) {
        shapes.add(new Shape.Arc(centre, inner, outer, from, to, ink));
    }

    public void label(Ink ink, Point at, Anchor anchor, Rank rank, String key, Map<String, Argument> arguments) {
        shapes.add(new Shape.Label(at, "drawing." + key, arguments, anchor, rank, ink));
    }

    /** A few words, broken into lines that are no wider than {@code within}. */
    public void note(Ink ink, Point at, double within, String key, Map<String, Argument> arguments) {
        shapes.add(new Shape.Note(at, "drawing." + key, arguments, within, ink));
    }

    private static List<Point> posed(UnaryOperator<Point> pose, Point... points) {
        return Arrays.stream(points).map(pose).toList();
    }
}
