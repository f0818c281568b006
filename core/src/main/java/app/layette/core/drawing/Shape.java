package app.layette.core.drawing;

import app.layette.core.finding.Argument;
import java.util.List;
import java.util.Map;

/** One mark of a view. */
public sealed interface Shape {
    Ink ink();

    /**
     * A line through points.
     *
     * @param closed whether the last point joins the first
     * @param smooth whether it runs through the points in curves
     */
    record Outline(List<Point> points, boolean closed, boolean smooth, Ink ink) implements Shape {
        public Outline {
            points = List.copyOf(points);
        }
    }

    /** A band of even width along a line: webbing, an arm. */
    record Ribbon(List<Point> points, double width, Ink ink) implements Shape {
        public Ribbon {
            points = List.copyOf(points);
        }
    }

    record Disc(Point centre, double radius, Ink ink) implements Shape {}

    /**
     * Part of a ring around a centre.
     *
     * @param fromDegrees start, as an angle from the vertical, positive to the left
     * @param toDegrees end
     */
    record Arc(Point centre, double inner, double outer, double fromDegrees, double toDegrees, Ink ink)
            implements Shape {}

    /**
     * Words beside a mark.
     *
     * @param key message key
     * @param arguments typed values of the message
     * @param anchor which part of the words stands at the point
     * @param rank how loud it is
     */
    record Label(Point at, String key, Map<String, Argument> arguments, Anchor anchor, Rank rank, Ink ink)
            implements Shape {}

    /** Which part of a label stands at its point. */
    enum Anchor {
        START,
        MIDDLE,
        END
    }

    /** How loud a label is. */
    enum Rank {
        MAIN,
        MINOR
    }
}
