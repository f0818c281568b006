package app.layette.core.drawing.side;

import app.layette.core.drawing.Ink;
import app.layette.core.drawing.Point;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Part;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.drawing.Sketch;
import app.layette.core.entry.Fact.RollKind;
import app.layette.core.finding.Argument;
import app.layette.core.measure.Length;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.recline.ReclineSetUp;
import app.layette.core.recline.roll.Roll;
import app.layette.core.seat.Recline.DeviceKind;
import java.util.Map;
import java.util.Optional;

/** What holds the foot end up, drawn red because hands set it: a foot, a dial's foot, or a roll at the bight. */
final class LiftFigure {
    /** So that a screen has something to stretch. */
    static final double LEAST_DRAWN_MM = 4;

    private static final double LEG_DRAWN_MM = 420;

    private final Sketch sketch;
    private final Setup setup;
    private final RestraintFigure seat;

    LiftFigure(Sketch sketch, Setup setup, RestraintFigure seat) {
        this.sketch = sketch;
        this.setup = setup;
        this.seat = seat;
    }

    void draw() {
        Optional<ReclineAdvice.Setting> now = setup.now();
        boolean byRoll = setup.advice().map(ReclineAdvice::byRoll).orElse(false);
        double lift = now.map(each -> each.lift().millimetres()).orElse(0.0);
        sketch.group(Part.LIFT, () -> {
            if (setup.deviceKind() == DeviceKind.FOOT || setup.deviceKind() == DeviceKind.DIAL) {
                foot(now.map(this::footLift).orElse(0.0));
            }
            if (setup.deviceKind() == DeviceKind.LEG) {
                leg();
            }
            if (byRoll) {
                disc(Math.max(lift, LEAST_DRAWN_MM));
            } else {
                roll();
            }
        });
        if (now.isPresent()) {
            Point at = seat.posed(new Point(40, -lift));
            sketch.group(
                    Part.LIFT_SAYS,
                    () -> sketch.label(
                            Ink.HANDS,
                            new Point(at.x() + 40, at.y() - 58),
                            Anchor.END,
                            Rank.MAIN,
                            SideView.lifts(byRoll, setup.deviceKind(), Length.ofMillimetres(lift)),
                            Map.of(
                                    "step",
                                            Argument.of(
                                                    now.map(each -> each.name().text())
                                                            .orElse("")),
                                    "lift", Argument.of(Length.ofMillimetres(lift)))));
        }
    }

    /** The lift of the device alone: a setting's lift has a roll's in it. */
    private double footLift(ReclineAdvice.Setting setting) {
        return ReclineSetUp.settings(setup.situation()).stream()
                .filter(step -> step.name().equals(setting.name()))
                .findFirst()
                .map(step -> step.lift().millimetres())
                .orElse(setting.lift().millimetres());
    }

    /** Down to the floor, which lies below what is drawn. */
    private void leg() {
        double along = setup.contact() - 24;
        sketch.polygon(
                Ink.HANDS,
                seat::posed,
                new Point(along - 12, 20),
                new Point(along + 12, 20),
                new Point(along + 12, -LEG_DRAWN_MM),
                new Point(along - 12, -LEG_DRAWN_MM));
    }

    private void disc(double height) {
        double radius = height / 2;
        sketch.disc(Ink.HANDS, seat.posed(new Point(radius * 0.2, -radius)), radius);
    }

    private void foot(double lift) {
        double drawn = Math.max(lift, LEAST_DRAWN_MM);
        sketch.polygon(
                Ink.HANDS,
                seat::posed,
                new Point(14, 1),
                new Point(66, 1),
                new Point(62, -drawn),
                new Point(18, -drawn));
    }

    private void roll() {
        setup.roll()
                .filter(placed -> placed.roll() != RollKind.NONE)
                .flatMap(ReclineSetUp::roll)
                .map(Roll::height)
                .ifPresent(height -> disc(height.millimetres()));
    }
}
