package app.layette.core.drawing.side;

import app.layette.core.drawing.Ink;
import app.layette.core.drawing.Point;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.drawing.Sketch;
import app.layette.core.finding.Argument;
import app.layette.core.step.Ask;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The numbered marks of a look, each at the part of the drawing that it is about; in millimetres. */
final class MarkSpots {
    private static final double RADIUS = 27;
    private static final double APART = 2 * RADIUS + 8;
    private static final double BASELINE = 11;

    private final Sketch sketch;
    private final Setup setup;
    private final RestraintFigure seat;
    private final List<Point> taken = new ArrayList<>();

    MarkSpots(Sketch sketch, Setup setup, RestraintFigure seat) {
        this.sketch = sketch;
        this.setup = setup;
        this.seat = seat;
    }

    void draw(List<Ask> asks) {
        for (int i = 0; i < asks.size(); i++) {
            int number = i + 1;
            place(asks.get(i)).map(this::free).ifPresent(at -> draw(number, at));
        }
    }

    private void draw(int number, Point at) {
        Map<String, Argument> which = Map.of("number", Argument.of(number));
        sketch.link("mark-" + number, "markLink", which, () -> {
            sketch.disc(Ink.SHELL, at, RADIUS);
            sketch.label(Ink.MEASURED, at.plus(new Point(0, -BASELINE)), Anchor.MIDDLE, Rank.MAIN, "mark", which);
        });
    }

    /** Two marks never cover each other: the later one stands above. */
    private Point free(Point wanted) {
        Point at = wanted;
        while (isTaken(at)) {
            at = at.plus(new Point(0, APART / 2));
        }
        taken.add(at);
        return at;
    }

    private boolean isTaken(Point at) {
        return taken.stream().anyMatch(other -> Math.hypot(other.x() - at.x(), other.y() - at.y()) < APART);
    }

    /** Where it is seen; empty for what is on no part of the drawing, such as papers. */
    private Optional<Point> place(Ask ask) {
        return switch (ask.kind()) {
            case QUESTION -> question(ask.question());
            case TEACH -> taught(ask.key());
            case ACT -> act(ask.key());
            case DEVICE -> base(40, -34);
            case INSERT -> back(90, 20);
            case HEAD_ROOM -> back(setup.shellTop() - 14, 40);
            case SLOTS -> back(200, -70);
            case CROTCH -> Optional.of(seat.carried(new Point(170, 176)));
            case HANDLE -> back(setup.shellTop() * 0.9, 190);
            case GAP -> back(setup.shellTop() + 30, -70);
            default -> Optional.empty();
        };
    }

    private Optional<Point> question(String question) {
        double contact = setup.contact();
        return switch (question) {
            case "ANCHORS_HOOKED" -> base(-34, 26);
            case "STRAP" -> base(30, 4);
            case "BELT_ROUTE" -> base(96, 60);
            case "BUCKLE" -> base(contact * 0.7, 60);
            case "LOCK_OFF", "PANEL" -> base(contact * 0.5, 104);
            case "END_STRAPS" -> base(contact - 40, 90);
            case "SITS_WHOLE" -> base(contact + 10, 2);
            case "SYSTEMS" -> base(-40, 96);
            case "LEG" -> base(contact + 24, -70);
            case "WINDOWS" -> base(contact - 30, 64);
            case "BAR" -> base(-44, 190);
            case "SIDE_ELEMENT" -> back(200, 90);
            case "CLICK" -> base(120, 96);
            case "TURNED_BACK" -> base(contact - 60, 104);
            case "CLOTHING" -> back(70, 120);
            case "CLIP" -> back(150, 100);
            case "SUPPORT" -> back(setup.shellTop() * 0.78, 96);
            case "LIES_FLAT" -> back(60, 40);
            case "WEBBING" -> back(130, -66);
            case "COVERS" -> back(210, 70);
            case "FEET" -> Optional.of(seat.carried(new Point(-10, 330)));
            default -> Optional.empty();
        };
    }

    private Optional<Point> taught(String item) {
        return switch (item) {
            case "HARNESS_AND_SNUG" -> back(220, 60);
            case "CARRIER_ON_AND_OFF" -> Optional.of(seat.carried(new Point(60, 118)));
            case "TIGHTEN_AND_LOOSEN", "BASELESS_ONCE" -> base(60, 60);
            default -> Optional.empty();
        };
    }

    private Optional<Point> act(String act) {
        return switch (act) {
            case "TIGHTENED", "ARMS_WALKED_IN" -> base(70, 34);
            case "CARRIER_ON" -> Optional.of(seat.carried(new Point(230, 92)));
            default -> Optional.empty();
        };
    }

    private Optional<Point> base(double along, double up) {
        Point p = new Point(along, up);
        return Optional.of(setup.hasBase() ? seat.posed(p) : seat.carried(new Point(along, up + 60)));
    }

    private Optional<Point> back(double up, double out) {
        return Optional.of(seat.carried(seat.onShellBack(up, out)));
    }
}
