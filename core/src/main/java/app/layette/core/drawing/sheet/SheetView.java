package app.layette.core.drawing.sheet;

import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.Ink;
import app.layette.core.drawing.Point;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.drawing.Sketch;
import app.layette.core.finding.Argument;
import app.layette.core.measure.Length;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A restraint with a box for every value of its sheet, joined to where that value is found on it. Solid where somebody
 * looked, dotted where nobody did; the shell is drawn from the sheet's own lengths as far as it has them.
 */
public final class SheetView {
    private static final double WIDTH = 1400;
    private static final double COLUMN = 310;
    private static final double BOX = 60;
    private static final double ROW = 84;
    private static final double LEAST_HEIGHT = 760;
    private static final double USUAL_TOP = 470;
    private static final double MIDDLE = WIDTH / 2;
    private static final double HIP_UP = 300;
    private static final int LETTERS = 18;

    private final SeatKind kind;
    private final Optional<SeatSheet> sheet;
    private final List<Mark> marks;
    private final double height;
    private final Sketch sketch = new Sketch();
    /** How far the drawing is moved aside, so that its boxes stand clear of it. */
    private double aside;

    private final Map<String, Point> anchors = new HashMap<>();

    /** The sides from which a restraint is drawn. */
    public enum Side {
        SIDE,
        BACK,
        BELOW,
        INDICATOR,
        LABEL
    }

    /**
     * A value of the sheet.
     *
     * @param field where it stands in the document
     * @param name message key of what it is called
     * @param text what it says, shortened; empty where nobody looked
     * @param looked whether anybody looked
     * @param chosen whether it is the one that is being answered
     */
    public record Mark(String field, String name, String text, boolean looked, boolean chosen) {}

    private SheetView(SeatKind kind, Optional<SeatSheet> sheet, List<Mark> marks) {
        this.kind = kind;
        this.sheet = sheet;
        this.marks = marks;
        int aColumn = (marks.size() + 1) / 2;
        this.height = Math.max(LEAST_HEIGHT, aColumn * ROW + 30);
    }

    /**
     * Draws one side.
     *
     * @param sheet what is known so far; empty where it contradicts itself
     * @param marks the values that are found on this side
     */
    public static Drawing of(SeatKind kind, Optional<SeatSheet> sheet, Side side, List<Mark> marks) {
        SheetView view = new SheetView(kind, sheet, marks);
        switch (side) {
            case SIDE -> view.side();
            case BACK -> view.back();
            case BELOW -> view.below();
            case INDICATOR -> view.indicator();
            case LABEL -> view.label();
        }
        view.marks();
        return new Drawing(
                "sheet-" + side.name().toLowerCase(Locale.ROOT),
                0,
                0,
                WIDTH,
                view.height,
                view.sketch.shapes(),
                "drawing.sheet." + side,
                Map.of());
    }

    private double top() {
        return sheet.flatMap(each -> each.shell().top().value())
                .map(Length::millimetres)
                .orElse(USUAL_TOP);
    }

    private boolean lies() {
        return kind == SeatKind.CAR_BED || kind == SeatKind.LAY_FLAT;
    }

    private Ink shellInk(boolean known) {
        return known ? Ink.SHELL : Ink.UNKNOWN;
    }

    private Point at(double x, double y) {
        return new Point(MIDDLE + aside + x, height / 2 - 380 + HIP_UP + y);
    }

    private void blob(Ink ink, double... xy) {
        sketch.blob(ink, p -> p, points(xy));
    }

    private void polygon(Ink ink, double... xy) {
        sketch.polygon(ink, p -> p, points(xy));
    }

    private Point[] points(double... xy) {
        Point[] points = new Point[xy.length / 2];
        for (int i = 0; i < points.length; i++) {
            points[i] = at(xy[2 * i], xy[2 * i + 1]);
        }
        return points;
    }

    private void anchor(String field, double x, double y) {
        anchors.put(field, at(x, y));
    }

