package app.layette.core.drawing;

import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.entry.Fact.DeviceSet;
import app.layette.core.entry.Fact.HandleSet;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.finding.Argument;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.GroundLevel;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.recline.ReclineGeometry;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.SeatingPosition;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * The restraint in the car from the side, the front of the car to the left. Lengths and angles of the sheets are drawn
 * to scale; where one is not known a usual one stands in for the drawing and its part is marked as not known.
 */
public final class SideView {
    private static final double USUAL_SLOPE = 12;
    private static final double USUAL_BACK_ANGLE = 22;
    private static final double USUAL_THETA0 = 47;
    private static final double USUAL_CONTACT = 400;
    private static final double USUAL_SHELL_TOP = 470;
    private static final Point HIPS = new Point(258, 150);
    private static final Point DIAL = new Point(36, 600);

    private final Situation situation;
    private final Sketch sketch = new Sketch();
    private final Optional<Angle> knownSlope;
    private final ReclineGeometry geometry;
    private final double lift;
    private final double shift;
    private final double backAngle;
    private final double shellTop;

    private SideView(Situation situation) {
        this.situation = situation;
        this.knownSlope = ReclineAdvice.cushionSlope(situation);
        Optional<SeatSheet> seat = situation.seat();
        Angle theta0 = seat.flatMap(each -> each.recline().theta0().value()).orElse(Angle.ofDegrees(USUAL_THETA0));
        Length contact =
                seat.flatMap(each -> each.recline().contact().value()).orElse(Length.ofMillimetres(USUAL_CONTACT));
        this.geometry = new ReclineGeometry(theta0, knownSlope.orElse(Angle.ofDegrees(USUAL_SLOPE)), contact);
        this.lift = liftNow().map(Length::millimetres).orElse(0.0);
        this.backAngle = situation
                .position()
                .map(SeatingPosition::backAngle)
                .flatMap(Evidence::value)
                .map(Angle::degrees)
                .orElse(USUAL_BACK_ANGLE);
        this.shellTop = seat.flatMap(each -> each.shell().top().value())
                .map(Length::millimetres)
                .orElse(USUAL_SHELL_TOP);
        this.shift = shiftOffSeatBack();
    }

    public static Drawing of(Situation situation) {
        SideView view = new SideView(situation);
        view.drawCar();
        view.drawBase();
        view.drawShell();
        view.drawChild();
        view.drawHandle();
        view.drawDial();
        view.drawFrontSeat();
        Angle recline = view.reclineNow();
        return new Drawing(
                "side",
                -950,
                -190,
                1110,
                1020,
                view.sketch.shapes(),
                "drawing.side.description",
                Map.of("recline", Argument.of(recline), "slope", Argument.of(view.geometry.cushionSlope())));
    }

    private Optional<Length> liftNow() {
        Optional<DeviceSet> set = situation.newest(DeviceSet.class).map(stamped -> stamped.value());
        return set.flatMap(device -> situation
                .seat()
                .flatMap(seat -> seat.recline().device().value())
                .flatMap(each -> each.steps().stream()
                        .filter(step -> step.name().equals(device.step()))
                        .findFirst())
                .map(step -> step.lift()));
    }

    private Angle reclineNow() {
        return geometry.recline(Length.ofMillimetres(lift), Angle.ZERO, GroundLevel.pitch(situation));
    }

    /** From the cushion frame (origin at the bight, x towards the front, along the ground) to the view. */
    private Point view(double x, double y) {
        return new Point(-x, y);
    }

    private Point onCushion(double along, double above) {
        double slope = geometry.cushionSlope().radians();
        return view(
                along * Math.cos(slope) - above * Math.sin(slope), along * Math.sin(slope) + above * Math.cos(slope));
    }

    private Point onSeatBack(double up, double behind) {
        double lean = Math.toRadians(backAngle);
        return view(-up * Math.sin(lean) - behind * Math.cos(lean), up * Math.cos(lean) - behind * Math.sin(lean));
    }

    /** From the base frame (origin at the foot-end contact, x towards the head end) to the view. */
    private Point posed(Point p) {
        double slope = geometry.cushionSlope().radians();
        double phi = geometry.baseSlope(Length.ofMillimetres(lift)).radians();
        double x = -lift * Math.sin(slope) + p.x() * Math.cos(phi) - p.y() * Math.sin(phi) + shift * Math.cos(slope);
        double y = lift * Math.cos(slope) + p.x() * Math.sin(phi) + p.y() * Math.cos(phi) + shift * Math.sin(slope);
        return view(x, y);
    }

