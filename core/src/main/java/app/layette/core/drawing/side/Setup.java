package app.layette.core.drawing.side;

import app.layette.core.drawing.Point;
import app.layette.core.entry.Fact.LevelRead;
import app.layette.core.entry.Fact.RollPlaced;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.FrontToBack;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.recline.ReclineSetUp;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.seat.OutlinePoint;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.SettingId;
import app.layette.core.vehicle.SeatingPosition;
import java.util.List;
import java.util.Optional;

/**
 * What the side view is drawn from: the cushion, the vehicle seat back, the restraint and how it stands at a setting. The
 * usual figures of the handbook stand in for what nobody knows, and are drawn as not known.
 */
final class Setup {
    static final double USUAL_SLOPE = 12;
    static final double USUAL_THETA0 = 47;
    static final double USUAL_CONTACT = 400;
    private static final double USUAL_BACK_ANGLE = 22;
    private static final double USUAL_SHELL_TOP = 470;

    /** Outline of the restraint as it is drawn where the sheet has none. */
    private static final List<OutlinePoint> DRAWN = List.of(
            new OutlinePoint(-10, 46),
            new OutlinePoint(0, 0),
            new OutlinePoint(USUAL_CONTACT, 0),
            new OutlinePoint(-66, 318),
            new OutlinePoint(-52, 210));

    private final Situation situation;
    private final Optional<ReclineSetUp> known;
    private final Optional<ReclineAdvice> advice;
    private final Optional<SettingId> tried;

    Setup(Situation situation, Optional<SettingId> tried) {
        this.situation = situation;
        this.tried = tried;
        this.known = ReclineSetUp.of(situation);
        this.advice = ReclineAdvice.of(situation);
    }

    Method method() {
        return situation.usualMethod();
    }

    /** Whether a base stands between cushion and shell. */
    boolean hasBase() {
        return method().isOnBase();
    }

    Situation situation() {
        return situation;
    }

    Optional<ReclineAdvice> advice() {
        return advice;
    }

    /** Whether the cushion's slope is known here. */
    boolean knowsSlope() {
        return ReclineSetUp.cushionSlope(situation).isPresent();
    }

    Angle slope() {
        return ReclineSetUp.cushionSlope(situation).orElse(Angle.ofDegrees(USUAL_SLOPE));
    }

    Angle theta0() {
        return recline().flatMap(each -> each.theta0().value()).orElse(Angle.ofDegrees(USUAL_THETA0));
    }

    double contact() {
        return recline()
                .flatMap(each -> each.contact().value())
                .map(Length::millimetres)
                .orElse(USUAL_CONTACT);
    }

    double shellTop() {
        return situation
                .seat()
                .flatMap(seat -> seat.shell().top().value())
                .map(Length::millimetres)
                .orElse(USUAL_SHELL_TOP);
    }

    Angle backAngle() {
        return situation
                .position()
                .map(SeatingPosition::backAngle)
                .flatMap(Evidence::value)
                .orElse(Angle.ofDegrees(USUAL_BACK_ANGLE));
    }

    List<SeatingPosition.Clearance> frontSeat() {
        return situation
                .position()
                .map(SeatingPosition::frontSeat)
                .flatMap(Evidence::value)
                .orElse(List.of());
    }

    Recline.DeviceKind deviceKind() {
        return recline()
                .flatMap(each -> each.device().value())
                .map(Recline.Device::kind)
                .orElse(Recline.DeviceKind.NONE);
    }

    private Optional<Recline> recline() {
        return situation.seat().map(SeatSheet::recline);
    }

    /** The point that a slide turns the carrier about, in the base frame. */
    Point pivot() {
        return new Point(contact() / 2, FrontToBack.PIVOT_UP_MM);
    }

    /** The setting that is drawn: as tried, else as set, else as advised, else the most upright. */
    Optional<ReclineAdvice.Setting> now() {
        return advice.flatMap(each -> tried.flatMap(each::setting)
                .or(each::now)
                .or(each::toTry)
                .or(() -> each.settings().stream().findFirst()));
    }

    /** How it stands at a setting, with the child in. */
    Pose at(Optional<ReclineAdvice.Setting> setting) {
        if (known.isEmpty() || setting.isEmpty()) {
            return pose(slope(), 0, Angle.ZERO, theta0().minus(slope()));
        }
        Angle recline = setting.get().recline();
        Angle baseSlope = theta0().plus(setting.get().slide()).minus(recline);
        double foot = known.get().isRigid()
                ? 0
                : known.get().model().depths(Stage.CHILD, Depths.NONE).footEndMm();
        double held = setting.get().lift().millimetres() - foot;
        return pose(baseSlope, held, setting.get().slide(), recline);
    }

    /** How it stands at a recline that is so, whatever anybody expects. */
    Pose standing(Angle recline, double heldUpMm) {
        return pose(theta0().minus(recline), heldUpMm, Angle.ZERO, recline);
    }

    private Pose pose(Angle baseSlope, double heldUpMm, Angle slide, Angle recline) {
        List<OutlinePoint> outline = outline(slide);
        FrontToBack standing = new FrontToBack(outline, baseSlope, slope(), heldUpMm, backAngle());
        return new Pose(
                baseSlope, heldUpMm, slide, standing.shiftMm() + 4, recline, standing.gap(frontSeat()), standing);
    }

    /** Whether the outline is the sheet's and decides the gap, or only the drawing's. */
    boolean knowsOutline() {
        return sheetOutline().isPresent();
    }

    private Optional<List<OutlinePoint>> sheetOutline() {
        return situation.seat().flatMap(seat -> seat.shell().outline().value());
    }

    /** The outline with everything above the base's top turned by the slide. */
    private List<OutlinePoint> outline(Angle slide) {
        List<OutlinePoint> outline = sheetOutline().orElseGet(this::drawnOutline);
        return FrontToBack.slidden(outline, slide, contact());
    }

    private List<OutlinePoint> drawnOutline() {
        double t = theta0().radians();
        double up = shellTop() + 10;
        List<OutlinePoint> all = new java.util.ArrayList<>(DRAWN);
        all.add(new OutlinePoint(
                RestraintFigure.HIPS.x() + up * Math.sin(t) + 17 * Math.cos(t),
                RestraintFigure.HIPS.y() + up * Math.cos(t) - 17 * Math.sin(t)));
        return all;
    }

    /** What the indicator showed at the setting that is drawn; empty when nobody has looked since it was set. */
    Optional<Reading> lastSeen() {
        boolean asSet = tried.isEmpty() || tried.equals(advice.flatMap(ReclineAdvice::settingNow));
        return situation
                .newest(LevelRead.class)
                .filter(read -> asSet && read.seq() > situation.lastDeviceChange())
                .map(read -> read.value().reading());
    }

    /** A roll that lies under the foot end. */
    Optional<RollPlaced> roll() {
        return situation.newest(RollPlaced.class).map(Stamped::value);
    }
}