    private void side() {
        if (lies()) {
            lying();
            return;
        }
        aside = 70;
        double length = top() * Math.sqrt(0.5);
        boolean known = sheet.flatMap(each -> each.shell().top().value()).isPresent();
        double headX = -60 - length;
        double headY = length;
        blob(
                shellInk(known),
                headX - 26,
                headY - 30,
                headX - 4,
                headY + 26,
                headX + 32,
                headY + 4,
                -60,
                10,
                40,
                -24,
                130,
                6,
                246,
                130,
                262,
                60,
                190,
                -70,
                20,
                -96,
                -120,
                -60);
        List<Length> slots = sheet.flatMap(each -> each.shell().slots().value()).orElse(List.of());
        for (Length slot : slots) {
            double along = slot.millimetres() * Math.sqrt(0.5);
            sketch.disc(Ink.HANDS, at(-50 - along, along + 8), 8);
        }
        double slot = slots.isEmpty() ? 170 : slots.get(slots.size() - 1).millimetres() * Math.sqrt(0.5);
        boolean carrier = kind == SeatKind.REAR_FACING_ONLY;
        if (carrier) {
            sketch.ribbon(Ink.SHELL, 14, p -> p, at(40, 30), at(24, 250), at(16, 360));
            sketch.disc(Ink.SHELL, at(40, 30), 15);
        }
        polygon(Ink.BASE, -170, -120, 230, -120, 250, -190, -190, -190);
        polygon(Ink.HANDS, 150, -190, 196, -190, 190, -240, 156, -240);
        sketch.line(Ink.FAINT, at(250, -160), at(330, -290));
        anchor("/shell/top", (headX - 60) / 2 - 30, headY / 2);
        anchor("/shell/headRoom", headX + 20, headY + 16);
        anchor("/shell/slots", -50 - slot, slot + 8);
        anchor("/shell/outline", -110, -60);
        anchor("/shell/seatDepth", 90, -8);
        anchor("/shell/carrierMass", 200, 20);
        anchor("/handle", 20, 300);
        anchor("/gap", headX - 30, headY - 20);
        anchor("/recline/device", 172, -220);
        anchor("/recline/theta0", -60, 10);
        anchor("/recline/contact", 30, -190);
        anchor("/recline/beltPullFraction", -30, -150);
        anchor("/recline/loadFraction", -100, -190);
        anchor("/recline/rollWidth", 120, -190);
        anchor("/recline/arms", -190, -160);
        anchor("/leg", 330, -290);
        anchor("/sideElement", -100, 110);
        anchor("/rotation", 40, -110);
        anchor("/reboundBar", 250, -140);
    }

    private void lying() {
        boolean known = sheet.flatMap(each -> each.shell().top().value()).isPresent();
        polygon(shellInk(known), -330, 60, 330, 60, 300, -110, -300, -110);
        blob(Ink.CLOTH, -120, 62, 0, 106, 150, 78, 170, 52, 30, 40);
        sketch.disc(Ink.SKIN, at(-180, 92), 50);
        boolean bed = kind == SeatKind.CAR_BED;
        String home = bed ? "/carBed/" : "/layFlat/";
        anchor(home + "headDirection", -180, 92);
        anchor("/carBed/positions", 0, -110);
        anchor("/carBed/feet", 260, -110);
        anchor("/carBed/guides", -250, -40);
        anchor("/carBed/endStraps", 312, -20);
        anchor("/carBed/buckleHeight", 312, 40);
        anchor("/carBed/child", 60, 80);
        anchor("/layFlat/fittings", -250, -80);
        anchor("/layFlat/order", 0, -110);
        anchor("/layFlat/handle", 0, 106);
        anchor("/layFlat/removal", 250, -110);
        anchor("/shell/slots", -70, 60);
        anchor("/shell/carrierMass", 180, -60);
        anchor("/gap", -330, 40);
        anchor("/leg", 300, -110);
        anchor("/sideElement", -310, 0);
        anchor("/rotation", -20, -110);
        anchor("/reboundBar", 330, 60);
    }

