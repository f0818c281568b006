package app.layette.core.drawing.cabin;

import app.layette.core.drawing.Ink;
import app.layette.core.drawing.Point;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.drawing.Sketch;
import app.layette.core.drawing.cabin.CabinPlan.Place;
import app.layette.core.drawing.cabin.CabinPlan.Restraint;
import app.layette.core.measure.Length;
import app.layette.core.placing.PlaceAnswer;
import app.layette.core.seat.LegUse;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.Airbag;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Draws a car in plan and what stands in it, at the scale at which it fills the width of a view. */
final class CarFigure {
    static final double WIDTH = 1400;
    static final double KERB = 96;
    static final double MARGIN = 26;
    private static final double USUAL_ANCHORS = 280;
    static final UnaryOperator<Point> AS_IS = p -> p;

    private final Sketch sketch;
    private final VehicleSheet car;
    private final CabinPlan plan;
    private final Optional<SeatSheet> seat;
    private final double scale;

    CarFigure(Sketch sketch, VehicleSheet car, CabinPlan plan, Optional<SeatSheet> seat) {
        this.sketch = sketch;
        this.car = car;
        this.plan = plan;
        this.seat = seat;
        this.scale = (WIDTH - 2 * MARGIN) / plan.length();
    }

    /** Height of the view. */
    double height() {
        return 2 * plan.halfWidth() * scale + 2 * KERB;
    }

    /** Units of the view to a millimetre of the car. */
    double scale() {
        return scale;
    }

    /** The car with its seats; what is fixed in it comes last, on top. */
    void car() {
        body();
        kerb(height());
        plan.places().forEach(this::seat);
    }

    private double middle() {
        return plan.halfWidth() * scale + KERB;
    }

    Point at(double along, double across) {
        return new Point(MARGIN + along * scale, middle() + across * scale);
    }

    private void body() {
        double half = plan.halfWidth();
        double end = plan.length();
        double[][] upper = {
            {-34, half - 520},
            {-22, half - 330},
            {30, half - 190},
            {120, half - 96},
            {240, half - 44},
            {400, half - 14},
            {640, half},
            {end / 2 + 300, half + 2},
            {end - 300, half},
            {end - 150, half - 14},
            {end - 60, half - 62},
            {end - 14, half - 170},
            {end + 2, half - 380}
        };
        Point[] outline = new Point[upper.length * 2];
        for (int i = 0; i < upper.length; i++) {
            outline[i] = at(upper[i][0], upper[i][1]);
            outline[outline.length - 1 - i] = at(upper[i][0], -upper[i][1]);
        }
        sketch.blob(Ink.UPHOLSTERY, AS_IS, outline);
        // The dashboard.
        sketch.curve(
                Ink.FAINT,
                AS_IS,
                at(150, half - 90),
                at(110, half / 2),
                at(104, 0),
                at(110, -half / 2),
                at(150, 90 - half));
    }

    private void kerb(double height) {
        Optional.ofNullable(car.kerbSide()).ifPresent(side -> {
            double y = side == Side.RIGHT ? height - 20 : 20;
            for (double x = MARGIN; x < WIDTH - MARGIN; x += 16) {
                sketch.line(Ink.FAINT, new Point(x, y - 7), new Point(x, y + 7));
            }
            sketch.label(
                    Ink.FAINT,
                    new Point(WIDTH - MARGIN, side == Side.RIGHT ? height - 52 : 40),
                    Anchor.END,
                    Rank.MINOR,
                    "cabin.kerb",
                    Map.of());
        });
    }

    private void seat(Place place) {
        double from = place.across().from() + 8;
        double to = place.across().to() - 8;
        double front = place.bight() - place.depth().length();
        boolean known = place.across().known() || place.driver();
        box(known ? Ink.FRONT_SEAT : Ink.UNKNOWN, front, place.bight() + 20, from, to, 34);
        box(Ink.UPHOLSTERY, place.bight(), place.bight() + CabinPlan.BACK - 8, from + 6, to - 6, 40);
        if (place.driver()) {
            person(place);
            double y = place.across().middle();
            sketch.ribbon(
                    Ink.FRONT_SEAT, 12, AS_IS, at(front - 40, y - 160), at(front - 70, y), at(front - 40, y + 160));
            sketch.label(Ink.FAINT, at(front + 14, from + 24), Anchor.START, Rank.MINOR, "cabin.driver", Map.of());
        }
    }

