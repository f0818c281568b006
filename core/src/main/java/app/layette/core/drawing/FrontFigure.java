package app.layette.core.drawing;

import java.util.function.UnaryOperator;

/** A shell and the child in it from the front, heights along the shell back from the pad at the hips, in millimetres. */
final class FrontFigure {
    private static final UnaryOperator<Point> AS_IS = p -> p;

    private final Sketch sketch;

    FrontFigure(Sketch sketch) {
        this.sketch = sketch;
    }

    /**
     * The shell with its pad.
     *
     * @param top height of its head end
     */
    void shell(double top) {
        symmetric(
                Ink.SHELL,
                new Point(0, top + 14),
                new Point(96, top - 2),
                new Point(158, top - 84),
                new Point(186, top * 0.42),
                new Point(192, 40),
                new Point(176, -96),
                new Point(112, -140));
        symmetric(
                Ink.PAD,
                new Point(0, top - 14),
                new Point(80, top - 30),
                new Point(130, top - 104),
                new Point(150, top * 0.4),
                new Point(152, 30),
                new Point(138, -78),
                new Point(88, -112));
    }

    void child(ChildFigure child) {
        double shoulder = child.shoulder();
        double head = child.headRadius();
        for (int side : new int[] {-1, 1}) {
            sketch.ribbon(
                    Ink.CLOTH,
                    44,
                    AS_IS,
                    new Point(side * 30, 8),
                    new Point(side * 70, -38),
                    new Point(side * 52, -92));
            sketch.disc(Ink.SKIN, new Point(side * 50, -104), 20);
            sketch.ribbon(
                    Ink.CLOTH,
                    36,
                    AS_IS,
                    new Point(side * 58, shoulder - 30),
                    new Point(side * 92, shoulder * 0.56),
                    new Point(side * 74, shoulder * 0.26));
            sketch.disc(Ink.SKIN, new Point(side * 72, shoulder * 0.2), 18);
        }
        symmetric(
                Ink.CLOTH,
                new Point(0, shoulder + 2),
                new Point(46, shoulder),
                new Point(70, shoulder - 24),
                new Point(72, shoulder * 0.5),
                new Point(66, 20),
                new Point(34, -14));
        Point skull = new Point(0, child.crown() - head);
        sketch.disc(Ink.SKIN, skull, head);
        for (int side : new int[] {-1, 1}) {
            sketch.curve(
                    Ink.MEASURED,
                    AS_IS,
                    skull.plus(new Point(side * head * 0.2, -head * 0.06)),
                    skull.plus(new Point(side * head * 0.34, -head * 0.14)),
                    skull.plus(new Point(side * head * 0.48, -head * 0.06)));
        }
        sketch.curve(
                Ink.MEASURED,
                AS_IS,
                skull.plus(new Point(-head * 0.14, -head * 0.52)),
                skull.plus(new Point(0, -head * 0.57)),
                skull.plus(new Point(head * 0.14, -head * 0.52)));
    }

    void symmetric(Ink ink, Point... half) {
        Point[] all = new Point[half.length * 2 - (half[0].x() == 0 ? 1 : 0)];
        System.arraycopy(half, 0, all, 0, half.length);
        for (int i = half.length, j = half.length - 1; i < all.length; i++, j--) {
            all[i] = half[j].mirrored();
        }
        sketch.blob(ink, AS_IS, all);
    }
}