    /** A point along the shell back: {@code up} from the hips, {@code out} from the pad towards the child. */
    private Point onShellBack(double up, double out) {
        double t = geometry.theta0().radians();
        return new Point(
                HIPS.x() + up * Math.sin(t) - out * Math.cos(t), HIPS.y() + up * Math.cos(t) + out * Math.sin(t));
    }

    /** How far the base stands forward so that no part of it crosses the vehicle seat back. */
    private double shiftOffSeatBack() {
        double slope = geometry.cushionSlope().radians();
        double phi = geometry.baseSlope(Length.ofMillimetres(lift)).radians();
        double lean = Math.tan(Math.toRadians(backAngle));
        double most = 0;
        for (Point p : List.of(new Point(-10, 46), new Point(0, 0), new Point(-66, 318), new Point(-52, 210))) {
            double x = -lift * Math.sin(slope) + p.x() * Math.cos(phi) - p.y() * Math.sin(phi);
            double y = lift * Math.cos(slope) + p.x() * Math.sin(phi) + p.y() * Math.cos(phi);
            most = Math.max(most, (-y * lean - x) / Math.cos(slope));
        }
        return most + 6;
    }

    private void drawCar() {
        UnaryOperator<Point> asIs = p -> p;
        Ink ink = Ink.UPHOLSTERY;
        sketch.blob(
                ink,
                asIs,
                onSeatBack(-60, 12),
                onSeatBack(60, 0),
                onSeatBack(250, 2),
                onSeatBack(420, 0),
                onSeatBack(560, 4),
                onSeatBack(640, 34),
                onSeatBack(640, 110),
                onSeatBack(420, 150),
                onSeatBack(-40, 160));
        sketch.blob(
                ink,
                asIs,
                onCushion(2, -16),
                onCushion(60, 0),
                onCushion(260, 0),
                onCushion(440, 0),
                onCushion(505, -10),
                onCushion(530, -48),
                onCushion(512, -120),
                onCushion(280, -136),
                onCushion(10, -132));
        Point mark = onCushion(430, -78);
        boolean known = knownSlope.isPresent();
        sketch.line(
                known ? Ink.FAINT : Ink.UNKNOWN,
                onCushion(500, 0),
                view(-onCushion(500, 0).x() - 170, onCushion(500, 0).y()));
        sketch.label(
                known ? Ink.FAINT : Ink.UNKNOWN,
                mark,
                Anchor.START,
                Rank.MINOR,
                known ? "side.slope" : "side.slopeUnknown",
                Map.of("slope", Argument.of(geometry.cushionSlope())));
        sketch.label(
                Ink.FAINT,
                onSeatBack(20, 70).plus(new Point(14, -40)),
                Anchor.MIDDLE,
                Rank.MINOR,
                "side.bight",
                Map.of());
    }

    private void drawBase() {
        double contact = geometry.contact().millimetres();
        sketch.blob(
                Ink.BASE,
                this::posed,
                new Point(4, 0),
                new Point(contact * 0.5, 3),
                new Point(contact - 4, 0),
                new Point(contact + 14, 30),
                new Point(contact - 26, 84),
                new Point(contact * 0.5, 98),
                new Point(46, 92),
                new Point(-8, 44));
        if (lift > 0) {
            sketch.polygon(
                    Ink.HANDS,
                    this::posed,
                    new Point(14, 1),
                    new Point(66, 1),
                    new Point(62, -lift),
                    new Point(18, -lift));
            String step = situation
                    .newest(DeviceSet.class)
                    .map(set -> set.value().step())
                    .orElse("");
            Point at = posed(new Point(40, -lift));
            sketch.label(
                    Ink.HANDS,
                    new Point(at.x() - 10, at.y() - 60),
                    Anchor.MIDDLE,
                    Rank.MAIN,
                    "side.foot",
                    Map.of("step", Argument.of(step), "lift", Argument.of(Length.ofMillimetres(lift))));
        }
    }

    private void drawShell() {
        sketch.blob(
                Ink.SHELL,
                this::posed,
                new Point(-48, 332),
                new Point(-66, 312),
                new Point(-52, 210),
                new Point(-6, 132),
                new Point(70, 100),
                new Point(210, 92),
                new Point(312, 108),
                onShellBack(60, -52),
                onShellBack(220, -48),
                onShellBack(shellTop - 60, -43),
                onShellBack(shellTop - 8, -38),
                onShellBack(shellTop + 10, -17),
                onShellBack(shellTop - 8, 2),
                onShellBack(shellTop - 60, 0),
                onShellBack(220, 0),
                onShellBack(70, 0),
                new Point(HIPS.x() - 12, HIPS.y() + 8),
                new Point(200, 158),
                new Point(96, 172),
                new Point(20, 236));
        // The near side wall, so that the shell reads as a tub around the child.
        sketch.curve(
                Ink.PAD,
                this::posed,
                onShellBack(shellTop * 0.86, 8),
                onShellBack(shellTop * 0.66, 70),
                onShellBack(shellTop * 0.45, 112),
                onShellBack(shellTop * 0.22, 108),
                new Point(60, 262),
                new Point(-34, 318));
    }

