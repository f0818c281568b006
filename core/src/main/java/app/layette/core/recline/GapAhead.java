package app.layette.core.recline;

import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.ReclineAdvice.Setting;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.seat.OutlinePoint;
import app.layette.core.vehicle.SeatingPosition;
import java.util.List;
import java.util.Optional;

/** CAB-10 beforehand: the gap to the front seat at a setting, from the restraint's outline and the car's distances. */
public final class GapAhead {
    private static final Angle USUAL_BACK = Angle.ofDegrees(22);

    private GapAhead() {}

    /** Empty where the sheets do not say enough. */
    public static Optional<Length> of(Situation situation, Setting setting) {
        Optional<ReclineSetUp> setUp = ReclineSetUp.of(situation);
        Optional<List<OutlinePoint>> outline =
                situation.seat().flatMap(seat -> seat.shell().outline().value());
        Optional<List<SeatingPosition.Clearance>> frontSeat =
                situation.position().map(SeatingPosition::frontSeat).flatMap(Evidence::value);
        if (setUp.isEmpty() || outline.isEmpty() || frontSeat.isEmpty()) {
            return Optional.empty();
        }
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
        return new FrontToBack(turned, baseSlope, setUp.get().slope(), held, back).gap(frontSeat.get());
    }
}
