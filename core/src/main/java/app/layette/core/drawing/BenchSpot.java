package app.layette.core.drawing;

import java.util.function.UnaryOperator;

/** Where hands or eyes take hold on the practice bench, with a sign of what they do there. */
public final class BenchSpot {
    private static final UnaryOperator<Point> AS_IS = p -> p;
    private static final double RADIUS = 27;
    private static final double HALF = 15;

    private BenchSpot() {}

    /** A ring with an arrow down to press, one to and fro to tug, an eye to look, two fingers to pinch. */
    public static void draw(Sketch sketch, String target, Point at) {
        sketch.disc(Ink.TAP, at, RADIUS);
        switch (target.substring(0, target.indexOf('/'))) {
            case "PRESS" -> {
                sketch.line(Ink.HANDS, at.plus(new Point(0, HALF)), at.plus(new Point(0, -HALF)));
                sketch.polygon(
                        Ink.HANDS,
                        AS_IS,
                        at.plus(new Point(-8, -5)),
                        at.plus(new Point(8, -5)),
                        at.plus(new Point(0, -HALF - 2)));
            }
            case "TUG" -> {
                sketch.line(Ink.HANDS, at.plus(new Point(-HALF, 0)), at.plus(new Point(HALF, 0)));
                for (int side : new int[] {-1, 1}) {
                    sketch.polygon(
                            Ink.HANDS,
                            AS_IS,
                            at.plus(new Point(side * 8, -7)),
                            at.plus(new Point(side * 8, 7)),
                            at.plus(new Point(side * (HALF + 3), 0)));
                }
            }
            case "PINCH" -> {
                for (int side : new int[] {-1, 1}) {
                    sketch.line(Ink.HANDS, at.plus(new Point(side * 13, 12)), at.plus(new Point(side * 2, -10)));
                }
            }
            case "THREAD" -> sketch.line(Ink.HANDS, at.plus(new Point(-HALF, 0)), at.plus(new Point(HALF, 0)));
            default -> {
                sketch.curve(
                        Ink.COMPUTED,
                        AS_IS,
                        at.plus(new Point(-HALF, 0)),
                        at.plus(new Point(0, 9)),
                        at.plus(new Point(HALF, 0)),
                        at.plus(new Point(0, -9)),
                        at.plus(new Point(-HALF, 0)));
                sketch.disc(Ink.COMPUTED, at, 4);
            }
        }
    }
}
