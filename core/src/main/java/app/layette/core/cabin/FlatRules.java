package app.layette.core.cabin;

import static app.layette.core.finding.RuleCode.CAB_11;

import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Lack;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import app.layette.core.secure.BeltRules;
import app.layette.core.vehicle.PositionId;
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
            Permission ofPlace = named.value()
                    .map(list -> list.contains(place) ? Permission.ALLOWED : Permission.NOT_ALLOWED)
                    .orElse(Permission.NOT_KNOWN);
            Finding.Builder finding =
                    switch (situation.permission(PermissionKey.CAR_BED_POSITION, Speaker.SEAT, ofPlace)) {
                        case ALLOWED -> Finding.of(CAB_11, Weight.HOLDS, "bedPlaceNamed");
                        case NOT_ALLOWED ->
                            Finding.of(CAB_11, Weight.STOP, "bedPlaceNotNamed").changedBy("OTHER_PLACE");
                        case NOT_KNOWN ->
                            Finding.of(CAB_11, Weight.NOT_KNOWN, "bedPlacesNotKnown")
                                    .changedBy("SEAT_MANUAL")
                                    .toldBy(PermissionKey.CAR_BED_POSITION);
                    };
            return Verdict.judged(
                    finding.with("place", new Argument.OfKey("place." + place)).from(named));
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
            Permission lies = situation.permission(PermissionKey.LAY_FLAT_POSITION);
            if (lies != Permission.ALLOWED) {
                return Verdict.judged(
                        lies == Permission.NOT_ALLOWED
                                ? Finding.of(CAB_11, Weight.STOP, "layFlatNotAllowed")
                                        .changedBy("OTHER_PLACE")
                                : Finding.of(CAB_11, Weight.NOT_KNOWN, "layFlatNotKnown")
                                        .changedBy("SEAT_MANUAL")
                                        .toldBy(PermissionKey.LAY_FLAT_POSITION));
            }
            PositionId second = situation.placed().get().value().position().besides();
            boolean isThere = situation.car().get().position(second).isPresent();
            return Verdict.judged((isThere
                            ? usable(situation.asIfPlaced(second, Method.LAY_FLAT), second)
                            : Finding.of(CAB_11, Weight.STOP, "noPlaceBeside"))
                    .with("second", new Argument.OfKey("place." + second))
                    .changedBy("OTHER_PLACE"));
        }

        private static List<Lack> lacks(List<Verdict> verdicts, PositionId place) {
            return verdicts.stream()
                    .filter(Verdict.Judged.class::isInstance)
                    .flatMap(verdict -> ((Verdict.Judged) verdict).findings().stream())
                    .flatMap(finding -> finding.lacks().stream())
                    .filter(lack -> lack.value().isOfPlace())
                    .map(lack -> new Lack(lack.value(), place.toString()))
                    .distinct()
                    .toList();
        }

        /** What would be asked of the second place alone: airbag, vehicle seat, and a belt that can be locked. */
        private static Finding.Builder usable(Situation beside, PositionId second) {
            List<Verdict> verdicts = Stream.of(PlaceRules.rules(), BeltRules.rules())
                    .flatMap(List::stream)
                    .filter(rule -> OF_A_PLACE.contains(rule.conclusion()))
                    .map(rule -> rule.judge(beside))
                    .toList();
            boolean forbidden = verdicts.stream().anyMatch(verdict -> isOf(verdict, Weight.STOP));
            boolean unknown = verdicts.stream()
                    .anyMatch(verdict -> verdict instanceof Verdict.Open || isOf(verdict, Weight.NOT_KNOWN));
            if (forbidden) {
                return Finding.of(CAB_11, Weight.STOP, "placeBesideUnusable");
            }
            return unknown
                    ? Finding.of(CAB_11, Weight.NOT_KNOWN, "placeBesideNotKnown")
                            .lacks(lacks(verdicts, second))
                    : Finding.of(CAB_11, Weight.HOLDS, "twoPlaces");
        }

        private static boolean isOf(Verdict verdict, Weight weight) {
            return verdict instanceof Verdict.Judged judged && judged.deciding().weight() == weight;
        }
    }
}
