package app.layette.core.recline;

import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.PlaceNow;
import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.ReclineAdvice.Setting;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.seat.OutlinePoint;
import app.layette.core.vehicle.SeatingPosition;
import java.util.List;
import java.util.Optional;

/** CAB-10 beforehand: how a restraint stands and its gap to the front seat, from its outline and the car's distances. */
public final class GapAhead {
    private static final Angle USUAL_BACK = Angle.ofDegrees(22);

    private GapAhead() {}

    /**
     * How a restraint stands from front to back, in mm from the bight.
     *
     * @param rearMm its end at the vehicle seat back
     * @param frontMm its foremost point
     * @param tightest where it is nearest to the front seat; empty where the car's distances are not known
     */
    public record Standing(double rearMm, double frontMm, Optional<FrontToBack.Tightest> tightest) {
        /** The room to the front seat. */
        public Optional<Length> gap() {
            return tightest.map(FrontToBack.Tightest::room);
        }
    }

    /** How it stands at a setting; empty where the seat's sheet does not say enough. */
    public static Optional<Standing> standing(PlaceNow situation, Setting setting) {
        Optional<ReclineSetUp> setUp = ReclineSetUp.of(situation);
        Optional<List<OutlinePoint>> outline =
                situation.seat().flatMap(seat -> seat.shell().outline().value());
        if (setUp.isEmpty() || outline.isEmpty()) {
            return Optional.empty();
        }
        List<SeatingPosition.Clearance> frontSeat = situation
                .position()
                .map(SeatingPosition::frontSeat)
                .flatMap(Evidence::value)
                .orElse(List.of());
        Angle baseSlope = setUp.get().theta0().plus(setting.slide()).minus(setting.recline());
        double foot = setUp.get().isRigid()
                ? 0
                : setUp.get().model().depths(Stage.CHILD, Depths.NONE).footEndMm();
        double held = setUp.get().isRigid() ? 0 : setting.lift().millimetres() - foot;
        Angle back = situation
                .position()
                .map(SeatingPosition::backAngle)
                .flatMap(Evidence::value)
                .orElse(USUAL_BACK);
        List<OutlinePoint> turned = FrontToBack.slidden(
                outline.get(), setting.slide(), setUp.get().contact().millimetres());
        FrontToBack placed = new FrontToBack(turned, baseSlope, setUp.get().slope(), held, back);
        return Optional.of(
                new Standing(placed.hindmost().alongMm(), placed.foremost().alongMm(), placed.tightest(frontSeat)));
    }
}
