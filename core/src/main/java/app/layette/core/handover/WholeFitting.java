package app.layette.core.handover;

import app.layette.core.cabin.Occupied;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Fact.Placed;
import app.layette.core.entry.Situation;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.VehicleSheet;
import com.google.auto.service.AutoService;
import java.util.Optional;

/**
 * OUT-4: of several children and seats each is judged for itself, in places of its own and by
 * belts and anchors of its own. Where nobody said which is meant it stays shut.
 */
@AutoService(Asking.class)
public final class WholeFitting implements Rule {
    private static final RuleCard CARD =
            RuleCard.of(Conclusion.WHOLE_FITTING, RuleCode.OUT_4).at(StepKey.HAND_OVER, 300);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(Situation situation) {
        if (!situation.isOfOneRiderAndUnit()) {
            return Verdict.judged(
                    Finding.of(Weight.NOT_KNOWN, "finding.OUT-4.moreThanOne").changedBy("OWN_FITTING"));
        }
        if (situation.neighbours().units().isEmpty()
                && !situation.neighbours().inOtherCars().isEmpty()) {
            return Verdict.judged(inThisCar(situation));
        }
        if (situation.neighbours().units().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.HOLDS, "finding.OUT-4.oneRiderOneUnit"));
        }
        if (situation.neighbours().isFor(situation.unit().rider())) {
            return Verdict.judged(
                    Finding.of(Weight.STOP, "finding.OUT-4.riderTwice").changedBy("OWN_FITTING"));
        }
        return Verdict.judged(taken(situation).orElseGet(() -> Finding.of(Weight.HOLDS, "finding.OUT-4.eachItsOwn")));
    }

    /** Where the seat stands in several cars each is handed over for itself, and says which it is. */
    private static Finding.Builder inThisCar(Situation situation) {
        return situation
                .car()
                .map(car -> Finding.of(Weight.HOLDS, "finding.OUT-4.inThisCar")
                        .with("car", new Argument.OfText(car.fullName().strip())))
                .orElseGet(() ->
                        Finding.of(Weight.NOT_KNOWN, "finding.OUT-4.whichCar").changedBy("WHICH_CAR"));
    }

    /** What this restraint would take from another one of the fitting, or already stands in the way of. */
    private static Optional<Finding.Builder> taken(Situation situation) {
        if (situation.placed().isEmpty()) {
            return Optional.empty();
        }
        Optional<VehicleSheet> car = situation.car();
        Placed placed = situation.placed().get().value();
        Occupied own = Occupied.byRestraint(
                placed.position(),
                placed.method(),
                situation.seat().flatMap(seat -> seat.shell().width()),
                car);
        return situation.neighbours().standing().stream()
                .map(each -> Occupied.byRestraint(each.place(), each.method(), each.width(), car))
                .flatMap(other -> shared(own, other).stream())
                .findFirst();
    }

    private static Optional<Finding.Builder> shared(Occupied own, Occupied other) {
        Optional<Finding.Builder> place = own.placeOf(other).map(each -> stop("finding.OUT-4.placeTaken", each));
        return place.or(() -> own.useOf(other)
                .map(use -> stop(
                        use.kind() == Occupied.Kind.BELT ? "finding.OUT-4.beltTaken" : "finding.OUT-4.anchorTaken",
                        use.place())));
    }

    private static Finding.Builder stop(String message, PositionId place) {
        return Finding.of(Weight.STOP, message)
                .with("place", new Argument.OfKey("place." + place))
                .changedBy("OTHER_PLACE");
    }
}
