package app.layette.core.cabin;

import static app.layette.core.finding.RuleCode.CAB_1;
import static app.layette.core.finding.RuleCode.CAB_2;
import static app.layette.core.finding.RuleCode.CAB_4;

import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Length;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.Airbag;
import app.layette.core.vehicle.SeatingPosition.Facing;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import java.util.List;
import java.util.function.BiFunction;

/** What the chosen seating position itself decides: airbag (CAB-1), vehicle seat (CAB-2), own anchors (CAB-4). */
public final class PlaceRules {
    private PlaceRules() {}

    public static List<Rule> rules() {
        return List.of(
                new AtPlace(Conclusion.AIRBAG, PlaceRules::airbag),
                new AtPlace(Conclusion.VEHICLE_SEAT, PlaceRules::vehicleSeat),
                new AtPlace(Conclusion.OWN_ANCHORS, PlaceRules::ownAnchors));
    }

    private record AtPlace(Conclusion conclusion, BiFunction<Situation, SeatingPosition, Finding.Builder> judge)
            implements Rule {
        @Override
        public Verdict judge(Situation situation) {
            if (situation.placed().isEmpty() || situation.car().isEmpty()) {
                return Verdict.open("PLACE");
            }
            return Verdict.judged(situation
                    .position()
                    .map(position -> judge.apply(situation, position)
                            .with("place", place(position))
                            .changedBy("OTHER_PLACE"))
                    .orElseGet(() -> Finding.of(conclusion.code(), Weight.NOT_KNOWN, "placeNotOnSheet")
                            .with(
                                    "place",
                                    situation.placed().get().value().position().toString())
                            .changedBy("OTHER_PLACE")));
        }

        private static Argument place(SeatingPosition position) {
            return new Argument.OfKey("place." + position.id());
        }
    }

    private static Finding.Builder airbag(Situation situation, SeatingPosition position) {
        Evidence<Airbag> airbag = position.airbag();
        if (airbag.value().isEmpty()) {
            return Finding.of(CAB_1, Weight.NOT_KNOWN, "airbagNotKnown").from(airbag);
        }
        if (airbag.value().get() == Airbag.ACTIVE) {
            return Finding.of(CAB_1, Weight.STOP, "airbagActive").from(airbag);
        }
        return position.id().isFrontRow()
                ? permitted(situation, CAB_1, PermissionKey.FRONT_ROW, "frontRow")
                : Finding.of(CAB_1, Weight.HOLDS, "noAirbag").from(airbag);
    }

    private static Finding.Builder vehicleSeat(Situation situation, SeatingPosition position) {
        Evidence<Facing> facing = position.facing();
        if (facing.value().isEmpty()) {
            return Finding.of(CAB_2, Weight.NOT_KNOWN, "facingNotKnown").from(facing);
        }
        return switch (facing.value().get()) {
            case FORWARD -> Finding.of(CAB_2, Weight.HOLDS, "forward").from(facing);
            case FOLDED_OR_DAMAGED -> Finding.of(CAB_2, Weight.STOP, "folded").from(facing);
            case SIDEWAYS, REARWARD -> permitted(situation, CAB_2, PermissionKey.UNUSUAL_VEHICLE_SEAT, "unusual");
        };
    }

    private static Finding.Builder ownAnchors(Situation situation, SeatingPosition position) {
        Evidence<OwnAnchors> anchors = position.anchors();
        if (anchors.value().isEmpty()) {
            return Finding.of(CAB_4, Weight.NOT_KNOWN, "anchorsNotKnown").from(anchors);
        }
        if (anchors.value().get() == OwnAnchors.OWN_PAIR) {
            return Finding.of(CAB_4, Weight.HOLDS, "ownPair").from(anchors);
        }
        return mayBorrow(situation, position.id())
                ? borrowed(situation).from(anchors)
                : Finding.of(CAB_4, Weight.STOP, "noOwnPair").from(anchors);
    }

    /** Only the middle, between two places that have a pair each, has inner anchors to borrow. */
    private static boolean mayBorrow(Situation situation, PositionId place) {
        return place.side() == Side.MIDDLE
                && hasPair(situation, new PositionId(place.row(), Side.LEFT))
                && hasPair(situation, new PositionId(place.row(), Side.RIGHT));
    }

    private static boolean hasPair(Situation situation, PositionId place) {
        return situation
                .car()
                .flatMap(car -> car.position(place))
                .flatMap(position -> position.anchors().value())
                .filter(pair -> pair == OwnAnchors.OWN_PAIR)
                .isPresent();
    }

    private static Finding.Builder borrowed(Situation situation) {
        Evidence<Length> spacing = situation.car().orElseThrow().borrowedSpacing();
        Finding.Builder finding = permitted(situation, CAB_4, PermissionKey.BORROWED_INNER_ANCHORS, "borrowed")
                .from(spacing);
        spacing.value().ifPresent(each -> finding.with("spacing", each));
        return finding;
    }

    /** A finding from a permission: holds, stop or not known, with reasons ending in Allowed, NotAllowed, NotKnown. */
    static Finding.Builder permitted(Situation situation, RuleCode code, PermissionKey key, String subject) {
        Permission permission = situation.permission(key);
        return switch (permission) {
            case ALLOWED -> Finding.of(code, Weight.HOLDS, subject + "Allowed");
            case NOT_ALLOWED -> Finding.of(code, Weight.STOP, subject + "NotAllowed");
            case NOT_KNOWN ->
                Finding.of(code, Weight.NOT_KNOWN, subject + "NotKnown").changedBy("BOTH_MANUALS");
        };
    }
}
