package app.layette.core.cabin;

import static app.layette.core.finding.RuleCode.CAB_1;
import static app.layette.core.finding.RuleCode.CAB_2;
import static app.layette.core.finding.RuleCode.CAB_4;

import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Source;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Length;
import app.layette.core.rule.AnsweredByEye;
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
        return List.of(airbag(), vehicleSeat(), ownAnchors());
    }

    static Rule airbag() {
        return new AtPlace(Conclusion.AIRBAG, PlaceRules::airbag);
    }

    static Rule vehicleSeat() {
        return new AtPlace(
                Conclusion.VEHICLE_SEAT,
                (situation, position) -> Verdict.judged(at(vehicleSeat(situation, position), position)));
    }

    static Rule ownAnchors() {
        return new AtPlace(
                Conclusion.OWN_ANCHORS,
                (situation, position) -> Verdict.judged(at(ownAnchors(situation, position), position)));
    }

    private record AtPlace(Conclusion conclusion, BiFunction<Situation, SeatingPosition, Verdict> judge)
            implements Rule {
        @Override
        public Verdict judge(Situation situation) {
            if (situation.placed().isEmpty() || situation.car().isEmpty()) {
                return Verdict.open("PLACE");
            }
            return situation
                    .position()
                    .map(position -> judge.apply(situation, position))
                    .orElseGet(() -> Verdict.judged(Finding.of(conclusion.code(), Weight.NOT_KNOWN, "placeNotOnSheet")
                            .with(
                                    "place",
                                    situation.placed().get().value().position().toString())
                            .changedBy("OTHER_PLACE")));
        }
    }

    private static Finding.Builder at(Finding.Builder finding, SeatingPosition position) {
        return finding.with("place", new Argument.OfKey("place." + position.id()))
                .changedBy("OTHER_PLACE");
    }

    /** CAB-1: off counts only where somebody saw its lamp or key in this very car. */
    private static Verdict airbag(Situation situation, SeatingPosition position) {
        Evidence<Airbag> airbag = position.airbag();
        if (airbag.value().isEmpty()) {
            return Verdict.judged(at(
                    Finding.of(CAB_1, Weight.NOT_KNOWN, "airbagNotKnown")
                            .lacks(SheetValue.AIRBAG)
                            .from(airbag),
                    position));
        }
        return switch (airbag.value().get()) {
            case ACTIVE ->
                Verdict.judged(at(Finding.of(CAB_1, Weight.STOP, "airbagActive").from(airbag), position));
            case NONE ->
                Verdict.judged(at(Finding.of(CAB_1, Weight.HOLDS, "noAirbag").from(airbag), position));
            case OFF_CONFIRMED -> off(situation, position);
        };
    }

    private static Verdict off(Situation situation, SeatingPosition position) {
        Evidence<Airbag> airbag = position.airbag();
        Permission mayBeOff = situation.permission(PermissionKey.FRONT_AIRBAG_OFF, Speaker.CAR, Permission.ALLOWED);
        if (mayBeOff != Permission.ALLOWED) {
            Finding.Builder finding = mayBeOff == Permission.NOT_ALLOWED
                    ? Finding.of(CAB_1, Weight.STOP, "airbagNotSwitched")
                    : Finding.of(CAB_1, Weight.NOT_KNOWN, "airbagNotKnown").toldBy(PermissionKey.FRONT_AIRBAG_OFF);
            return Verdict.judged(at(finding.from(airbag), position));
        }
        boolean seenHere = airbag.source().filter(Source::isSeen).isPresent();
        return seenHere
                ? Verdict.judged(at(Finding.of(CAB_1, Weight.HOLDS, "airbagOff").from(airbag), position))
                : new AnsweredByEye(Conclusion.AIRBAG, Question.AIRBAG_LAMP).judge(situation);
    }

    /** Whether the lamp or key of an airbag has to be looked at here. */
    public static boolean isLampAsked(Situation situation) {
        return situation
                .position()
                .map(SeatingPosition::airbag)
                .filter(airbag -> airbag.value()
                        .filter(state -> state == Airbag.OFF_CONFIRMED)
                        .isPresent())
                .flatMap(Evidence::source)
                .filter(source -> !source.isSeen())
                .isPresent();
    }

    private static Finding.Builder vehicleSeat(Situation situation, SeatingPosition position) {
        Evidence<Facing> facing = position.facing();
        if (facing.value().isEmpty()) {
            return Finding.of(CAB_2, Weight.NOT_KNOWN, "facingNotKnown")
                    .lacks(SheetValue.FACING)
                    .from(facing);
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
            return Finding.of(CAB_4, Weight.NOT_KNOWN, "anchorsNotKnown")
                    .lacks(SheetValue.ANCHORS)
                    .from(anchors);
        }
        // A car's manual may keep anchors that are there from being used.
        Permission here =
                situation.permission(PermissionKey.LOWER_ANCHORS_AT_POSITION, Speaker.CAR, Permission.ALLOWED);
        if (here == Permission.NOT_ALLOWED) {
            return Finding.of(CAB_4, Weight.STOP, "anchorsNotForUse").from(anchors);
        }
        if (here == Permission.NOT_KNOWN) {
            return Finding.of(CAB_4, Weight.NOT_KNOWN, "anchorsNotKnown")
                    .from(anchors)
                    .toldBy(PermissionKey.LOWER_ANCHORS_AT_POSITION);
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

    /** Both manuals have to allow it, and at the spacing that these anchors have. */
    private static Finding.Builder borrowed(Situation situation) {
        Evidence<Length> spacing = situation.car().orElseThrow().borrowedSpacing();
        Evidence<Length> most = situation.borrowedSpacingMost();
        Finding.Builder finding = permitted(situation, CAB_4, PermissionKey.BORROWED_INNER_ANCHORS, "borrowed");
        boolean allowed = situation.permission(PermissionKey.BORROWED_INNER_ANCHORS) == Permission.ALLOWED;
        if (allowed && (spacing.value().isEmpty() || most.value().isEmpty())) {
            finding = Finding.of(CAB_4, Weight.NOT_KNOWN, "borrowedSpacingNotKnown")
                    .lacks(SheetValue.BORROWED_SPACING)
                    .changedBy(spacing.value().isEmpty() ? "CAR_MANUAL" : "SEAT_MANUAL");
        } else if (allowed && spacing.value().get().isMoreThan(most.value().get())) {
            finding = Finding.of(CAB_4, Weight.STOP, "borrowedTooWide")
                    .with("most", most.value().get());
        }
        finding.from(spacing).from(most);
        Finding.Builder said = finding;
        spacing.value().ifPresent(each -> said.with("spacing", each));
        return finding;
    }

    /** A finding from a permission: holds, stop or not known, with reasons ending in Allowed, NotAllowed, NotKnown. */
    static Finding.Builder permitted(Situation situation, RuleCode code, PermissionKey key, String subject) {
        Permission permission = situation.permission(key);
        return switch (permission) {
            case ALLOWED -> Finding.of(code, Weight.HOLDS, subject + "Allowed");
            case NOT_ALLOWED -> Finding.of(code, Weight.STOP, subject + "NotAllowed");
            case NOT_KNOWN ->
                Finding.of(code, Weight.NOT_KNOWN, subject + "NotKnown")
                        .changedBy("BOTH_MANUALS")
                        .toldBy(key);
        };
    }
}