    private void drawChild() {
        ChildFigure child = ChildFigure.of(situation);
        double shoulder = child.shoulder();
        double head = child.headRadius();
        double neck = shoulder + 6;
        // far arm and leg first, then the body, the near ones last
        limb(Ink.CLOTH, 40, onShellBack(16, 62), new Point(118, 300), new Point(58, 268));
        sketch.blob(
                Ink.CLOTH,
                this::posed,
                onShellBack(-12, 10),
                onShellBack(shoulder * 0.45, 6),
                onShellBack(shoulder - 12, 12),
                onShellBack(shoulder + 4, 40),
                onShellBack(shoulder - 12, 84),
                onShellBack(shoulder * 0.6, 108),
                onShellBack(shoulder * 0.28, 112),
                onShellBack(-22, 96),
                onShellBack(-42, 54),
                onShellBack(-34, 20));
        Point skull = onShellBack(neck + head * 0.86, 16 + head);
        face(skull, head);
        limb(Ink.CLOTH, 46, onShellBack(-4, 66), new Point(96, 286), new Point(44, 232));
        limb(Ink.SKIN, 30, new Point(46, 236), new Point(26, 262));
        limb(
                Ink.CLOTH,
                34,
                onShellBack(shoulder - 26, 66),
                onShellBack(shoulder * 0.5, 124),
                onShellBack(shoulder * 0.42, 168));
        sketch.disc(Ink.SKIN, posed(onShellBack(shoulder * 0.41, 178)), 17);
        sketch.ribbon(
                Ink.WEBBING,
                17,
                this::posed,
                onShellBack(shoulder - 8, 2),
                onShellBack(shoulder + 2, 34),
                onShellBack(shoulder - 20, 86),
                onShellBack(shoulder * 0.55, 112),
                onShellBack(26, 106));
    }

    private void limb(Ink ink, double width, Point... through) {
        sketch.ribbon(ink, width, this::posed, through);
    }

    /** The face looks away from the shell back; the nose goes under the head so that only its tip stands out. */
    private void face(Point skull, double head) {
        double t = geometry.theta0().radians();
        Point out = new Point(-Math.cos(t), Math.sin(t));
        Point down = new Point(-Math.sin(t), -Math.cos(t));
        sketch.disc(Ink.SKIN, posed(skull.plus(out.times(head * 0.97)).plus(down.times(head * 0.1))), head * 0.14);
        sketch.disc(Ink.SKIN, posed(skull), head);
        sketch.curve(
                Ink.MEASURED,
                this::posed,
                skull.plus(out.times(head * 0.5)).plus(down.times(-head * 0.14)),
                skull.plus(out.times(head * 0.62)).plus(down.times(-head * 0.05)),
                skull.plus(out.times(head * 0.76)).plus(down.times(-head * 0.1)));
        sketch.curve(
                Ink.MEASURED,
                this::posed,
                skull.plus(out.times(head * 0.72)).plus(down.times(head * 0.5)),
                skull.plus(out.times(head * 0.62)).plus(down.times(head * 0.47)),
                skull.plus(out.times(head * 0.56)).plus(down.times(head * 0.4)));
        sketch.curve(
                Ink.MEASURED,
                this::posed,
                skull.plus(out.times(-head * 0.02)).plus(down.times(-head * 0.02)),
                skull.plus(out.times(-head * 0.22)).plus(down.times(head * 0.08)),
                skull.plus(out.times(-head * 0.08)).plus(down.times(head * 0.28)));
    }

    private void drawHandle() {
        Optional<HandlePosition> set =
                situation.newest(HandleSet.class).map(stamped -> stamped.value().position());
        Point pivot = onShellBack(shellTop * 0.36, 104);
        double towardsHead = set.map(SideView::handleAngle).orElse(24.0);
        double length = shellTop * 0.66;
        double t = Math.toRadians(towardsHead);
        Point grip = new Point(pivot.x() + length * Math.sin(t), pivot.y() + length * Math.cos(t));
        if (set.isPresent()) {
            sketch.ribbon(Ink.SHELL, 22, this::posed, pivot, grip);
            sketch.disc(Ink.SHELL, posed(pivot), 17);
        } else {
            sketch.line(Ink.UNKNOWN, posed(pivot), posed(grip));
            sketch.label(
                    Ink.UNKNOWN,
                    posed(grip).plus(new Point(0, 16)),
                    Anchor.MIDDLE,
                    Rank.MAIN,
                    "side.handleUnknown",
                    Map.of());
        }
    }

