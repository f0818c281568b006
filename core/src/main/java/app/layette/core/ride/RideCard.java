package app.layette.core.ride;

import static app.layette.core.finding.RuleCode.CAB_13;

import app.layette.core.entry.Situation;
import app.layette.core.evidence.Permission;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.gate.ConclusionState;
import app.layette.core.gate.Gate;
import app.layette.core.gate.RuleBook;
import app.layette.core.practice.PracticeProfile.RoutingFirst;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Rules;
import app.layette.core.run.Saying;
import app.layette.core.run.SheetSays;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.SeatSheet;
import app.layette.core.secure.HandleForDriving;
import app.layette.core.step.StepKey;
import app.layette.core.suit.WeightFits;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A baseless ride as planned: the gate's own rules over a reduced set. Weight, kind, orders, screening, routing and handle
 * decide, and whatever an earlier clearing of the same child and seat found wrong. What belongs to the car, its airbag,
 * its belt and the place, is proved beside it: a line on the card each, unless it is known, and known to be wrong refuses.
 *
 * @param routing to use; empty when nothing may be used
 * @param findings what it rests on and what stands against it, the heaviest first
 * @param prove what has to be proved at the car
 * @param handles positions of the handle that the seat manual allows for driving
 * @param indicator the seat's own level indicator; empty where nobody has looked
 * @param says what the sheet says about the way, in its own words
 */
public record RideCard(
        Optional<Routing> routing,
        List<Finding> findings,
        List<Finding> prove,
        List<HandlePosition> handles,
        Optional<Indicator> indicator,
        List<Saying> says) {
    private static final List<Conclusion> OF_THE_RIDE =
            List.of(Conclusion.METHOD, Conclusion.WEIGHT, Conclusion.ORDERS, Conclusion.SCREENING);

    /** What is proved by asking, where nobody was asked. */
    private static final Map<Conclusion, Finding> PROVED_BY_ASKING = Map.of(
            Conclusion.ORDERS,
                    Finding.of(Weight.ADVISE, "finding.SUIT-7.proveNoOrder").build(),
            Conclusion.SCREENING,
                    Finding.of(Weight.ADVISE, "finding.SUIT-8.proveScreening").build());

    public RideCard {
        findings = List.copyOf(findings);
        prove = List.copyOf(prove);
        handles = List.copyOf(handles);
        says = List.copyOf(says);
    }

    /** Plans a ride. */
    public static RideCard plan(Ride ride) {
        return new Planner(ride).card();
    }

    private static final class Planner {
        private final Ride ride;
        private final Situation base;
        private final List<Finding> findings = new ArrayList<>();
        private final List<Finding> prove = new ArrayList<>();

        Planner(Ride ride) {
            this.ride = ride;
            this.base = ride.situation();
        }

        RideCard card() {
            List<Routing> order = order();
            Optional<Routing> first = order.stream().filter(this::isAllowed).findFirst();
            Situation there = by(first.orElse(order.get(0)));
            boolean open = true;
            for (Conclusion conclusion : OF_THE_RIDE) {
                open &= judged(conclusion, there);
            }
            if (first.isEmpty()) {
                // That the carrier is made for such a way says nothing beside a routing that is not allowed.
                findings.removeIf(
                        each -> each.code() == CAB_13 && !each.weight().blocks());
            }
            List<HandlePosition> handles = handles(there);
            open &= !handles.isEmpty();
            for (ConclusionState wrong : ride.foundWrong()) {
                findings.addAll(wrong.findings());
                open = false;
            }
            order.forEach(this::sayAbout);
            for (Conclusion conclusion : Rules.conclusions(RuleCard::isOfPlaceAlone)) {
                open &= provedOrToProve(conclusion, there);
            }
            findings.sort(Comparator.comparing(Finding::weight));
            return new RideCard(
                    open ? first : Optional.empty(),
                    findings,
                    prove,
                    handles,
                    base.seat().flatMap(seat -> seat.recline().indicator().value()),
                    Stream.of(StepKey.ROUTE_BELT, StepKey.LEVEL_CHILD)
                            .flatMap(step -> SheetSays.at(step, there).stream())
                            .toList());
        }

        private List<Routing> order() {
            boolean european = base.practice().profile().routingFirst() == RoutingFirst.EUROPEAN;
            return european ? List.of(Routing.EUROPEAN, Routing.AMERICAN) : List.of(Routing.AMERICAN, Routing.EUROPEAN);
        }

        private Situation by(Routing routing) {
            return base.asIfPlaced(ride.place(), routing.method());
        }

        /** Whether a conclusion of the ride stands; what nobody was asked is said, and held against nobody. */
        private boolean judged(Conclusion conclusion, Situation there) {
            ConclusionState state = Gate.judge(conclusion, RuleBook.shipped(), there);
            if (state.findings().isEmpty()) {
                return notAsked(conclusion, there);
            }
            findings.addAll(state.findings());
            return state.passed();
        }

        private boolean notAsked(Conclusion conclusion, Situation there) {
            if (conclusion.equals(Conclusion.WEIGHT)) {
                // Nobody said when the child was born: the limits count all the same.
                Finding limits = WeightFits.againstLimits(there);
                findings.add(limits);
                return !limits.weight().blocks();
            }
            Finding toProve = PROVED_BY_ASKING.get(conclusion);
            if (toProve != null) {
                prove.add(toProve);
            }
            return toProve != null;
        }

        /** A routing that is not allowed says so and leaves the other one. */
        private void sayAbout(Routing routing) {
            judgedRouting(routing).findings().stream()
                    .filter(each -> !findings.contains(each))
                    .forEach(findings::add);
        }

        private boolean isAllowed(Routing routing) {
            return judgedRouting(routing).passed();
        }

        private ConclusionState judgedRouting(Routing routing) {
            return Gate.judge(Conclusion.ROUTING_ALLOWED, RuleBook.shipped(), by(routing));
        }

        private List<HandlePosition> handles(Situation there) {
            List<HandlePosition> allowed = Arrays.stream(HandlePosition.values())
                    .filter(position -> HandleForDriving.permission(there, position) == Permission.ALLOWED)
                    .toList();
            boolean looked = there.seat()
                    .map(SeatSheet::handle)
                    .filter(each -> each.value().isPresent())
                    .isPresent();
            if (allowed.isEmpty()) {
                findings.add(Finding.of(
                                looked ? Weight.STOP : Weight.NOT_KNOWN,
                                looked ? "finding.SEC-9.noneAllowed" : "finding.SEC-9.noneKnown")
                        .changedBy("SEAT_MANUAL")
                        .build());
            }
            allowed.forEach(position -> findings.add(Finding.of(Weight.HOLDS, "finding.SEC-9.allowed")
                    .with("position", Argument.key("handle", position))
                    .build()));
            return allowed;
        }

        private boolean provedOrToProve(Conclusion conclusion, Situation there) {
            ConclusionState state = Gate.judge(conclusion, RuleBook.shipped(), there);
            if (ride.car().isPresent() && (state.passed() || state.state() == ConclusionState.State.FAILED)) {
                findings.addAll(state.findings());
                return state.passed();
            }
            // Of the vehicle seat it is also proved that it is one of the back (CAB-13).
            RuleCode code = conclusion.equals(Conclusion.VEHICLE_SEAT) ? CAB_13 : conclusion.code();
            prove.add(
                    Finding.of(code, Weight.ADVISE, "prove" + conclusion.name()).build());
            return true;
        }
    }
}
