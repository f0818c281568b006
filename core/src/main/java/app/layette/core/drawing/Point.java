package app.layette.core.drawing;

/** A point of a view in millimetres, x to the right and y upwards. */
public record Point(double x, double y) {
    public Point plus(Point other) {
        return new Point(x + other.x, y + other.y);
    }

    public Point times(double factor) {
        return new Point(x * factor, y * factor);
    }

    /** The point mirrored left to right. */
    public Point mirrored() {
        return new Point(-x, y);
    }
}
