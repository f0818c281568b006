package app.layette.core.drawing.cabin;

import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.Ink;
import app.layette.core.drawing.Point;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.drawing.Sketch;
import app.layette.core.drawing.cabin.CabinPlan.Place;
import app.layette.core.finding.Argument;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.VehicleSheet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A car from above while its sheet is written, to scale: every place is a link to what is said of it, with how much of
 * that is known. What nobody looked at stands at a usual size, dotted.
 */
public final class CarSheetView {
    private static final double TICK = 12;

    private final Sketch sketch = new Sketch();
    private final CabinPlan plan;
    private final CarFigure figure;

    /**
     * How much is known of a place.
     *
     * @param known fields that were looked at
     * @param of all its fields
     * @param here whether it is the one that is being written
     */
    public record Mark(PositionId place, int known, int of, boolean here) {}

    private CarSheetView(VehicleSheet car) {
        this.plan = CabinPlan.of(car, place -> List.of());
        this.figure = new CarFigure(sketch, car, plan, Optional.empty());
    }

    /** Draws a car with a mark at each of its places. */
    public static Drawing of(VehicleSheet car, List<Mark> marks) {
        CarSheetView view = new CarSheetView(car);
        view.figure.car();
        marks.forEach(view::mark);
        return new Drawing(
                "car-sheet",
                0,
                0,
                CarFigure.WIDTH,
                view.figure.height(),
                view.sketch.shapes(),
                "drawing.carSheet.description",
                Map.of("places", Argument.of(car.positions().size())));
    }

    private void mark(Mark mark) {
        Place place = plan.place(mark.place()).orElseThrow();
        sketch.link(
                mark.place().toString(),
                "carSheet.place",
                Map.of(
                        "place",
                        new Argument.OfKey("place." + mark.place()),
                        "known",
                        Argument.of(mark.known()),
                        "of",
                        Argument.of(mark.of())),
                () -> place(place, mark));
        if (mark.here()) {
            figure.fittings(place);
            dimensions(place);
        }
    }

    private void place(Place place, Mark mark) {
        double front = place.bight() - place.depth().length();
        surface(place, mark.here() ? Ink.CHOSEN : Ink.TAP, front);
        surface(place, mark.known() == mark.of() ? Ink.MEASURED : Ink.UNKNOWN, front);
        sketch.label(
                mark.here() ? Ink.MEASURED : Ink.FAINT,
                figure.at(front + 60, place.across().middle()).plus(new Point(0, 16)),
                Anchor.START,
                Rank.MAIN,
                "carSheet.counts",
                Map.of("known", Argument.of(mark.known()), "of", Argument.of(mark.of())));
    }

    private void surface(Place place, Ink ink, double front) {
        figure.box(
                ink,
                front + 14,
                place.bight() - 14,
                place.across().from() + 20,
                place.across().to() - 20,
                30);
    }

    /** Width and depth of the cushion, with a question mark where nobody measured. */
    private void dimensions(Place place) {
        double front = place.bight() - place.depth().length();
        boolean deep = place.depth().known();
        boolean wide = place.across().known();
        double below = place.across().to() - 6;
        line(deep, figure.at(front, below), figure.at(place.bight(), below), true);
        line(
                wide,
                figure.at(place.bight() - 6, place.across().from()),
                figure.at(place.bight() - 6, place.across().to()),
                false);
        number(
                deep,
                place.depth().length(),
                figure.at((front + place.bight()) / 2, below).plus(new Point(0, 52)));
        number(
                wide,
                place.across().length(),
                figure.at(place.bight() - 6, place.across().middle()).plus(new Point(96, 0)));
    }

    private void line(boolean known, Point from, Point to, boolean along) {
        Ink ink = known ? Ink.MEASURED : Ink.UNKNOWN;
        sketch.line(ink, from, to);
        for (Point end : List.of(from, to)) {
            Point tick = along ? new Point(0, TICK) : new Point(TICK, 0);
            sketch.line(ink, end.plus(new Point(-tick.x(), -tick.y())), end.plus(tick));
        }
    }

    private void number(boolean known, double millimetres, Point at) {
        sketch.label(
                known ? Ink.MEASURED : Ink.UNKNOWN,
                at,
                Anchor.MIDDLE,
                Rank.MINOR,
                known ? "carSheet.length" : "carSheet.unknown",
                known
                        ? Map.of("length", Argument.of(app.layette.core.measure.Length.ofMillimetres(millimetres)))
                        : Map.of());
    }
}
