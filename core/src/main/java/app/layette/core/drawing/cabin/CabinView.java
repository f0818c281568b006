package app.layette.core.drawing.cabin;

import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.Ink;
import app.layette.core.drawing.Point;
import app.layette.core.drawing.Shape;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.drawing.Sketch;
import app.layette.core.drawing.cabin.CabinPlan.Place;
import app.layette.core.drawing.cabin.CabinPlan.Restraint;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.finding.Argument;
import app.layette.core.measure.Length;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.PlaceAnswer;
import app.layette.core.placing.Telling;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.core.vehicle.VehicleSheetParts;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The car from above, to scale, its front to the left as in the side view, so that its right side is above. The restraint
 * stands where it is or would first be put; every other place shows it dashed, with one mark and one reason.
 */
public final class CabinView {
    private static final double MARK = 13;
    private static final String PLACE = "place";

    private final Sketch sketch = new Sketch();
    private final VehicleSheet car;
    private final CabinAnswers answers;
    private final Optional<SeatSheet> seat;
    private final Situation situation;
    private final CabinPlan plan;
    private final Optional<PlaceAnswer> shown;
    private final boolean isChosen;
    private final CarFigure figure;
    /** Where something that takes two places is drawn already. */
    private final Set<CabinPlan.Span> lying = new HashSet<>();

    private CabinView(VehicleSheet car, CabinAnswers answers, Situation situation, String picked) {
        this.car = car;
        this.answers = answers;
        this.seat = situation.seat();
        this.situation = situation;
        this.plan = CabinPlan.of(car, answers::at);
        Optional<PlaceAnswer> chosen = situation
                .placed()
                .flatMap(placed ->
                        answers.about(placed.value().position(), placed.value().method()));
        this.shown = answers.answers().stream()
                .filter(each -> picked.equals(each.place() + "/" + each.method()))
                .findFirst()
                .or(() -> chosen)
                .or(answers::first);
        this.isChosen = chosen.isPresent() && chosen.equals(shown);
        this.figure = new CarFigure(sketch, car, plan, seat);
    }

    /** Draws the car of a fitting; an empty one while none is chosen. */
    public static Drawing of(Situation situation, CabinAnswers answers) {
        return of(situation, answers, "");
    }

    /**
     * Draws the car of a fitting.
     *
     * @param picked place and method that are tried, {@code 2-RIGHT/BASE_BELT}; empty for the chosen or else the best
     */
    public static Drawing of(Situation situation, CabinAnswers answers, String picked) {
        Optional<VehicleSheet> known = situation.car();
        // No car yet is drawn as any car: nothing of it is known.
        CabinView view = new CabinView(known.orElseGet(AnyCar::sheet), answers, situation, picked);
        double height = view.figure.height();
        view.draw(height, known.isPresent());
        return new Drawing(
                "cabin",
                0,
                0,
                CarFigure.WIDTH,
                height,
                view.sketch.shapes(),
                "drawing.cabin.description",
                Map.of(
                        "places",
                        Argument.of(known.map(each -> each.positions().size()).orElse(0))));
    }

    private void draw(double height, boolean isKnown) {
        figure.car();
        if (!isKnown) {
            sketch.label(
                    Ink.UNKNOWN, figure.at(plan.length() / 2, 0), Anchor.MIDDLE, Rank.MAIN, "cabin.noCar", Map.of());
            return;
        }
        for (SeatingPosition position : car.positions()) {
            plan.place(position.id()).ifPresent(this::answer);
        }
        neighbours();
        shown.ifPresent(this::restraint);
        plan.places().forEach(figure::fittings);
        if (situation.ended().isEmpty() && seat.isPresent()) {
            sketch.label(
                    Ink.FAINT,
                    new Point(CarFigure.MARGIN, car.kerbSide() == Side.LEFT ? height - 30 : 24),
                    Anchor.START,
                    Rank.MINOR,
                    "cabin.drag",
                    Map.of());
        }
    }