    private void back() {
        double half = sheet.flatMap(each -> each.shell().width())
                        .map(Length::millimetres)
                        .orElse(380.0)
                / 2;
        double head = top() - 200;
        boolean known = sheet.flatMap(each -> each.shell().width()).isPresent();
        blob(
                shellInk(known),
                0,
                head,
                half * 0.55,
                head - 20,
                half * 0.92,
                head - 120,
                half,
                0,
                half * 0.94,
                -220,
                half * 0.5,
                -290,
                -half * 0.5,
                -290,
                -half * 0.94,
                -220,
                -half,
                0,
                -half * 0.92,
                head - 120,
                -half * 0.55,
                head - 20);
        for (Length slot : sheet.flatMap(each -> each.shell().slots().value()).orElse(List.of())) {
            double y = slot.millimetres() - 200;
            for (int s : new int[] {-1, 1}) {
                polygon(Ink.SLOT, s * 40, y - 5, s * 100, y - 5, s * 100, y + 5, s * 40, y + 5);
            }
        }
        polygon(Ink.BUCKLE, -60, -96, 60, -96, 44, -126, -44, -126);
        sketch.ribbon(Ink.WEBBING, 20, p -> p, at(0, -126), at(0, -270));
        sketch.disc(Ink.MEASURED, at(0, -60), 7);
        anchor("/shell/crotch", 0, -60);
        anchor("/shell/widthShell", half, 0);
        anchor("/shell/innerShellLiftsOut", -half * 0.8, -180);
        anchor("/insert", -half * 0.5, 120);
        anchor("/harness/loops", 44, -110);
        anchor("/harness/adjuster", 0, -240);
        anchor("/harness/snugTest", -70, 60);
        anchor("/harness/snugTestWords", -70, 30);
        anchor("/harness/clip", -40, 0);
        anchor("/harness/covers", 70, 90);
        anchor("/harness/shortestSnugFrom", 70, 0);
        anchor("/routing/guides", -half, -160);
        anchor("/routing/overShell", half * 0.6, -210);
        anchor("/routing/roundShell", half * 0.9, head - 130);
        anchor("/routing/whenBuckledFirst", half * 0.8, -160);
    }

    private void below() {
        polygon(Ink.BASE, -190, 210, 190, 210, 210, -200, -210, -200);
        polygon(Ink.HANDS, -80, -200, 80, -200, 80, -150, -80, -150);
        sketch.ribbon(Ink.WEBBING, 18, p -> p, at(-210, 120), at(0, 130), at(210, 120));
        for (int s : new int[] {-1, 1}) {
            sketch.ribbon(Ink.BUCKLE, 20, p -> p, at(s * 140, 210), at(s * 140, 262));
            polygon(Ink.SLOT, s * 150, 90, s * 196, 90, s * 196, 150, s * 150, 150);
        }
        sketch.disc(Ink.TUBE, at(0, 40), 20);
        anchor("/shell/widthBase", 205, -100);
        anchor("/shell/baseMass", 60, -60);
        anchor("/bases", -60, -60);
        anchor("/connectors", -140, 262);
        anchor("/anchorLimit", 140, 262);
        anchor("/borrowedSpacingMost", -140, 230);
        anchor("/leg", 80, -170);
        anchor("/legIndicator", -80, -170);
        anchor("/windows", 0, 40);
        anchor("/beltPath", -210, 120);
        anchor("/lockOffs", 190, 120);
        anchor("/tensionPanel", 40, 130);
    }

