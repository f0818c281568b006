package app.layette.core.cabin;

import static app.layette.core.finding.RuleCode.CAB_11;

import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import app.layette.core.secure.BeltRules;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.Side;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** CAB-11: a car bed lies on a place that its sheet names; a lay-flat carrier takes two adjacent places of one row. */
public final class FlatRules {
    private static final Set<Conclusion> OF_A_PLACE =
            EnumSet.of(Conclusion.AIRBAG, Conclusion.VEHICLE_SEAT, Conclusion.BELT_LOCKS, Conclusion.INFLATABLE_BELT);

    private FlatRules() {}

    public static List<Rule> rules() {
        return List.of(new BedPlace(), new TwoPlaces());
    }

    /** The place beside a place that a lay-flat carrier takes as well: the middle, or the left one of the middle. */
    public static PositionId besides(PositionId place) {
        Side side = place.side() == Side.MIDDLE ? Side.LEFT : Side.MIDDLE;
        return new PositionId(place.row(), side);
    }

    private static final class BedPlace implements Rule {
        @Override
        public Conclusion conclusion() {
            return Conclusion.BED_PLACE;
        }

        @Override
        public Verdict judge(Situation situation) {
            if (situation.seat().isEmpty() || situation.placed().isEmpty()) {
                return Verdict.open("PLACE");
            }
            Evidence<List<PositionId>> named = situation.seat().get().carBed().positions();
            PositionId place = situation.placed().get().value().position();
            if (named.value().isEmpty()) {
                return Verdict.judged(Finding.of(CAB_11, Weight.NOT_KNOWN, "bedPlacesNotKnown")
                        .from(named)
                        .changedBy("SEAT_MANUAL"));
            }
            boolean isNamed = named.value().get().contains(place);
            return Verdict.judged(Finding.of(
                            CAB_11,
                            isNamed ? Weight.HOLDS : Weight.STOP,
                            isNamed ? "bedPlaceNamed" : "bedPlaceNotNamed")
                    .with("place", new Argument.OfKey("place." + place))
                    .from(named)
                    .changedBy("OTHER_PLACE"));
        }
    }

    private static final class TwoPlaces implements Rule {
        @Override
        public Conclusion conclusion() {
            return Conclusion.LAY_FLAT_PLACES;
        }

        @Override
        public Verdict judge(Situation situation) {
            if (situation.placed().isEmpty() || situation.car().isEmpty()) {
                return Verdict.open("PLACE");
            }
            PositionId second = besides(situation.placed().get().value().position());
            boolean isThere = situation.car().get().position(second).isPresent();
            return Verdict.judged((isThere
                            ? usable(situation.asIfPlaced(second, Method.LAY_FLAT))
                            : Finding.of(CAB_11, Weight.STOP, "noPlaceBeside"))
                    .with("second", new Argument.OfKey("place." + second))
                    .changedBy("OTHER_PLACE"));
        }

        /** What would be asked of the second place alone: airbag, vehicle seat, and a belt that can be locked. */
        private static Finding.Builder usable(Situation beside) {
            List<Verdict> verdicts = Stream.of(PlaceRules.rules(), BeltRules.rules())
                    .flatMap(List::stream)
                    .filter(rule -> OF_A_PLACE.contains(rule.conclusion()))
                    .map(rule -> rule.judge(beside))
                    .toList();
            boolean noBelt = beside.position()
                    .flatMap(position -> position.belt().kind().value())
                    .filter(kind -> kind == Belt.Kind.NONE)
                    .isPresent();
            boolean forbidden = noBelt || verdicts.stream().anyMatch(verdict -> isOf(verdict, Weight.STOP));
            boolean unknown = verdicts.stream()
                    .anyMatch(verdict -> verdict instanceof Verdict.Open || isOf(verdict, Weight.NOT_KNOWN));
            if (forbidden) {
                return Finding.of(CAB_11, Weight.STOP, "placeBesideUnusable");
            }
            return unknown
                    ? Finding.of(CAB_11, Weight.NOT_KNOWN, "placeBesideNotKnown")
                    : Finding.of(CAB_11, Weight.HOLDS, "twoPlaces");
        }

        private static boolean isOf(Verdict verdict, Weight weight) {
            return verdict instanceof Verdict.Judged judged && judged.deciding().weight() == weight;
        }
    }
}
