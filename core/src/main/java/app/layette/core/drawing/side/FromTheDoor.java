package app.layette.core.drawing.side;

import app.layette.core.drawing.BenchSpot;
import app.layette.core.drawing.ChildFigure;
import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.Ink;
import app.layette.core.drawing.Point;
import app.layette.core.drawing.Sketch;
import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.measure.Angle;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * The restraint on the practice bench as it stands, seen from the open door: nothing computed, nothing judged, no number;
 * and where hands can take hold.
 */
public final class FromTheDoor {
    private static final double LEFT = -960;
    private static final double BOTTOM = -190;
    private static final UnaryOperator<Point> AS_IS = p -> p;
    private static final double SEAT_UP_MM = 330;
    /** Slack webbing hangs through by this. */
    private static final double HANGS_MM = 34;

    private FromTheDoor() {}

    /**
     * How it stands.
     *
     * @param recline θ
     * @param heldUpMm ℓ − c_r
     * @param shellOn whether the shell stands there
     * @param childIn whether the doll lies in it
     * @param gapMm room to the front seat
     * @param webbing whether belt or strap is there at all
     * @param taut whether it is under tension
     */
    public record Stands(
            Angle recline,
            double heldUpMm,
            boolean shellOn,
            boolean childIn,
            double gapMm,
            boolean webbing,
            boolean taut) {}

    /**
     * Draws it.
     *
     * @param hands whether the places for hands and eyes are drawn
     */
    public static Drawing of(Situation situation, Stands stands, boolean hands) {
        Setup setup = new Setup(situation, Optional.empty());
        Pose pose = setup.standing(stands.recline(), stands.heldUpMm());
        Sketch sketch = new Sketch();
        VehicleSeatFigure car = new VehicleSeatFigure(sketch, setup);
        RestraintFigure seat = new RestraintFigure(sketch, setup, pose);
        car.drawUpholstery();
        if (setup.hasBase()) {
            foot(sketch, seat, stands.heldUpMm());
            seat.drawBase();
        }
        if (stands.shellOn()) {
            seat.drawShell();
            if (stands.childIn()) {
                new RiderFigure(sketch, ChildFigure.of(situation), seat).draw();
            }
            Method method = setup.method();
            if (method.isOnBase() || method.isBaseless()) {
                seat.drawHandle();
            }
        }
        if (stands.webbing()) {
            webbing(sketch, setup, seat, stands.taut());
        }
        frontSeat(sketch, pose, stands.gapMm());
        if (hands) {
            spots(sketch, setup, seat, pose, stands);
        }
        return new Drawing("bench", LEFT, BOTTOM, 1230, 900, sketch.shapes(), "drawing.bench.door", Map.of());
    }

    /** Belt or strap from the path to the bight; without tension it hangs. */
    private static void webbing(Sketch sketch, Setup setup, RestraintFigure seat, boolean taut) {
        double contact = setup.contact();
        Point path = seat.posed(new Point(contact * 0.42, 62));
        Point bight = new Point(26, -6);
        double hangs = taut ? 0 : HANGS_MM;
        Point between = new Point((path.x() + bight.x()) / 2, (path.y() + bight.y()) / 2 - hangs);
        sketch.ribbon(Ink.WEBBING, 22, AS_IS, path, between, bight);
    }

    /** What stands between cushion and foot end. */
    private static void foot(Sketch sketch, RestraintFigure seat, double heldUpMm) {
        Point near = seat.posed(new Point(14, 8));
        Point far = seat.posed(new Point(74, 6));
        Point down = new Point(0, -Math.max(0, heldUpMm));
        sketch.polygon(Ink.BASE, AS_IS, near, far, far.plus(down), near.plus(down));
    }

    private static void frontSeat(Sketch sketch, Pose pose, double gapMm) {
        double headEnd = pose.outline().foremost().alongMm();
        double front = headEnd + gapMm;
        sketch.link("MOVE_FRONT_SEAT", "bench.spot.MOVE_FRONT_SEAT", Map.of(), () -> {
            sketch.blob(
                    Ink.UPHOLSTERY,
                    AS_IS,
                    VehicleSeatFigure.view(front, SEAT_UP_MM),
                    VehicleSeatFigure.view(front - 8, 520),
                    VehicleSeatFigure.view(front + 62, 560),
                    VehicleSeatFigure.view(front + 96, SEAT_UP_MM),
                    VehicleSeatFigure.view(front + 150, -80),
                    VehicleSeatFigure.view(front + 60, -80),
                    VehicleSeatFigure.view(front + 26, 120));
        });
    }

    /** Where hands and eyes go; each leads to what can be done there. */
    private static void spots(Sketch sketch, Setup setup, RestraintFigure seat, Pose pose, Stands stands) {
        double contact = setup.contact();
        double up = setup.hasBase() ? 96 : 118;
        spot(sketch, "PRESS/FOOT_END", seat.posed(new Point(contact * 0.14, up)));
        spot(sketch, "PRESS/MIDDLE", seat.posed(new Point(contact * 0.5, up + 8)));
        spot(sketch, "PRESS/HEAD_END", seat.posed(new Point(contact * 0.86, up)));
        spot(sketch, "TUG/BELT_PATH", seat.posed(new Point(contact * 0.36, 30)));
        spot(sketch, "TUG/HEAD_END", seat.posed(new Point(contact * 0.98, 22)));
        if (setup.method().isReclined()) {
            spot(sketch, "LEVEL/DOOR", seat.posed(new Point(contact * 0.68, 40)));
        }
        if (stands.shellOn()) {
            spot(sketch, "PINCH/-", seat.carried(seat.onShellBack(setup.shellTop() * 0.42, 150)));
            spot(sketch, "LOOK/HARNESS", seat.carried(seat.onShellBack(setup.shellTop() * 0.62, -82)));
            spot(sketch, "LOOK/HANDLE", seat.carried(seat.onShellBack(setup.shellTop() * 0.72, 240)));
        }
        double headEnd = pose.outline().foremost().alongMm();
        spot(sketch, "LOOK/PLACE", VehicleSeatFigure.view(headEnd + stands.gapMm() / 2, SEAT_UP_MM + 10));
        spot(sketch, "LOOK/" + (setup.method().isByBelt() ? "BELT" : "ANCHORS"), new Point(70, -10));
    }

    private static void spot(Sketch sketch, String target, Point at) {
        String key = "bench.spot." + target.replace('/', '.').replace(".-", "");
        sketch.link(target, key, Map.of(), () -> BenchSpot.draw(sketch, target, at));
    }
}
