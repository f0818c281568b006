package app.layette.core.drawing;

import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Permission;
import app.layette.core.finding.Argument;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.PlaceAnswer;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * The car in plan, its front to the left as in the side view, so that its right side is above: each place with its
 * anchors, its buckle and the answer to each method, by word and shape.
 */
public final class CabinView {
    private static final double WIDTH = 1400;
    private static final double HEIGHT = 940;
    private static final double BONNET = 150;
    private static final double PLACE_HEIGHT = 256;
    private static final double FIRST_LINE = 44;
    private static final double LINE = 42;
    private static final UnaryOperator<Point> AS_IS = p -> p;

    private final Sketch sketch = new Sketch();
    private final VehicleSheet car;
    private final CabinAnswers answers;
    private final Optional<PositionId> chosen;
    private final Optional<Method> method;
    private final int rows;

    private CabinView(VehicleSheet car, CabinAnswers answers, Situation situation) {
        this.car = car;
        this.answers = answers;
        this.chosen = situation.placed().map(placed -> placed.value().position());
        this.method = situation.method();
        this.rows = car.positions().stream()
                .mapToInt(position -> position.id().row())
                .max()
                .orElse(2);
    }

    /** Draws the car of a fitting; an empty one while none is chosen. */
    public static Drawing of(Situation situation, CabinAnswers answers) {
        Optional<VehicleSheet> car = situation.car();
        Sketch sketch = car.map(sheet -> new CabinView(sheet, answers, situation).draw())
                .orElseGet(CabinView::noCar);
        return new Drawing(
                "cabin",
                0,
                0,
                WIDTH,
                HEIGHT,
                sketch.shapes(),
                "drawing.cabin.description",
                Map.of(
                        "places",
                        Argument.of(car.map(each -> each.positions().size()).orElse(0))));
    }

    private static Sketch noCar() {
        Sketch sketch = new Sketch();
        body(sketch);
        sketch.label(Ink.UNKNOWN, new Point(WIDTH / 2, HEIGHT / 2), Anchor.MIDDLE, Rank.MAIN, "cabin.noCar", Map.of());
        return sketch;
    }

    private static void body(Sketch sketch) {
        double top = HEIGHT - 62;
        sketch.polygon(
                Ink.UPHOLSTERY,
                AS_IS,
                new Point(34, HEIGHT / 2 - 190),
                new Point(24, HEIGHT / 2),
                new Point(34, HEIGHT / 2 + 190),
                new Point(62, top - 120),
                new Point(110, top - 40),
                new Point(170, top - 8),
                new Point(230, top),
                new Point(WIDTH - 110, top),
                new Point(WIDTH - 60, top - 14),
                new Point(WIDTH - 34, top - 60),
                new Point(WIDTH - 26, HEIGHT / 2),
                new Point(WIDTH - 34, 122),
                new Point(WIDTH - 60, 76),
                new Point(WIDTH - 110, 62),
                new Point(230, 62),
                new Point(170, 70),
                new Point(110, 102),
                new Point(62, 182));
    }

    private Sketch draw() {
        body(sketch);
        sketch.label(Ink.FAINT, new Point(92, HEIGHT / 2), Anchor.MIDDLE, Rank.MINOR, "cabin.front", Map.of());
        kerb();
        doors();
        driver();
        for (SeatingPosition position : car.positions()) {
            place(position);
        }
        return sketch;
    }

    private void kerb() {
        Optional.ofNullable(car.kerbSide()).ifPresent(side -> {
            sketch.label(
                    Ink.FAINT,
                    new Point(710, side == Side.RIGHT ? HEIGHT - 30 : 16),
                    Anchor.MIDDLE,
                    Rank.MINOR,
                    "cabin.kerb",
                    Map.of());
        });
    }

    /** A door at each end of each row. */
    private void doors() {
        for (int row = 1; row <= rows; row++) {
            double left = BONNET + (row - 1) * (WIDTH - BONNET - 60) / rows;
            for (double y : new double[] {62, HEIGHT - 62}) {
                boolean onKerb = (y > HEIGHT / 2) == (car.kerbSide() == Side.RIGHT) && car.kerbSide() != null;
                double out = y > HEIGHT / 2 ? 26 : -26;
                sketch.line(
                        onKerb ? Ink.HANDS : Ink.FRONT_SEAT, new Point(left + 60, y), new Point(left + 20, y + out));
            }
        }
    }

