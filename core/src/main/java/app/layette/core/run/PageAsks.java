package app.layette.core.run;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.HandleSet;
import app.layette.core.entry.Fact.Quantity;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.PermissionTable;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Lack;
import app.layette.core.gate.ConclusionState;
import app.layette.core.gate.Gate;
import app.layette.core.rule.Conclusion;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The manual pages that would answer what is not known. Keys: {@code PERMISSION:KEY:SPEAKER}, {@code
 * QUANTITY:KEY:SPEAKER}, {@code HANDLE:POSITION}.
 */
public final class PageAsks {
    /** Where each permission is asked for: the step that serves the conclusion it decides. */
    private static final Map<PermissionKey, StepKey> STEPS = steps(Map.ofEntries(
            Map.entry(PermissionKey.AMERICAN_ROUTING, Conclusion.ROUTING_ALLOWED),
            Map.entry(PermissionKey.EUROPEAN_ROUTING, Conclusion.ROUTING_ALLOWED),
            Map.entry(PermissionKey.CARRIER_WITHOUT_BASE, Conclusion.ROUTING_ALLOWED),
            Map.entry(PermissionKey.BOTH_SYSTEMS, Conclusion.ONE_SYSTEM),
            Map.entry(PermissionKey.TOP_TETHER_REAR_FACING, Conclusion.ONE_SYSTEM),
            Map.entry(PermissionKey.LOCKING_CLIP, Conclusion.BELT_LOCKS),
            Map.entry(PermissionKey.BELT_LOCKABLE, Conclusion.BELT_LOCKS),
            Map.entry(PermissionKey.INFLATABLE_BELT, Conclusion.INFLATABLE_BELT),
            Map.entry(PermissionKey.ANCHOR_STRAP_UNDER_LOCK_OFF, Conclusion.STRAP),
            Map.entry(PermissionKey.TOWEL, Conclusion.ROLL),
            Map.entry(PermissionKey.NOODLE, Conclusion.ROLL),
            Map.entry(PermissionKey.NOODLE_TRIANGLE, Conclusion.ROLL),
            Map.entry(PermissionKey.ROLL_WITH_FOOT, Conclusion.ROLL),
            Map.entry(PermissionKey.ROLLS_BESIDE_CHILD, Conclusion.SUPPORT),
            Map.entry(PermissionKey.CROTCH_CLOTH, Conclusion.SUPPORT),
            Map.entry(PermissionKey.LOWER_ANCHORS_AT_POSITION, Conclusion.OWN_ANCHORS),
            Map.entry(PermissionKey.BORROWED_INNER_ANCHORS, Conclusion.OWN_ANCHORS),
            Map.entry(PermissionKey.UNUSUAL_VEHICLE_SEAT, Conclusion.VEHICLE_SEAT),
            Map.entry(PermissionKey.FRONT_ROW, Conclusion.FRONT_ROW),
            Map.entry(PermissionKey.FRONT_AIRBAG_OFF, Conclusion.AIRBAG),
            Map.entry(PermissionKey.TOUCHING_FRONT_SEAT, Conclusion.GAP),
            Map.entry(PermissionKey.OVERHANG, Conclusion.SITS_WHOLE),
            Map.entry(PermissionKey.LOAD_LEG_OMITTED, Conclusion.FLOOR_AND_LEG),
            Map.entry(PermissionKey.BASE_LIFTED_BY_LEG, Conclusion.FLOOR_AND_LEG),
            Map.entry(PermissionKey.LEG_OVER_STORAGE, Conclusion.FLOOR_AND_LEG),
            Map.entry(PermissionKey.CAR_BED_POSITION, Conclusion.BED_PLACE),
            Map.entry(PermissionKey.LAY_FLAT_POSITION, Conclusion.LAY_FLAT_PLACES),
            Map.entry(PermissionKey.FEET_PAST_END, Conclusion.FEET)));

    private PageAsks() {}

    private static Map<PermissionKey, StepKey> steps(Map<PermissionKey, Conclusion> decided) {
        Map<PermissionKey, StepKey> steps = new EnumMap<>(PermissionKey.class);
        decided.forEach((key, conclusion) -> steps.put(key, StepKey.serving(conclusion)));
        return steps;
    }