    /** What a place comes to: the best of its ways, dashed, with its one reason. */
    private void answer(Place place) {
        Optional<PlaceAnswer> best = answers.at(place.id()).stream().findFirst();
        if (best.isEmpty() || seat.isEmpty()) {
            sketch.label(
                    Ink.FAINT,
                    figure.at(
                            place.bight() - place.depth().length() + 20,
                            place.across().middle()),
                    Anchor.START,
                    Rank.MINOR,
                    "cabin.place",
                    Map.of(PLACE, new Argument.OfKey("place." + place.id())));
            return;
        }
        PlaceAnswer answer =
                shown.filter(each -> each.place().equals(place.id())).orElse(best.get());
        Restraint there = plan.restraint(answer, seat.get());
        boolean isShown = shown.filter(each -> each.place().equals(place.id())).isPresent();
        Map<String, Argument> words = Map.of(
                PLACE,
                new Argument.OfKey("place." + place.id()),
                "method",
                new Argument.OfKey("method." + answer.method()),
                "answer",
                new Argument.OfKey("permission." + answer.answer()));
        // What takes two places is drawn once, and tapped at the place whose belt it would take.
        boolean two = answer.method().takesTwoPlaces();
        if (two && lying.add(there.across())) {
            figure.shell(isKnown(there) ? Ink.COMPUTED : Ink.UNKNOWN, there);
        }
        sketch.link(answer.place() + "/" + answer.method(), "cabin.answer", words, () -> {
            if (two) {
                figure.box(
                        Ink.TAP,
                        there.along().from(),
                        there.along().to(),
                        place.across().from() + 20,
                        place.across().to() - 20,
                        40);
            } else {
                figure.shell(isKnown(there) ? Ink.COMPUTED : Ink.UNKNOWN, there);
            }
            if (!isShown) {
                reason(
                        answer,
                        there,
                        two ? place.across().middle() : there.across().middle());
            }
        });
    }

    private static boolean isKnown(Restraint there) {
        return there.along().known() && there.across().known();
    }

    private void reason(PlaceAnswer answer, Restraint there, double across) {
        Point middle = figure.at(there.along().middle(), across);
        sign(answer, middle.plus(new Point(0, 26)));
        double within = there.along().length() * figure.scale() - 36;
        Telling telling = answer.telling();
        sketch.note(
                answer.answer() == Permission.ALLOWED ? Ink.COMPUTED : Ink.HANDS,
                middle.plus(new Point(0, -22)),
                within,
                telling.key(),
                telling.arguments());
    }

    /** A tick, a dot beside it for a doubt, a question in a ring, a bar in a square. */
    private void sign(PlaceAnswer answer, Point at) {
        Permission permission = answer.answer();
        if (permission == Permission.ALLOWED) {
            sketch.line(Ink.MEASURED, at.plus(new Point(-11, 0)), at.plus(new Point(-3, -9)));
            sketch.line(Ink.MEASURED, at.plus(new Point(-3, -9)), at.plus(new Point(13, 11)));
            if (answer.doubts() > 0) {
                sketch.disc(Ink.COMPUTED, at.plus(new Point(16, -9)), 5);
            }
        } else if (permission == Permission.NOT_KNOWN) {
            sketch.disc(Ink.UNKNOWN, at, MARK + 2);
            sketch.label(Ink.UNKNOWN, at.plus(new Point(0, -9)), Anchor.MIDDLE, Rank.MAIN, "cabin.unknown", Map.of());
        } else {
            sketch.polygon(
                    Ink.STOP,
                    CarFigure.AS_IS,
                    at.plus(new Point(-MARK, MARK)),
                    at.plus(new Point(MARK, MARK)),
                    at.plus(new Point(MARK, -MARK)),
                    at.plus(new Point(-MARK, -MARK)));
            sketch.line(Ink.STOP_BAR, at.plus(new Point(-7, 0)), at.plus(new Point(7, 0)));
        }
    }

