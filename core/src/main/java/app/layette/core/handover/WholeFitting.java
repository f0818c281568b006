package app.layette.core.handover;

import static app.layette.core.finding.RuleCode.OUT_4;

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
                    Finding.of(OUT_4, Weight.NOT_KNOWN, "moreThanOne").changedBy("OWN_FITTING"));
        }
        if (situation.neighbours().units().isEmpty()
                && !situation.neighbours().inOtherCars().isEmpty()) {
            return Verdict.judged(inThisCar(situation));
        }
        if (situation.neighbours().units().isEmpty()) {
            return Verdict.judged(Finding.of(OUT_4, Weight.HOLDS, "oneRiderOneUnit"));
        }
        if (situation.neighbours().isFor(situation.unit().rider())) {
            return Verdict.judged(Finding.of(OUT_4, Weight.STOP, "riderTwice").changedBy("OWN_FITTING"));
        }
        return Verdict.judged(taken(situation).orElseGet(() -> Finding.of(OUT_4, Weight.HOLDS, "eachItsOwn")));
    }

    /** Where the seat stands in several cars each is handed over for itself, and says which it is. */
    private static Finding.Builder inThisCar(Situation situation) {
        return situation
                .car()
                .map(car -> Finding.of(OUT_4, Weight.HOLDS, "inThisCar")
                        .with("car", new Argument.OfText(car.fullName().strip())))
                .orElseGet(() -> Finding.of(OUT_4, Weight.NOT_KNOWN, "whichCar").changedBy("WHICH_CAR"));
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
        Optional<Finding.Builder> place = own.placeOf(other).map(each -> stop("placeTaken", each));
        return place.or(() -> own.useOf(other)
                .map(use -> stop(use.kind() == Occupied.Kind.BELT ? "beltTaken" : "anchorTaken", use.place())));
    }

    private static Finding.Builder stop(String reason, PositionId place) {
        return Finding.of(OUT_4, Weight.STOP, reason)
                .with("place", new Argument.OfKey("place." + place))
                .changedBy("OTHER_PLACE");
    }
}