    private void indicator() {
        List<Indicator.Band> bands = sheet.flatMap(
                        each -> each.recline().indicator().value())
                .map(Indicator::bands)
                .orElse(List.of());
        Point centre = at(0, -160);
        double radius = 300;
        for (Indicator.Band band : bands) {
            Optional<Indicator.Borders> borders = band.borders();
            if (borders.isPresent()) {
                sketch.arc(
                        Ink.BAND,
                        centre,
                        radius - 44,
                        radius,
                        borders.get().from().degrees(),
                        borders.get().to().degrees());
                radius -= 60;
            }
        }
        sketch.line(Ink.FAINT, centre, centre.plus(new Point(0, 330)));
        sketch.line(Ink.FAINT, centre, centre.plus(new Point(-330, 0)));
        sketch.line(Ink.MEASURED, centre, centre.plus(new Point(-220, 220)));
        sketch.disc(Ink.MEASURED, centre, 9);
        anchor("/recline/indicator", -120, -40);
    }

    private void label() {
        polygon(Ink.TAP, -300, 280, 300, 280, 300, -250, -300, -250);
        double y = 236;
        for (Mark mark : marks) {
            anchors.put(mark.field(), at(mark.looked() ? -250 : 250, y));
            sketch.line(mark.looked() ? Ink.MEASURED : Ink.UNKNOWN, at(-250, y), at(250, y));
            y -= 470.0 / Math.max(1, marks.size() - 1);
        }
    }

    /** Boxes to both sides, from the top in the order in which what they name stands, so that no two lines cross. */
    private void marks() {
        List<Mark> found = new ArrayList<>(marks);
        found.sort(Comparator.comparingDouble(mark -> place(mark).x()));
        int half = (found.size() + 1) / 2;
        column(found.subList(0, half), true);
        column(found.subList(half, found.size()), false);
    }

    private Point place(Mark mark) {
        return anchors.getOrDefault(mark.field(), at(0, 0));
    }

    private void column(List<Mark> some, boolean left) {
        List<Mark> sorted = new ArrayList<>(some);
        sorted.sort(Comparator.comparingDouble((Mark mark) -> place(mark).y()).reversed());
        double step = height / Math.max(1, sorted.size());
        for (int i = 0; i < sorted.size(); i++) {
            box(sorted.get(i), left ? 0 : WIDTH - COLUMN, height - step * (i + 0.5), left);
        }
    }

    private void box(Mark mark, double x, double y, boolean left) {
        Point to = place(mark);
        sketch.line(mark.chosen() ? Ink.HANDS : Ink.FAINT, new Point(left ? x + COLUMN : x, y), to);
        sketch.disc(mark.looked() ? Ink.MEASURED : Ink.UNKNOWN, to, 5);
        sketch.link(
                mark.field(),
                mark.looked() ? "sheet.box" : "sheet.boxUnknown",
                Map.of("name", new Argument.OfKey(mark.name()), "value", Argument.of(mark.text())),
                () -> {
                    sketch.polygon(
                            mark.chosen() ? Ink.CHOSEN : mark.looked() ? Ink.TAP : Ink.UNKNOWN,
                            p -> p,
                            new Point(x + 2, y - BOX / 2),
                            new Point(x + COLUMN - 2, y - BOX / 2),
                            new Point(x + COLUMN - 2, y + BOX / 2 + 8),
                            new Point(x + 2, y + BOX / 2 + 8));
                    sketch.label(
                            mark.looked() ? Ink.MEASURED : Ink.HANDS,
                            new Point(x + COLUMN / 2, y + 8),
                            Anchor.MIDDLE,
                            Rank.MAIN,
                            mark.looked() ? "sheet.said" : "sheet.notLooked",
                            Map.of("value", Argument.of(shortened(mark.text()))));
                    sketch.label(
                            Ink.FAINT,
                            new Point(x + COLUMN / 2, y - BOX / 2 + 8),
                            Anchor.MIDDLE,
                            Rank.MINOR,
                            "sheet.name",
                            Map.of("name", new Argument.OfKey(mark.name())));
                });
    }

    private static String shortened(String text) {
        return text.length() <= LETTERS ? text : text.substring(0, LETTERS - 1) + "…";
    }
}