    /** The other seats of this fitting stand where they are. */
    private void neighbours() {
        for (SeatingPosition position : car.positions()) {
            boolean taken = situation.neighbours().standing().stream()
                    .anyMatch(each -> each.method().takes(each.place()).contains(position.id()));
            Optional<PlaceAnswer> any = answers.at(position.id()).stream().findFirst();
            if (taken && any.isPresent() && seat.isPresent()) {
                Restraint there = plan.restraint(any.get(), seat.get());
                figure.shell(Ink.FRONT_SEAT, there);
                sketch.note(
                        Ink.FAINT,
                        figure.at(there.along().middle(), there.across().middle()),
                        there.along().length() * figure.scale() - 30,
                        "cabin.neighbour",
                        Map.of());
            }
        }
    }

    /** The restraint itself with the child in it, its gap to the front seat and where it stands out over its place. */
    private void restraint(PlaceAnswer answer) {
        Place place = plan.place(answer.place()).orElseThrow();
        Restraint there = plan.restraint(answer, seat.orElseThrow());
        figure.door(place);
        gap(place, there);
        over(place, there);
        sketch.group(Shape.Part.RESTRAINT, () -> {
            figure.shell(isChosen ? Ink.SHELL : Ink.CHOSEN, there);
            figure.child(answer, there);
        });
    }

    /** The planner's gap, drawn as long as it is, between the head end and what stands in front. */
    private void gap(Place place, Restraint there) {
        there.gap().ifPresent(gap -> {
            double plane = place.bight() - place.ahead().length();
            double y = there.across().from() + 40;
            sketch.line(
                    Ink.FAINT,
                    figure.at(plane, place.across().from() + 30),
                    figure.at(plane, place.across().to() - 30));
            sketch.group(Shape.Part.GAP, () -> {
                sketch.line(
                        Ink.COMPUTED,
                        figure.at(plane, y),
                        figure.at(there.along().from(), y));
                sketch.line(
                        Ink.COMPUTED,
                        figure.at(plane, y).plus(new Point(0, -11)),
                        figure.at(plane, y).plus(new Point(0, 11)));
                sketch.line(
                        Ink.COMPUTED,
                        figure.at(there.along().from(), y).plus(new Point(0, -11)),
                        figure.at(there.along().from(), y).plus(new Point(0, 11)));
                sketch.label(
                        Ink.COMPUTED,
                        figure.at((plane + there.along().from()) / 2, y).plus(new Point(0, 16)),
                        Anchor.MIDDLE,
                        Rank.MAIN,
                        "cabin.gapLine",
                        Map.of("gap", Argument.of(gap)));
            });
        });
    }

    /** How far it stands out over its place, on the side of a neighbour. */
    private void over(Place place, Restraint there) {
        double over = there.over(place);
        if (over <= 0) {
            return;
        }
        for (double side : new double[] {-1, 1}) {
            double edge = side < 0 ? place.across().from() : place.across().to();
            double out = edge + side * over;
            double x = there.along().to() - 60;
            sketch.line(Ink.HANDS, figure.at(x, edge), figure.at(x, out));
            sketch.line(Ink.HANDS, figure.at(x - 16, out), figure.at(x + 16, out));
        }
        sketch.label(
                Ink.HANDS,
                figure.at(there.along().to() - 40, place.across().to() + over).plus(new Point(0, 10)),
                Anchor.END,
                Rank.MINOR,
                "cabin.over",
                Map.of("over", Argument.of(Length.ofMillimetres(over))));
    }

    /** A car of which nobody has said anything: two rows, five places. */
    private static final class AnyCar {
        static VehicleSheet sheet() {
            List<SeatingPosition> places = new ArrayList<>();
            places.add(SeatingPosition.bare(new PositionId(1, Side.RIGHT)));
            for (Side side : Side.values()) {
                places.add(SeatingPosition.bare(new PositionId(2, side)));
            }
            return VehicleSheetParts.builder()
                    .maker("")
                    .name("")
                    .positions(places)
                    .anchorLimit(Evidence.notLooked())
                    .build();
        }
    }
}
