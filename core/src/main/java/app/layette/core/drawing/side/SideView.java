package app.layette.core.drawing.side;

import app.layette.core.drawing.ChildFigure;
import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.Shape.Part;
import app.layette.core.drawing.Sketch;
import app.layette.core.entry.Situation;
import app.layette.core.finding.Argument;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.IndicatorZones;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.Recline.DeviceKind;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SettingId;
import app.layette.core.step.Ask;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The car seat's slope, base, shell and child, from the same geometry that decides. The bight is the origin; the front of
 * the car is to the left.
 */
public final class SideView {
    private static final double LEFT = -930;
    private static final double BOTTOM = -182;

    private SideView() {}

    /** Draws the restraint at the setting it stands at, with the child in it once it is born. */
    public static Drawing of(Situation situation) {
        return of(situation, Optional.empty());
    }

    /** Draws the restraint at a setting that is only tried. */
    public static Drawing of(Situation situation, Optional<SettingId> tried) {
        return of(situation, tried, List.of());
    }

    /**
     * Draws the restraint with the numbered marks of a look.
     *
     * @param marks what they ask, in their order; what is on no part of the drawing gets no number on it
     */
    public static Drawing of(Situation situation, Optional<SettingId> tried, List<Ask> marks) {
        Setup setup = new Setup(situation, tried);
        Pose pose = setup.at(setup.now());
        Sketch sketch = new Sketch();
        VehicleSeatFigure car = new VehicleSeatFigure(sketch, setup);
        RestraintFigure seat = new RestraintFigure(sketch, setup, pose);
        car.drawSeat();
        sketch.group(Part.RESTRAINT, () -> {
            if (setup.hasBase()) {
                seat.drawBase();
            }
            if (!setup.method().isBaseless()) {
                new LiftFigure(sketch, setup, seat).draw();
            }
            sketch.group(Part.CARRIER, () -> {
                seat.drawShell();
                // Before the birth nobody lies in it.
                if (situation.expected().isEmpty()) {
                    new RiderFigure(sketch, ChildFigure.of(situation), seat).draw();
                }
                if (setup.method().kind() != SeatKind.CONVERTIBLE) {
                    seat.drawHandle();
                }
            });
        });
        new ReclineDial(sketch, setup).draw(pose);
        ReclineAdvice.zones(situation)
                .filter(zones -> setup.now().isPresent())
                .ifPresent(zones -> drawIndicator(sketch, setup, zones, pose));
        car.drawFrontSeat(pose);
        new MarkSpots(sketch, setup, seat).draw(marks);
        return new Drawing(
                "side",
                LEFT,
                BOTTOM,
                1090,
                1000,
                sketch.shapes(),
                "drawing.side.description",
                Map.of("recline", Argument.of(pose.recline()), "slope", Argument.of(setup.slope())));
    }

    /** As it should look with the child in, and beside it as it was seen last at this setting. */
    private static void drawIndicator(Sketch sketch, Setup setup, IndicatorZones zones, Pose pose) {
        IndicatorFace.expected(sketch, zones).draw(seenRecline(setup, pose));
        setup.lastSeen().ifPresent(reading -> IndicatorFace.seen(sketch, zones).draw(zones.typical(reading)));
    }

    /** What the seat's own indicator sees: one on the base does not see a slide. */
    static Angle seenRecline(Setup setup, Pose pose) {
        boolean onBase = ReclineAdvice.zones(setup.situation())
                .map(zones -> zones.indicator().mount() == Indicator.Mount.BASE)
                .orElse(false);
        return onBase ? pose.recline().minus(pose.slide()) : pose.recline();
    }

    /**
     * What holds the foot end up, as the key of a label.
     *
     * @param lift of it; no roll has none
     */
    public static String lifts(boolean byRoll, DeviceKind device, Length lift) {
        if (!byRoll) {
            return "side.foot." + device;
        }
        return lift.millimetres() > 0 ? "side.roll" : "side.noRoll";
    }
}