    /** The step at which a permission is asked for; empty for one that is asked for nowhere. */
    static Optional<StepKey> stepOf(PermissionKey permission) {
        return Optional.ofNullable(STEPS.get(permission));
    }

    static List<Ask> of(StepKey step, Situation situation, Gate gate) {
        return step.serves().stream()
                .map(gate::state)
                .flatMap(Optional::stream)
                .filter(state -> state.state() == ConclusionState.State.NOT_KNOWN)
                .flatMap(state -> state.findings().stream())
                .flatMap(finding -> asks(finding, situation).stream())
                .distinct()
                .toList();
    }

    /**
     * The keys of what papers or looks would have to say so that a finding is known.
     *
     * @return keys as they are described above, or a value of a sheet, with its place where it is of the car
     */
    public static List<String> papers(Finding finding, Situation situation) {
        return asks(finding, situation).stream().map(Ask::key).toList();
    }

    private static List<Ask> asks(Finding finding, Situation situation) {
        List<Ask> asks = new ArrayList<>();
        keys(finding, situation).forEach(key -> asks.add(new Ask(Ask.Kind.PAGE, key, false)));
        for (Lack lack : finding.lacks()) {
            asks.add(
                    lack.value().isQuantity()
                            ? new Ask(Ask.Kind.PAGE, "QUANTITY:" + lack.value() + ":SEAT", false)
                            : value(lack.value(), place(lack, situation), false));
        }
        return asks;
    }

    /** A value of the car is always about one place, the chosen one where the rule names none. */
    private static String place(Lack lack, Situation situation) {
        return !lack.place().isEmpty() || !lack.value().isOfPlace()
                ? lack.place()
                : situation
                        .placed()
                        .map(placed -> placed.value().position().toString())
                        .orElse("");
    }

    private static Ask value(SheetValue value, String place, boolean answered) {
        return new Ask(Ask.Kind.SHEET_VALUE, value + (place.isEmpty() ? "" : Ask.AT + place), answered);
    }

    /** Where a value is asked for: the step that serves the conclusion it decides. */
    private static StepKey stepOf(SheetValue value) {
        return StepKey.serving(
                switch (value) {
                    case AIRBAG -> Conclusion.AIRBAG;
                    case ANCHORS, BORROWED_SPACING -> Conclusion.OWN_ANCHORS;
                    case BELT_KIND -> Conclusion.BELT_LOCKS;
                    case INFLATABLE -> Conclusion.INFLATABLE_BELT;
                    case FACING -> Conclusion.VEHICLE_SEAT;
                    case FLOOR, LEG -> Conclusion.FLOOR_AND_LEG;
                    case APPROVED_HERE -> Conclusion.APPROVAL;
                    case LIFE -> Conclusion.EXPIRY;
                    case CRASH_RULE -> Conclusion.CRASH;
                    case PARTS -> Conclusion.PARTS;
                    case BASE_LISTED -> Conclusion.BASE_FITS_CARRIER;
                    case OWN_CONDITIONS -> Conclusion.OWN_CONDITIONS;
                    case INSERT -> Conclusion.INSERT;
                    case SLOTS -> Conclusion.SLOT_IN_REACH;
                    case LOOPS -> Conclusion.SLOT;
                    case CROTCH -> Conclusion.CROTCH;
                    case SNUG_TEST -> Conclusion.SNUG_TEST;
                    case CLIP -> Conclusion.CLIP;
                    case COVERS -> Conclusion.COVERS;
                    case INDICATOR, LEVEL_PASS, SIDES -> Conclusion.LEVEL;
                    case CONNECTORS -> Conclusion.METHOD;
                    case LOCK_OFFS -> Conclusion.LOCK_OFF;
                    case PANEL -> Conclusion.PANEL;
                    case WINDOWS -> Conclusion.WINDOWS;
                    case REBOUND_BAR -> Conclusion.REBOUND_BAR;
                    case ROTATION -> Conclusion.TURNED_BACK;
                    case SIDE_ELEMENT -> Conclusion.SIDE_ELEMENT;
                    case END_STRAPS -> Conclusion.END_STRAPS;
                    case HEAD_DIRECTION -> Conclusion.LIES_FLAT;
                    case WEIGHT_MIN, WEIGHT_MAX -> Conclusion.WEIGHT;
                    case LENGTH_MAX -> Conclusion.LENGTH;
                    case HEAD_ROOM -> Conclusion.HEAD_ROOM;
                    case CARRIER_MASS, BASE_MASS -> Conclusion.ANCHOR_LIMIT;
                });
    }

