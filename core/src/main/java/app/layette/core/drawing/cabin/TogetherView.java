package app.layette.core.drawing.cabin;

import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.Ink;
import app.layette.core.drawing.Point;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.drawing.Sketch;
import app.layette.core.drawing.cabin.CabinPlan.Place;
import app.layette.core.drawing.cabin.CabinPlan.Restraint;
import app.layette.core.finding.Argument;
import app.layette.core.placing.Clash;
import app.layette.core.placing.PlaceAnswer;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.VehicleSheet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Several riders in one car, to scale: each restraint and each person where an arrangement seats them. */
public final class TogetherView {
    /** What a target begins with that is somebody in the car. */
    public static final String RIDER = "rider/";
    /** What a target begins with that is a seat. */
    public static final String SEAT = "seat/";

    private static final double RING = 95;

    private TogetherView() {}

    /**
     * Somebody in a place.
     *
     * @param key by which a screen knows them
     * @param name as it is shown
     * @param answer about the restraint's place; empty for a person
     * @param seat the restraint; empty for a person
     */
    public record Seated(
            String key, String name, PositionId place, Optional<PlaceAnswer> answer, Optional<SeatSheet> seat) {}

    /**
     * Draws an arrangement, or a car in which there is none.
     *
     * @param riders in their places; none where there is no arrangement
     * @param clashes where it fails; none where there is an arrangement
     */
    public static Drawing of(VehicleSheet car, List<Seated> riders, List<Clash> clashes) {
        Sketch sketch = new Sketch();
        CabinPlan plan = CabinPlan.of(
                car,
                place -> riders.stream()
                        .filter(each -> each.place().equals(place))
                        .map(Seated::answer)
                        .flatMap(Optional::stream)
                        .toList());
        CarFigure figure = new CarFigure(sketch, car, plan, Optional.empty());
        figure.car();
        plan.places().forEach(figure::fittings);
        for (Place place : plan.places()) {
            if (!place.driver()) {
                seat(place, figure, sketch);
            }
        }
        for (Seated each : riders) {
            sketch.link(
                    RIDER + each.key(),
                    "cabin.rider",
                    Map.of("name", Argument.of(each.name()), "place", new Argument.OfKey("place." + each.place())),
                    () -> rider(each, plan, figure, sketch));
        }
        clashes.forEach(clash -> clash(clash, plan, figure, sketch));
        return new Drawing(
                "cabin",
                0,
                0,
                CarFigure.WIDTH,
                figure.height(),
                sketch.shapes(),
                riders.isEmpty() ? "drawing.together.none" : "drawing.together.description",
                Map.of("riders", Argument.of(riders.size())));
    }

    /** A seat on which somebody can be put down. */
    private static void seat(Place place, CarFigure figure, Sketch sketch) {
        sketch.link(
                SEAT + place.id(),
                "cabin.seat",
                Map.of("place", new Argument.OfKey("place." + place.id())),
                () -> figure.box(
                        Ink.TAP,
                        place.bight() - place.depth().length() - 40,
                        place.bight() + CabinPlan.BACK,
                        place.across().from() + 8,
                        place.across().to() - 8,
                        40));
    }

    private static void rider(Seated each, CabinPlan plan, CarFigure figure, Sketch sketch) {
        Place place = plan.place(each.place()).orElseThrow();
        Point at;
        if (each.answer().isPresent() && each.seat().isPresent()) {
            PlaceAnswer answer = each.answer().get();
            Restraint there = plan.restraint(answer, each.seat().get());
            boolean lies = answer.method().isFlat();
            figure.shell(Ink.SHELL, there);
            figure.child(answer, there);
            at = figure.at(there.along().from() + 40, there.across().middle() - (lies ? 0 : 150));
        } else {
            figure.person(place);
            at = figure.at(
                    place.bight() - place.depth().length(), place.across().from() + 70);
        }
        sketch.label(
                Ink.MEASURED, at, Anchor.START, Rank.MAIN, "cabin.named", Map.of("name", Argument.of(each.name())));
    }

    /** A ring round what two of them would need, and the word for it. */
    private static void clash(Clash clash, CabinPlan plan, CarFigure figure, Sketch sketch) {
        Optional<Place> where = plan.places().stream()
                .filter(place ->
                        clash.place().map(place.id()::equals).orElse(place.id().row() == clash.row()))
                .findFirst();
        where.ifPresent(place -> {
            boolean seat = clash.kind() == Clash.Kind.WIDTH || clash.kind() == Clash.Kind.REFUSED;
            double x = seat ? place.bight() - place.depth().length() / 2 : place.bight();
            double y = clash.kind() == Clash.Kind.WIDTH ? 0 : place.across().middle();
            Point centre = figure.at(x, y);
            double radius = RING * figure.scale();
            sketch.disc(Ink.HANDS, centre, radius);
            sketch.note(Ink.HANDS, centre.plus(new Point(0, 6)), radius * 2.6, "cabin.clash." + clash.kind(), Map.of());
        });
    }
}
