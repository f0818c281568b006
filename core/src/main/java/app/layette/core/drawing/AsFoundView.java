package app.layette.core.drawing;

import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.entry.Area;
import app.layette.core.finding.Argument;
import app.layette.core.misuse.AsFound;
import app.layette.core.misuse.Misuses;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/** A restraint as it stands in a car, from the side and not to scale: where to look, and where something was found. */
public final class AsFoundView {
    private static final UnaryOperator<Point> AS_IS = p -> p;
    private static final double SPOT = 24;

    /**
     * What stands in a spot.
     *
     * @param count how many things are wrong there; 0 for none
     */
    private record Mark(String key, int count) {}

    private final Map<Area, Mark> marks;
    private final boolean canTap;
    private final Sketch sketch = new Sketch();

    private AsFoundView(Map<Area, Mark> marks, boolean canTap) {
        this.marks = marks;
        this.canTap = canTap;
    }

    /** The walk round it: every area, what was found there, and where nobody has looked. Each leads to its catalogue. */
    public static Drawing asFound(AsFound asFound) {
        return of(new AsFoundView(
                marks(area -> {
                    int found = (int) asFound.found().stream()
                            .filter(each -> Misuses.of(each.misuse()).area() == area)
                            .count();
                    return switch (asFound.looks().get(area)) {
                        case NOT_LOOKED -> new Mark("notLooked", 0);
                        case NOTHING_WRONG -> new Mark("inOrder", 0);
                        case FOUND -> new Mark("marked", found);
                    };
                }),
                true));
    }

    /** Every area as it stands now, by what the looks made since say. */
    public static Drawing asItStands(AsFound asFound) {
        return of(new AsFoundView(
                marks(area -> {
                    AsFound.Stands now = Objects.requireNonNull(asFound.now().get(area));
                    return switch (now.standing()) {
                        case IN_ORDER -> new Mark("inOrder", 0);
                        case WRONG -> new Mark("marked", now.wrong());
                        case NOT_LOOKED -> new Mark("notLooked", 0);
                        case NOT_THERE -> new Mark("notThere", 0);
                    };
                }),
                false));
    }

    private static Map<Area, Mark> marks(Function<Area, Mark> mark) {
        Map<Area, Mark> marks = new EnumMap<>(Area.class);
        for (Area area : Area.values()) {
            marks.put(area, mark.apply(area));
        }
        return marks;
    }

    private static Drawing of(AsFoundView view) {
        view.car();
        view.restraint();
        view.spots();
        int count = view.marks.values().stream().mapToInt(Mark::count).sum();
        return new Drawing(
                "as-found",
                -220,
                -160,
                950,
                710,
                view.sketch.shapes(),
                "drawing.asFound.description",
                Map.of("count", Argument.of(count)));
    }

    private void car() {
        sketch.blob(
                Ink.UPHOLSTERY,
                AS_IS,
                new Point(-6, 66),
                new Point(-14, 20),
                new Point(10, -22),
                new Point(240, -6),
                new Point(470, 10),
                new Point(520, 50),
                new Point(480, 84),
                new Point(240, 76),
                new Point(20, 78));
        sketch.blob(
                Ink.UPHOLSTERY,
                AS_IS,
                new Point(488, 70),
                new Point(510, 22),
                new Point(560, 40),
                new Point(640, 270),
                new Point(706, 460),
                new Point(690, 506),
                new Point(640, 500),
                new Point(560, 270));
        sketch.curve(Ink.FRONT_SEAT, AS_IS, new Point(-150, -120), new Point(-190, 200), new Point(-150, 490));
        sketch.line(Ink.FAINT, new Point(-210, -130), new Point(700, -130));
    }

    private void restraint() {
        sketch.ribbon(Ink.WEBBING, 16, AS_IS, new Point(-44, 92), new Point(-66, -128));
        sketch.blob(
                Ink.BASE,
                AS_IS,
                new Point(-60, 86),
                new Point(200, 82),
                new Point(480, 96),
                new Point(490, 140),
                new Point(420, 160),
                new Point(160, 132),
                new Point(-50, 116));
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
        sketch.polygon(
                Ink.SHELL, AS_IS, new Point(306, 206), new Point(332, 208), new Point(311, 448), new Point(289, 448));
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
        sketch.ribbon(Ink.WEBBING, 12, AS_IS, new Point(390, 128), new Point(520, 100), new Point(560, 128));
    }

    private void spots() {
        spot(Area.CHILD, 150, 360, Beside.ABOVE_LEFT);
        spot(Area.HARNESS, 262, 318, Beside.RIGHT);
        spot(Area.HANDLE, 300, 452, Beside.ABOVE);
        spot(Area.LEVEL, 120, 108, Beside.RIGHT);
        spot(Area.BASE, 262, 112, Beside.RIGHT);
        spot(Area.BELT, 468, 168, Beside.RIGHT);
        spot(Area.ANCHORS, 540, 84, Beside.RIGHT);
        spot(Area.LEG, -56, -46, Beside.RIGHT);
        spot(Area.LABEL, 500, 262, Beside.RIGHT);
        spot(Area.PLACE, -176, 250, Beside.RIGHT);
    }

    /** Where there is room for its name. */
    private enum Beside {
        RIGHT(SPOT + 8, -9, Anchor.START),
        ABOVE(0, SPOT + 8, Anchor.MIDDLE),
        ABOVE_LEFT(-40, 96, Anchor.MIDDLE);

        private final double x;
        private final double y;
        private final Anchor anchor;

        Beside(double x, double y, Anchor anchor) {
            this.x = x;
            this.y = y;
            this.anchor = anchor;
        }
    }

    private void spot(Area area, double x, double y, Beside beside) {
        Mark mark = Objects.requireNonNull(marks.get(area));
        int found = mark.count();
        Runnable drawing = () -> {
            sketch.disc(found > 0 ? Ink.CHOSEN : Ink.TAP, new Point(x, y), SPOT);
            sketch.label(
                    found > 0 ? Ink.HANDS : Ink.FAINT,
                    new Point(x, y - 9),
                    Anchor.MIDDLE,
                    Rank.MAIN,
                    "asFound." + mark.key(),
                    Map.of("count", Argument.of(found)));
            sketch.label(
                    Ink.MEASURED,
                    new Point(x + beside.x, y + beside.y),
                    beside.anchor,
                    Rank.MAIN,
                    "asFound." + area,
                    Map.of());
        };
        if (canTap) {
            sketch.link("area-" + area, "asFound.tap." + area, Map.of(), drawing);
        } else {
            drawing.run();
        }
    }
}
