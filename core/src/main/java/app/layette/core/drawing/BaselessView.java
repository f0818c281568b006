package app.layette.core.drawing;

import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.finding.Argument;
import app.layette.core.ride.Routing;
import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * A carrier without its base from above, the front of the car at the top: where the lap part and the shoulder part of
 * the belt run. A picture to follow by eye, not to scale.
 */
public final class BaselessView {
    private static final UnaryOperator<Point> AS_IS = p -> p;

    private final Sketch sketch = new Sketch();

    private BaselessView() {}

    public static Drawing of(Routing routing) {
        BaselessView view = new BaselessView();
        view.drawSeat();
        if (routing == Routing.AMERICAN) {
            view.shoulderAlongSeatBack();
            view.drawCarrier();
        } else {
            view.drawCarrier();
            view.shoulderRoundShell();
        }
        view.lapOverGuides();
        view.hands(routing);
        view.name("ride.headEnd", new Point(0, 384), Anchor.MIDDLE);
        view.name("ride.buckle", new Point(-258, -40), Anchor.END);
        view.name("ride.upperGuide", new Point(258, -150), Anchor.START);
        view.name("ride.seatBack", new Point(0, -216), Anchor.MIDDLE);
        return new Drawing(
                "ride", -470, -250, 940, 680, view.sketch.shapes(), "drawing.ride.description." + routing, Map.of());
    }

    private void drawSeat() {
        sketch.blob(
                Ink.UPHOLSTERY,
                AS_IS,
                new Point(-240, 270),
                new Point(0, 290),
                new Point(240, 270),
                new Point(252, 60),
                new Point(244, -120),
                new Point(-244, -120),
                new Point(-252, 60));
        sketch.blob(
                Ink.UPHOLSTERY,
                AS_IS,
                new Point(-256, -124),
                new Point(0, -132),
                new Point(256, -124),
                new Point(262, -180),
                new Point(0, -190),
                new Point(-262, -180));
    }

    private void drawCarrier() {
        sketch.blob(
                Ink.SHELL,
                AS_IS,
                new Point(0, 316),
                new Point(104, 282),
                new Point(142, 150),
                new Point(128, -20),
                new Point(78, -108),
                new Point(-78, -108),
                new Point(-128, -20),
                new Point(-142, 150),
                new Point(-104, 282));
        sketch.disc(Ink.SKIN, new Point(0, 196), 58);
        sketch.blob(
                Ink.CLOTH,
                AS_IS,
                new Point(0, 140),
                new Point(66, 116),
                new Point(72, 10),
                new Point(40, -70),
                new Point(-40, -70),
                new Point(-72, 10),
                new Point(-66, 116));
    }

    private void lapOverGuides() {
        sketch.ribbon(
                Ink.WEBBING,
                22,
                AS_IS,
                new Point(236, -110),
                new Point(132, -8),
                new Point(0, 6),
                new Point(-132, -8),
                new Point(-232, -84));
        sketch.polygon(
                Ink.BUCKLE,
                AS_IS,
                new Point(-252, -100),
                new Point(-212, -84),
                new Point(-224, -48),
                new Point(-264, -64));
        for (int side : new int[] {-1, 1}) {
            sketch.disc(Ink.HANDS, new Point(side * 131, -6), 11);
        }
    }

    private void shoulderAlongSeatBack() {
        sketch.ribbon(Ink.WEBBING, 22, AS_IS, new Point(-232, -84), new Point(0, -124), new Point(240, -140));
    }

    private void shoulderRoundShell() {
        sketch.ribbon(
                Ink.WEBBING,
                22,
                AS_IS,
                new Point(-232, -84),
                new Point(-176, 120),
                new Point(-120, 306),
                new Point(0, 352),
                new Point(120, 306),
                new Point(176, 120),
                new Point(240, -140));
    }

    /** Where the hands are, by the number of the step; the first and the last step are about the child and the level. */
    private void hands(Routing routing) {
        if (routing == Routing.EUROPEAN) {
            hand(2, new Point(0, 6));
            hand(3, new Point(0, 352));
            hand(4, new Point(214, -60));
        } else {
            hand(2, new Point(-132, -8));
            hand(3, new Point(240, -140));
            hand(4, new Point(0, -56));
        }
    }

    private void hand(int step, Point at) {
        sketch.disc(Ink.HANDS, at, 24);
        sketch.label(
                Ink.HANDS,
                at.plus(new Point(0, -8)),
                Anchor.MIDDLE,
                Rank.MAIN,
                "ride.hand",
                Map.of("number", Argument.of(step)));
    }

    private void name(String key, Point at, Anchor anchor) {
        sketch.label(Ink.FAINT, at, anchor, Rank.MAIN, key, Map.of());
    }
}