    /** The driver's seat is no place for a restraint and is on no sheet. */
    private void driver() {
        Side side = car.kerbSide() == Side.LEFT ? Side.RIGHT : Side.LEFT;
        PositionId place = new PositionId(1, side);
        boolean isListed = car.position(place).isPresent();
        if (!isListed) {
            Box box = box(place);
            seat(Ink.FRONT_SEAT, box);
            sketch.label(
                    Ink.FAINT,
                    new Point(box.left + 18, box.top - FIRST_LINE),
                    Anchor.START,
                    Rank.MINOR,
                    "cabin.driver",
                    Map.of());
        }
    }

    /** Where a place is drawn. */
    private record Box(double left, double top, double width) {
        Point at(double right, double down) {
            return new Point(left + right, top - down);
        }
    }

    private Box box(PositionId place) {
        double column = (WIDTH - BONNET - 60) / rows;
        double left = BONNET + (place.row() - 1) * column;
        int slot = place.side() == Side.RIGHT ? 0 : place.side() == Side.MIDDLE ? 1 : 2;
        return new Box(left, HEIGHT - 74 - slot * (PLACE_HEIGHT + 10), column - 22);
    }

    private void seat(Ink ink, Box box) {
        sketch.polygon(
                ink,
                AS_IS,
                box.at(0, 10),
                box.at(10, 0),
                box.at(box.width - 26, 0),
                box.at(box.width - 26, PLACE_HEIGHT),
                box.at(10, PLACE_HEIGHT),
                box.at(0, PLACE_HEIGHT - 10));
        sketch.polygon(
                Ink.UPHOLSTERY,
                AS_IS,
                box.at(box.width - 40, 14),
                box.at(box.width - 32, 6),
                box.at(box.width - 8, 6),
                box.at(box.width, 14),
                box.at(box.width, PLACE_HEIGHT - 14),
                box.at(box.width - 8, PLACE_HEIGHT - 6),
                box.at(box.width - 32, PLACE_HEIGHT - 6),
                box.at(box.width - 40, PLACE_HEIGHT - 14));
    }

    private void place(SeatingPosition position) {
        Box box = box(position.id());
        boolean isChosen = chosen.filter(position.id()::equals).isPresent();
        seat(isChosen ? Ink.CHOSEN : Ink.TAP, box);
        anchors(position, box);
        buckle(position, box);
        belt(position, box);
        sketch.label(
                isChosen ? Ink.HANDS : Ink.MEASURED,
                box.at(18, FIRST_LINE - 8),
                Anchor.START,
                Rank.MAIN,
                "cabin.place",
                Map.of("place", new Argument.OfKey("place." + position.id())));
        double down = FIRST_LINE + LINE - 2;
        for (Method each : inOrder(position.id())) {
            Optional<PlaceAnswer> answer = answers.about(position.id(), each);
            if (answer.isPresent()) {
                line(answer.get(), box, down);
                down += LINE;
            }
        }
    }

    /** The same order at each place, so that they compare at a glance. */
    private List<Method> inOrder(PositionId place) {
        return answers.at(place).stream().map(PlaceAnswer::method).sorted().toList();
    }

    private void line(PlaceAnswer answer, Box box, double down) {
        boolean isChosen = chosen.filter(answer.place()::equals).isPresent()
                && method.filter(each -> each == answer.method()).isPresent();
        Map<String, Argument> words = Map.of(
                "place", new Argument.OfKey("place." + answer.place()),
                "method", new Argument.OfKey("method." + answer.method()),
                "answer", new Argument.OfKey("permission." + answer.answer()));
        sketch.link(answer.place() + "/" + answer.method(), "cabin.answer", words, () -> {
            sketch.polygon(
                    isChosen ? Ink.CHOSEN : Ink.TAP,
                    AS_IS,
                    box.at(8, down - 29),
                    box.at(box.width - 48, down - 29),
                    box.at(box.width - 48, down + 11),
                    box.at(8, down + 11));
            sign(answer, box.at(30, down - 9));
            sketch.label(
                    Ink.MEASURED,
                    box.at(54, down),
                    Anchor.START,
                    Rank.MINOR,
                    "cabin.method." + answer.method(),
                    Map.of());
            detail(answer, box.at(box.width - 58, down));
        });
    }

