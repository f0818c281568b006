package app.layette.core.drawing.side;

import app.layette.core.drawing.Point;
import app.layette.core.entry.Situation;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.IndicatorZones;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.recline.ReclineSetUp;
import app.layette.core.seat.SettingId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Where everything in the side view stands at each setting. A screen moves the drawing by what lies between two rows; it
 * computes nothing of its own. Positions are those of the drawing, with y downwards; turns are clockwise in degrees.
 *
 * @param rows one for each setting, from the most upright on
 * @param now index of the row that is drawn
 * @param dial what the needle turns about
 * @param indicator what the indicator's moving part turns about; empty when none is drawn
 */
public record PoseTable(List<Row> rows, int now, Place dial, Optional<Place> indicator) {
    /** A place in the drawing. */
    public record Place(double x, double y) {
        static Place of(Point point) {
            return new Place(point.x(), -point.y());
        }
    }

    /**
     * One setting.
     *
     * @param name as printed on the seat
     * @param foot where the foot-end contact stands
     * @param turn φ, how far the restraint is turned
     * @param pivot what a slide turns the carrier about, with the restraint as it stands in the row that is drawn
     * @param slide how far the carrier is turned on the base
     * @param recline θ
     * @param spread 1 sd
     * @param likelihood in the band
     * @param markAlong shift of the indicator's moving part
     * @param markTurn its turn
     * @param lift ℓ
     * @param gap to the front seat
     */
    public record Row(
            String name,
            Place foot,
            double turn,
            Place pivot,
            double slide,
            Angle recline,
            Angle spread,
            double likelihood,
            double markAlong,
            double markTurn,
            Length lift,
            Optional<Length> gap) {}

    /**
     * The table of a fitting; empty when the angle cannot be computed.
     *
     * @param tried setting to draw; empty for the one it stands at
     */
    public static Optional<PoseTable> of(Situation situation, Optional<SettingId> tried) {
        Setup setup = new Setup(situation, tried);
        if (setup.advice().isEmpty() || ReclineSetUp.of(situation).isEmpty()) {
            return Optional.empty();
        }
        Optional<IndicatorZones> zones = ReclineAdvice.zones(situation);
        Pose drawn = setup.at(setup.now());
        List<Row> rows = new ArrayList<>();
        int now = 0;
        for (ReclineAdvice.Setting setting : setup.advice().get().settings()) {
            if (setup.now().filter(setting::equals).isPresent()) {
                now = rows.size();
            }
            rows.add(row(setup, setting, zones, drawn));
        }
        return rows.isEmpty()
                ? Optional.empty()
                : Optional.of(new PoseTable(
                        List.copyOf(rows),
                        now,
                        Place.of(ReclineDial.CENTRE),
                        zones.map(each ->
                                Place.of(IndicatorFace.pivot(each.indicator().kind())))));
    }

    private static Row row(Setup setup, ReclineAdvice.Setting setting, Optional<IndicatorZones> zones, Pose drawn) {
        Pose pose = setup.at(Optional.of(setting));
        IndicatorFace.Mark mark = zones.map(each -> IndicatorFace.mark(each, SideView.seenRecline(setup, pose)))
                .orElse(new IndicatorFace.Mark(0, 0));
        return new Row(
                setting.name().text(),
                Place.of(pose.base(new Point(0, 0), setup.slope())),
                pose.baseSlope().degrees(),
                Place.of(drawn.base(setup.pivot(), setup.slope())),
                -pose.slide().degrees(),
                setting.recline(),
                setting.spread(),
                setting.likelihood(),
                mark.along(),
                mark.turn(),
                setting.lift(),
                pose.gap());
    }
}
