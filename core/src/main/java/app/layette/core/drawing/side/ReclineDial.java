package app.layette.core.drawing.side;

import app.layette.core.drawing.Ink;
import app.layette.core.drawing.Point;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Part;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.drawing.Sketch;
import app.layette.core.finding.Argument;
import app.layette.core.measure.Angle;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.seat.Indicator.Borders;
import java.util.Map;
import java.util.Optional;

/** The recline as a needle against the vertical, the allowed band as an arc, and what is not sure as a fan. */
final class ReclineDial {
    static final Point CENTRE = new Point(36, 600);
    private static final double RADIUS = 158;

    private final Sketch sketch;
    private final Setup setup;

    ReclineDial(Sketch sketch, Setup setup) {
        this.sketch = sketch;
        this.setup = setup;
    }

    void draw(Pose pose) {
        Optional<ReclineAdvice.Setting> now = setup.now();
        Optional<Borders> band = setup.advice().flatMap(ReclineAdvice::band);
        boolean known = now.isPresent();
        sketch.line(Ink.FAINT, CENTRE, CENTRE.plus(new Point(0, 200)));
        sketch.arc(Ink.FAINT, CENTRE, RADIUS, RADIUS + 2, 25, 55);
        band.ifPresent(each -> sketch.arc(
                Ink.BAND,
                CENTRE,
                RADIUS + 2,
                RADIUS + 22,
                each.from().degrees(),
                each.to().degrees()));
        now.ifPresent(each -> fan(pose.recline(), each.spread()));
        Ink needle = known ? Ink.COMPUTED : Ink.UNKNOWN;
        sketch.group(
                Part.NEEDLE, () -> sketch.line(needle, CENTRE, at(pose.recline().degrees(), RADIUS)));
        sketch.disc(Ink.MEASURED, CENTRE, 5);
        for (int tick = 30; tick <= 50; tick += 10) {
            sketch.label(
                    Ink.FAINT,
                    at(tick, 214).plus(new Point(0, -8)),
                    Anchor.MIDDLE,
                    Rank.MINOR,
                    "side.tick",
                    Map.of("degrees", Argument.of(tick)));
        }
        sketch.group(
                Part.NEEDLE_SAYS,
                () -> sketch.label(
                        needle,
                        CENTRE.plus(new Point(0, -38)),
                        Anchor.MIDDLE,
                        Rank.MAIN,
                        known ? "side.recline" : "side.reclineUnknown",
                        Map.of("recline", Argument.of(pose.recline()))));
        label(band);
    }

    /** One standard deviation to both sides: it narrows with each look. */
    private void fan(Angle recline, Angle spread) {
        sketch.group(
                Part.FAN_LOW,
                () -> sketch.line(Ink.FAN, CENTRE, at(recline.minus(spread).degrees(), RADIUS - 14)));
        sketch.group(
                Part.FAN_HIGH,
                () -> sketch.line(Ink.FAN, CENTRE, at(recline.plus(spread).degrees(), RADIUS - 14)));
    }

    private void label(Optional<Borders> band) {
        boolean adviceOnly = setup.advice()
                .map(each -> each.basis() == ReclineAdvice.Basis.ADVICE_BAND)
                .orElse(false);
        Map<String, Argument> borders = band.<Map<String, Argument>>map(
                        each -> Map.of("from", Argument.of(each.from()), "to", Argument.of(each.to())))
                .orElse(Map.of());
        String key = band.isEmpty() ? "side.bandUnknown" : adviceOnly ? "side.bandAdvice" : "side.band";
        sketch.label(Ink.FAINT, CENTRE.plus(new Point(0, -66)), Anchor.MIDDLE, Rank.MINOR, key, borders);
    }

    static Point at(double degrees, double radius) {
        double t = Math.toRadians(degrees);
        return CENTRE.plus(new Point(-radius * Math.sin(t), radius * Math.cos(t)));
    }
}