    void box(Ink ink, double fromX, double toX, double fromY, double toY, double corner) {
        double c = Math.min(corner, Math.min(toX - fromX, toY - fromY) / 3);
        sketch.polygon(
                ink,
                AS_IS,
                at(fromX + c, fromY),
                at(toX - c, fromY),
                at(toX - c / 4, fromY + c / 4),
                at(toX, fromY + c),
                at(toX, toY - c),
                at(toX - c / 4, toY - c / 4),
                at(toX - c, toY),
                at(fromX + c, toY),
                at(fromX + c / 4, toY - c / 4),
                at(fromX, toY - c),
                at(fromX, fromY + c),
                at(fromX + c / 4, fromY + c / 4));
    }

    /** Anchors in the bight, buckle, belt, airbag, and the floor that a leg would stand on. */
    void fittings(Place place) {
        if (place.driver()) {
            return;
        }
        SeatingPosition position = place.position();
        anchors(place);
        belt(place);
        position.buckleSide()
                .value()
                .ifPresent(side -> sketch.disc(
                        Ink.BUCKLE,
                        at(
                                place.bight() - 30,
                                side == Side.RIGHT
                                        ? place.across().to() - 22
                                        : place.across().from() + 22),
                        8));
        if (position.airbag().value().filter(each -> each == Airbag.ACTIVE).isPresent()) {
            airbag(place);
        }
        boolean onLeg = seat.flatMap(each -> each.leg().value())
                .filter(each -> each != LegUse.NO_LEG)
                .isPresent();
        if (onLeg && CabinPlan.isHollow(position)) {
            double x = place.bight() - place.depth().length() - 90;
            double y = place.across().middle();
            sketch.polygon(
                    Ink.FAINT,
                    AS_IS,
                    at(x - 70, y - 110),
                    at(x + 50, y - 110),
                    at(x + 50, y + 110),
                    at(x - 70, y + 110));
        }
    }

    private void airbag(Place place) {
        double x = place.bight() - place.depth().length() - 180;
        double y = place.across().middle();
        sketch.blob(
                Ink.HANDS,
                AS_IS,
                at(x, y - 180),
                at(x - 46, y - 90),
                at(x - 60, y),
                at(x - 46, y + 90),
                at(x, y + 180));
        sketch.label(
                Ink.HANDS,
                at(x - 60, place.across().to() - 16).plus(new Point(0, 10)),
                Anchor.START,
                Rank.MINOR,
                "cabin.airbag",
                Map.of());
    }

    /** Its own pair, the inner ones that the middle borrows, or dotted where nobody looked. */
    private void anchors(Place place) {
        Optional<OwnAnchors> own = place.position().anchors().value();
        if (own.filter(each -> each == OwnAnchors.NONE).isPresent()) {
            return;
        }
        double apart = place.position()
                .anchorSpacing()
                .value()
                .map(Length::millimetres)
                .orElse(USUAL_ANCHORS);
        Ink ink = own.isPresent() ? Ink.MEASURED : Ink.UNKNOWN;
        for (double side : new double[] {-1, 1}) {
            double y = place.across().middle() + side * apart / 2;
            sketch.line(ink, at(place.bight() - 8, y), at(place.bight() + 26, y));
        }
    }

    /** A belt with a shoulder part slants over the back from its outer side, a lap-only one lies along the bight. */
    private void belt(Place place) {
        Optional<Belt.Kind> kind = place.position().belt().kind().value();
        boolean fromAbove = place.id().side() == Side.RIGHT;
        double outer = fromAbove ? place.across().to() - 30 : place.across().from() + 30;
        double inner = fromAbove ? place.across().from() + 60 : place.across().to() - 60;
        if (kind.filter(each -> each == Belt.Kind.LAP_SHOULDER).isPresent()) {
            sketch.line(Ink.FAINT, at(place.bight() + CabinPlan.BACK - 20, outer), at(place.bight() + 30, inner));
        } else if (kind.filter(each -> each == Belt.Kind.LAP_ONLY).isPresent()) {
            sketch.line(Ink.FAINT, at(place.bight() + 14, outer), at(place.bight() + 14, inner));
        }
    }