    /** The number or the rule that is worth a glance, where there is room for it. */
    private void detail(PlaceAnswer answer, Point at) {
        if (rows > 2) {
            return;
        }
        if (answer.answer() != Permission.ALLOWED) {
            answer.deciding()
                    .ifPresent(finding -> sketch.label(
                            Ink.FAINT,
                            at,
                            Anchor.END,
                            Rank.MINOR,
                            "cabin.rule",
                            Map.of("rule", Argument.of(finding.code().text()))));
        } else if (answer.reach().isPresent()) {
            sketch.label(
                    Ink.COMPUTED,
                    at,
                    Anchor.END,
                    Rank.MINOR,
                    "cabin.reach." + answer.reach().get().answer(),
                    Map.of());
        } else {
            answer.gap()
                    .ifPresent(gap -> sketch.label(
                            Ink.COMPUTED, at, Anchor.END, Rank.MINOR, "cabin.gap", Map.of("gap", Argument.of(gap))));
        }
    }

    /** A tick, a dot beside it for a doubt, a question in a ring, a bar in a square. */
    private void sign(PlaceAnswer answer, Point at) {
        Permission permission = answer.answer();
        if (permission == Permission.ALLOWED) {
            sketch.line(Ink.MEASURED, at.plus(new Point(-10, 0)), at.plus(new Point(-3, -8)));
            sketch.line(Ink.MEASURED, at.plus(new Point(-3, -8)), at.plus(new Point(11, 9)));
            if (answer.doubts() > 0) {
                sketch.disc(Ink.COMPUTED, at.plus(new Point(12, -8)), 4);
            }
        } else if (permission == Permission.NOT_KNOWN) {
            sketch.disc(Ink.UNKNOWN, at, 12);
            sketch.label(Ink.UNKNOWN, at.plus(new Point(0, -7)), Anchor.MIDDLE, Rank.MINOR, "cabin.unknown", Map.of());
        } else {
            sketch.polygon(
                    Ink.STOP,
                    AS_IS,
                    at.plus(new Point(-11, 11)),
                    at.plus(new Point(11, 11)),
                    at.plus(new Point(11, -11)),
                    at.plus(new Point(-11, -11)));
            sketch.line(Ink.STOP_BAR, at.plus(new Point(-6, 0)), at.plus(new Point(6, 0)));
        }
    }

    /** A belt with a shoulder part slants over the backrest from its outer side, a lap-only one lies across the bight. */
    private void belt(SeatingPosition position, Box box) {
        Optional<Belt.Kind> kind = position.belt().kind().value();
        boolean fromAbove = position.id().side() == Side.RIGHT;
        double outer = fromAbove ? 22 : PLACE_HEIGHT - 22;
        double inner = fromAbove ? PLACE_HEIGHT - 40 : 40;
        if (kind.filter(each -> each == Belt.Kind.LAP_SHOULDER).isPresent()) {
            sketch.line(Ink.FAINT, box.at(box.width - 4, outer), box.at(box.width - 36, inner));
        } else if (kind.filter(each -> each == Belt.Kind.LAP_ONLY).isPresent()) {
            sketch.line(Ink.FAINT, box.at(box.width - 38, 30), box.at(box.width - 38, PLACE_HEIGHT - 30));
        }
    }

    /** Its own buckle, at the side on which it stands. */
    private void buckle(SeatingPosition position, Box box) {
        position.buckleSide()
                .value()
                .ifPresent(side -> sketch.disc(
                        Ink.BUCKLE, box.at(box.width - 48, side == Side.RIGHT ? 16 : PLACE_HEIGHT - 16), 9));
    }

    /** Two short bars in the bight; dotted where nobody knows. */
    private void anchors(SeatingPosition position, Box box) {
        Optional<OwnAnchors> own = position.anchors().value();
        boolean none = own.filter(each -> each == OwnAnchors.NONE).isPresent();
        if (none) {
            return;
        }
        Ink ink = own.isPresent() ? Ink.MEASURED : Ink.UNKNOWN;
        for (double down : new double[] {PLACE_HEIGHT * 0.3, PLACE_HEIGHT * 0.7}) {
            sketch.line(ink, box.at(box.width - 34, down), box.at(box.width - 8, down));
        }
    }
}
