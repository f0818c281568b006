package app.layette.core.recline;

import app.layette.core.cabin.PlaceAllowed;
import app.layette.core.entry.Fact.RollKind;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Permission;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.recline.learn.Belief;
import app.layette.core.recline.learn.Learned;
import app.layette.core.recline.learn.Zone;
import app.layette.core.seat.Indicator.Borders;
import app.layette.core.seat.Recline;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.VehicleSheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Looks for what would reach a band that no setting reaches (REC-4, REC-6). */
final class WaysOut {
    private static final double WORTH_TRYING = 0.5;

    private final Situation situation;
    private final ReclineSetUp setUp;
    private final Belief belief;
    private final Borders band;

    WaysOut(Situation situation, ReclineSetUp setUp, Learned learned, Borders band) {
        this.situation = situation;
        this.setUp = setUp;
        this.belief = learned.belief();
        this.band = band;
    }

    List<WayOut> find() {
        List<WayOut> ways = new ArrayList<>();
        roll().ifPresent(ways::add);
        otherPlaces().forEach(ways::add);
        ways.add(WayOut.of(WayOut.Kind.OTHER_METHOD_OR_SEAT));
        return List.copyOf(ways);
    }

    /** A roll only ever reclines; it helps where even the most reclined setting is too upright. */
    private Optional<WayOut> roll() {
        Optional<Length> lift = rollLift(situation, setUp, belief, band);
        boolean towel = RollAllowed.permission(situation, RollKind.TOWEL) != Permission.NOT_ALLOWED;
        boolean noodle = RollAllowed.permission(situation, RollKind.NOODLE) != Permission.NOT_ALLOWED;
        if (lift.isEmpty() || setUp.isRigid() || !towel && !noodle) {
            return Optional.empty();
        }
        boolean allowed = RollAllowed.permission(situation, RollKind.TOWEL) == Permission.ALLOWED
                || RollAllowed.permission(situation, RollKind.NOODLE) == Permission.ALLOWED;
        return Optional.of(WayOut.roll(allowed ? WayOut.Kind.ROLL : WayOut.Kind.ROLL_IF_ALLOWED, lift.get()));
    }

    /**
     * The lift of a roll that brings the recline to the middle of the band with the device as it is best set; empty when
     * none is needed. With no device at all this is the one way to set the angle.
     */
    static Optional<Length> rollLift(Situation situation, ReclineSetUp setUp, Belief belief, Borders band) {
        List<Recline.Step> steps = ReclineSetUp.settings(situation);
        Recline.Step highest = steps.isEmpty() ? Recline.Step.PLAIN : steps.get(steps.size() - 1);
        Angle target = Angle.ofDegrees((band.from().degrees() + band.to().degrees()) / 2);
        Optional<Angle> reached = setUp.expect(highest, Optional.empty(), Stage.CHILD, true, Angle.ZERO, Depths.NONE)
                .map(expected -> belief.predict(expected).mean());
        if (reached.isEmpty() || reached.get().compareTo(band.from()) >= 0) {
            return Optional.empty();
        }
        ReclineGeometry geometry = new ReclineGeometry(setUp.theta0(), setUp.slope(), setUp.contact());
        Angle tilt = geometry.tilt(highest.lift());
        return Optional.of(geometry.liftBetween(tilt, tilt.plus(target.minus(reached.get()))));
    }

    /** Places that the rules allow and whose own cushion, by its slope and firmness, would probably do. */
    private List<WayOut> otherPlaces() {
        Optional<PositionId> here = situation.position().map(SeatingPosition::id);
        return situation.car().map(VehicleSheet::positions).orElse(List.of()).stream()
                .map(SeatingPosition::id)
                .filter(place -> here.filter(place::equals).isEmpty())
                .filter(this::wouldDo)
                .map(WayOut::place)
                .toList();
    }

    private boolean wouldDo(PositionId place) {
        Situation there = situation.asIfPlaced(place, situation.usualMethod());
        if (PlaceAllowed.answer(there) != Permission.ALLOWED) {
            return false;
        }
        Zone zone = Zone.between(band.from(), band.to());
        return ReclineSetUp.of(there)
                .map(set -> ReclineSetUp.settings(there).stream()
                        .map(step -> set.expect(step, Optional.empty(), Stage.CHILD, true, Angle.ZERO, Depths.NONE))
                        .flatMap(Optional::stream)
                        .anyMatch(expected -> set.prior().likelihood(expected, zone) >= WORTH_TRYING))
                .orElse(false);
    }
}
