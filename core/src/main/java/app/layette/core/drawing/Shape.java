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

    /**
     * A few words that must fit: broken into lines, the first at the point.
     *
     * @param within how wide a line may be
     */
    record Note(Point at, String key, Map<String, Argument> arguments, double within, Ink ink) implements Shape {}

    /**
     * Shapes that move together when the restraint is set otherwise.
     *
     * @param part which part they are
     */
    record Group(Part part, List<Shape> shapes) implements Shape {
        public Group {
            shapes = List.copyOf(shapes);
        }

        @Override
        public Ink ink() {
            return Ink.FAINT;
        }
    }

    /**
     * Shapes that lead somewhere when they are tapped.
     *
     * @param target what they stand for; a screen knows where that is
     * @param key message key of what tapping them shows, for those who cannot see them
     * @param arguments typed values of the message
     */
    record Link(String target, String key, Map<String, Argument> arguments, List<Shape> shapes) implements Shape {
        public Link {
            shapes = List.copyOf(shapes);
        }

        @Override
        public Ink ink() {
            return Ink.FAINT;
        }
    }

    /** Parts of the side view that move. */
    enum Part {
        /** Base, carrier and child. */
        RESTRAINT,
        /** Carrier and child on the base, moved by a slide. */
        CARRIER,
        /** Foot, dial foot or roll under the foot end. */
        LIFT,
        /** What the lift is called. */
        LIFT_SAYS,
        NEEDLE,
        /** The angle in words. */
        NEEDLE_SAYS,
        FAN_LOW,
        FAN_HIGH,
        /** What moves in the seat's own indicator. */
        MARK,
        GAP,
        /** The shoulder line of the harness view. */
        SHOULDER,
        /** Stretches of a belt, in the order in which hands lay them. */
        BELT_1,
        BELT_2,
        BELT_3,
        BELT_4
    }

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