    /** The slots have to be counted before anybody can say between which the shoulder lies. */
    static Ask slots() {
        return value(SheetValue.SLOTS, "", false);
    }

    /** The pages that were read here and answered what was not known: they stay in sight, to be read again. */
    static List<Ask> read(StepKey step, Situation situation, List<Ask> open) {
        List<String> keys = new ArrayList<>();
        situation.history(Fact.HandlePositionRead.class).stream()
                .filter(read -> step == StepKey.HANDLE_AND_GAP)
                .forEach(read -> keys.add("HANDLE:" + read.value().position()));
        situation.history(Fact.PermissionRead.class).stream()
                .map(read -> read.value())
                .filter(read -> stepOf(read.permission()).filter(step::equals).isPresent())
                .forEach(read -> keys.add("PERMISSION:" + read.permission() + ":" + read.speaker()));
        situation.history(Fact.QuantityRead.class).stream()
                .map(read -> read.value())
                .filter(read -> stepOf(read.quantity()) == step)
                .forEach(read -> keys.add("QUANTITY:" + read.quantity() + ":" + read.speaker()));
        List<Ask> read = new ArrayList<>();
        keys.forEach(key -> read.add(new Ask(Ask.Kind.PAGE, key, true)));
        situation.history(Fact.SheetValueRead.class).stream()
                .map(each -> each.value())
                .filter(each -> stepOf(each.value()) == step)
                .forEach(each -> read.add(value(
                        each.value(), each.place() == null ? "" : each.place().toString(), true)));
        return read.stream()
                .distinct()
                .filter(ask -> open.stream()
                        .noneMatch(
                                each -> each.kind() == ask.kind() && each.key().equals(ask.key())))
                .toList();
    }

    private static StepKey stepOf(Quantity quantity) {
        return switch (quantity) {
            case GAP -> StepKey.HANDLE_AND_GAP;
            case ANCHOR_LIMIT, BORROWED_SPACING, CARRIER_MASS, BASE_MASS -> StepKey.PLACE;
            case HEAD_ROOM -> StepKey.SHOULDER;
            default -> StepKey.FITS;
        };
    }

    private static List<String> keys(Finding finding, Situation situation) {
        if (!finding.pages().isEmpty()) {
            return finding.pages().stream()
                    .flatMap(permission -> permissions(permission, situation).stream())
                    .toList();
        }
        return switch (finding.message()) {
            case "finding.SEC-9.notKnown" ->
                situation
                        .newest(HandleSet.class)
                        .map(set -> "HANDLE:" + set.value().position())
                        .stream()
                        .toList();
            case "finding.CAB-10.manualsNotLooked" ->
                quantities(Quantity.GAP, situation.gapAsked(Speaker.SEAT), situation.gapAsked(Speaker.CAR));
            case "finding.SUIT-10.limitNotKnown" ->
                quantities(
                        Quantity.ANCHOR_LIMIT, situation.anchorLimit(Speaker.SEAT), situation.anchorLimit(Speaker.CAR));
            default -> List.of();
        };
    }

    private static List<String> permissions(PermissionKey key, Situation situation) {
        return Arrays.stream(Speaker.values())
                .filter(PermissionTable.shipped().speakers(key)::contains)
                .filter(speaker -> situation.permission(key, speaker) == Permission.NOT_KNOWN)
                .map(speaker -> "PERMISSION:" + key + ":" + speaker)
                .toList();
    }

    private static List<String> quantities(Quantity quantity, Evidence<?> seat, Evidence<?> car) {
        List<String> keys = new ArrayList<>();
        if (!seat.isLooked()) {
            keys.add("QUANTITY:" + quantity + ":SEAT");
        }
        if (!car.isLooked()) {
            keys.add("QUANTITY:" + quantity + ":CAR");
        }
        return keys;
    }
}