    /** The outline of the restraint from above, its head end forward: widest at the shoulders. */
    void shell(Ink ink, Restraint there) {
        double f = there.along().from();
        double r = there.along().to();
        double n = there.across().from();
        double w = there.across().length();
        double l = r - f;
        sketch.blob(
                ink,
                AS_IS,
                at(f, n + w * 0.5),
                at(f + l * 0.02, n + w * 0.16),
                at(f + l * 0.14, n + w * 0.015),
                at(f + l * 0.4, n),
                at(f + l * 0.75, n + w * 0.05),
                at(f + l * 0.96, n + w * 0.18),
                at(r, n + w * 0.5),
                at(f + l * 0.96, n + w * 0.82),
                at(f + l * 0.75, n + w * 0.95),
                at(f + l * 0.4, n + w),
                at(f + l * 0.14, n + w * 0.985),
                at(f + l * 0.02, n + w * 0.84));
    }

    void child(PlaceAnswer answer, Restraint there) {
        boolean lies = answer.method().isFlat();
        double x = there.along().middle();
        double y = there.across().middle();
        // Lying across, the child's length runs across the car.
        double l = lies ? there.across().length() : there.along().length();
        UnaryOperator<Point> turn = lies ? p -> at(x + p.y(), y - p.x()) : p -> at(x + p.x(), y + p.y());
        double head = -l * 0.22;
        sketch.blob(
                Ink.CLOTH,
                turn,
                new Point(-l * 0.10, 0),
                new Point(-l * 0.06, 74),
                new Point(l * 0.12, 92),
                new Point(l * 0.27, 60),
                new Point(l * 0.30, 0),
                new Point(l * 0.27, -60),
                new Point(l * 0.12, -92),
                new Point(-l * 0.06, -74));
        Point centre = turn.apply(new Point(head, 0));
        sketch.disc(Ink.SKIN, centre, 62 * scale);
        for (double side : new double[] {-1, 1}) {
            sketch.ribbon(
                    Ink.WEBBING,
                    7,
                    turn,
                    new Point(-l * 0.09, side * 44),
                    new Point(l * 0.06, side * 26),
                    new Point(l * 0.15, side * 10));
        }
    }

    /** The door through which one reaches it, on the kerb side where there is a choice, with the feet before it. */
    void door(Place place) {
        Side side = place.id().side() == Side.MIDDLE
                ? Optional.ofNullable(car.kerbSide()).orElse(Side.RIGHT)
                : place.id().side();
        double way = side == Side.RIGHT ? 1 : -1;
        double hinge = place.bight() - place.depth().length() - 120;
        double edge = way * plan.halfWidth();
        double out = way * 74 / scale;
        sketch.line(Ink.HANDS, at(hinge, edge), at(hinge - 150, edge + out));
        double feet = hinge + 190;
        for (double foot : new double[] {-40, 40}) {
            double x = feet + foot;
            double y = edge + way * 40 / scale;
            sketch.blob(
                    Ink.HANDS,
                    AS_IS,
                    at(x - 20, y + way * 24),
                    at(x, y + way * 44),
                    at(x + 20, y + way * 24),
                    at(x + 15, y),
                    at(x + 17, y - way * 26),
                    at(x, y - way * 40),
                    at(x - 17, y - way * 26),
                    at(x - 15, y));
        }
        sketch.label(
                Ink.HANDS, at(feet + 90, edge + way * 34 / scale), Anchor.START, Rank.MINOR, "cabin.stand", Map.of());
    }

    /** Somebody who sits on the vehicle seat, from above. */
    void person(Place place) {
        double y = place.across().middle();
        double x = place.bight() - 150;
        sketch.blob(
                Ink.CLOTH,
                AS_IS,
                at(x - 74, y),
                at(x - 50, y + 120),
                at(x, y + 172),
                at(x + 62, y + 130),
                at(x + 84, y),
                at(x + 62, y - 130),
                at(x, y - 172),
                at(x - 50, y - 120));
        sketch.disc(Ink.SKIN, at(x - 6, y), 84 * scale);
    }
}