    private static double handleAngle(HandlePosition position) {
        return switch (position) {
            case UP -> 4;
            case TOWARDS_HEAD_END -> 62;
            case TOWARDS_FOOT_END -> -58;
            case DOWN -> -108;
        };
    }

    private void drawDial() {
        Angle now = reclineNow();
        boolean known = knownSlope.isPresent();
        Optional<Indicator.Band> band = ReclineAdvice.band(situation).filter(Indicator.Band::isInDegrees);
        sketch.line(Ink.FAINT, DIAL, DIAL.plus(new Point(0, 200)));
        sketch.arc(Ink.FAINT, DIAL, 158, 160, 25, 55);
        band.ifPresent(each -> sketch.arc(
                Ink.BAND, DIAL, 160, 180, each.from().degrees(), each.to().degrees()));
        Ink needle = known ? Ink.COMPUTED : Ink.UNKNOWN;
        sketch.line(needle, DIAL, onDial(now.degrees(), 158));
        sketch.disc(Ink.MEASURED, DIAL, 5);
        for (int tick = 30; tick <= 50; tick += 10) {
            sketch.label(
                    Ink.FAINT,
                    onDial(tick, 204).plus(new Point(0, -8)),
                    Anchor.MIDDLE,
                    Rank.MINOR,
                    "side.tick",
                    Map.of("degrees", Argument.of(tick)));
        }
        sketch.label(
                needle,
                DIAL.plus(new Point(0, -38)),
                Anchor.MIDDLE,
                Rank.MAIN,
                known ? "side.recline" : "side.reclineUnknown",
                Map.of("recline", Argument.of(now)));
        Map<String, Argument> borders = band.<Map<String, Argument>>map(
                        each -> Map.of("from", Argument.of(each.from()), "to", Argument.of(each.to())))
                .orElse(Map.of());
        sketch.label(
                Ink.FAINT,
                DIAL.plus(new Point(0, -66)),
                Anchor.MIDDLE,
                Rank.MINOR,
                band.isPresent() ? "side.band" : "side.bandUnknown",
                borders);
    }

    private static Point onDial(double degrees, double radius) {
        double t = Math.toRadians(degrees);
        return DIAL.plus(new Point(-radius * Math.sin(t), radius * Math.cos(t)));
    }

    private void drawFrontSeat() {
        Optional<List<SeatingPosition.Clearance>> clearances =
                situation.position().map(SeatingPosition::frontSeat).flatMap(Evidence::value);
        double headEnd = -posed(onShellBack(shellTop + 10, -14)).x();
        double height = posed(onShellBack(shellTop + 10, -14)).y();
        boolean known = clearances.isPresent() && !clearances.get().isEmpty();
        double front = clearances.map(list -> at(list, height)).orElse(headEnd + 60);
        Ink ink = known ? Ink.FRONT_SEAT : Ink.UNKNOWN;
        sketch.curve(
                ink,
                p -> p,
                view(front + 78, -150),
                view(front + 26, 120),
                view(front, height),
                view(front - 12, Math.max(height + 110, 520)));
        sketch.curve(
                ink,
                p -> p,
                view(front + 150, -150),
                view(front + 104, 120),
                view(front + 78, height),
                view(front + 58, Math.max(height + 118, 530)));
        sketch.label(Ink.FAINT, view(front + 66, 60), Anchor.MIDDLE, Rank.MINOR, "side.frontSeat", Map.of());
        if (known) {
            sketch.line(Ink.COMPUTED, view(headEnd + 4, height), view(front, height));
            sketch.label(
                    Ink.COMPUTED,
                    view((front + headEnd) / 2, height + 14),
                    Anchor.MIDDLE,
                    Rank.MAIN,
                    "side.gap",
                    Map.of("gap", Argument.of(Length.ofMillimetres(Math.max(0, front - headEnd)))));
        }
    }

    /** The car's distance at a height, straight between the heights that the sheet gives. */
    private static double at(List<SeatingPosition.Clearance> list, double height) {
        SeatingPosition.Clearance below = list.get(0);
        for (SeatingPosition.Clearance next : list) {
            double h0 = below.height().millimetres();
            double h1 = next.height().millimetres();
            if (h1 >= height && h1 > h0) {
                double share = Math.max(0, (height - h0) / (h1 - h0));
                return below.distance().millimetres()
                        + share
                                * (next.distance().millimetres()
                                        - below.distance().millimetres());
            }
            below = next;
        }
        return below.distance().millimetres();
    }
}
