package app.layette.core.drawing;

import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.finding.Argument;
import app.layette.core.misuse.Misuses.Area;
import java.util.Map;
import java.util.function.UnaryOperator;

/** A restraint as it stands in a car, from the side and not to scale: where to look, and where something was found. */
public final class AsFoundView {
    private static final UnaryOperator<Point> AS_IS = p -> p;
    private static final double SPOT = 24;

    private final Map<Area, Integer> marks;
    private final boolean canTap;
    private final Sketch sketch = new Sketch();

    private AsFoundView(Map<Area, Integer> marks, boolean canTap) {
        this.marks = marks;
        this.canTap = canTap;
    }

    /**
     * The picture.
     *
     * @param marks how many things are marked in each area
     * @param canTap whether the areas lead to what may be found there
     */
    public static Drawing of(Map<Area, Integer> marks, boolean canTap) {
        AsFoundView view = new AsFoundView(marks, canTap);
        view.car();
        view.restraint();
        view.spots();
        int count = marks.values().stream().mapToInt(Integer::intValue).sum();
        return new Drawing(
                "as-found",
                -120,
                -170,
                960,
                720,
                view.sketch.shapes(),
                "drawing.asFound.description",
                Map.of("count", Argument.of(count)));
    }

    private void car() {
        sketch.blob(
                Ink.UPHOLSTERY,
                AS_IS,
                new Point(-20, 60),
                new Point(20, -20),
                new Point(460, 10),
                new Point(520, 40),
                new Point(500, 100),
                new Point(60, 70));
        sketch.blob(
                Ink.UPHOLSTERY,
                AS_IS,
                new Point(470, 70),
                new Point(540, 20),
                new Point(700, 440),
                new Point(660, 500),
                new Point(600, 480));
        sketch.curve(Ink.FRONT_SEAT, AS_IS, new Point(-40, -120), new Point(-90, 200), new Point(-60, 470));
        sketch.line(Ink.FAINT, new Point(-110, -130), new Point(700, -130));
    }

    private void restraint() {
        sketch.blob(
                Ink.BASE,
                AS_IS,
                new Point(100, 84),
                new Point(480, 96),
                new Point(490, 140),
                new Point(420, 160),
                new Point(160, 130));
        sketch.line(Ink.BASE, new Point(120, 84), new Point(96, -128));
        sketch.blob(
                Ink.SHELL,
                AS_IS,
                new Point(40, 440),
                new Point(10, 410),
                new Point(150, 190),
                new Point(300, 146),
                new Point(480, 200),
                new Point(540, 300),
                new Point(500, 290),
                new Point(380, 240),
                new Point(240, 250),
                new Point(120, 400));
        sketch.curve(Ink.SHELL, AS_IS, new Point(250, 240), new Point(300, 470), new Point(360, 250));
        sketch.disc(Ink.SKIN, new Point(150, 360), 46);
        sketch.blob(
                Ink.CLOTH,
                AS_IS,
                new Point(180, 330),
                new Point(230, 280),
                new Point(400, 260),
                new Point(420, 290),
                new Point(300, 330),
                new Point(220, 360));
        sketch.ribbon(Ink.WEBBING, 12, AS_IS, new Point(190, 350), new Point(250, 320), new Point(310, 270));
        sketch.ribbon(Ink.WEBBING, 12, AS_IS, new Point(380, 130), new Point(520, 100), new Point(560, 130));
    }

    private void spots() {
        spot(Area.CHILD, 130, 372);
        spot(Area.HARNESS, 262, 318);
        spot(Area.HANDLE, 300, 452);
        spot(Area.LEVEL, 215, 118);
        spot(Area.BASE, 330, 118);
        spot(Area.BELT, 468, 168);
        spot(Area.ANCHORS, 540, 84);
        spot(Area.LEG, 104, -40);
        spot(Area.LABEL, 430, 232);
        spot(Area.PLACE, -60, 260);
    }

    private void spot(Area area, double x, double y) {
        int found = marks.getOrDefault(area, 0);
        Runnable drawing = () -> {
            sketch.disc(found > 0 ? Ink.CHOSEN : Ink.TAP, new Point(x, y), SPOT);
            sketch.label(
                    found > 0 ? Ink.HANDS : Ink.FAINT,
                    new Point(x, y - 9),
                    Anchor.MIDDLE,
                    Rank.MAIN,
                    found > 0 ? "asFound.marked" : "asFound.spot",
                    Map.of("count", Argument.of(found)));
            sketch.label(
                    Ink.MEASURED, new Point(x, y + SPOT + 8), Anchor.MIDDLE, Rank.MAIN, "asFound." + area, Map.of());
        };
        if (canTap) {
            sketch.link("area-" + area, "asFound.tap." + area, Map.of(), drawing);
        } else {
            drawing.run();
        }
    }
}
