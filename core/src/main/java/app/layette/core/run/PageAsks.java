package app.layette.core.run;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.HandleSet;
import app.layette.core.entry.Fact.Quantity;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.PermissionTable;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Finding;
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
final class PageAsks {
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
                .flatMap(finding -> keys(finding, situation).stream())
                .map(key -> new Ask(Ask.Kind.PAGE, key, false))
                .toList();
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
        return keys.stream()
                .distinct()
                .filter(key -> open.stream().noneMatch(ask -> ask.key().equals(key)))
                .map(key -> new Ask(Ask.Kind.PAGE, key, true))
                .toList();
    }

    private static StepKey stepOf(Quantity quantity) {
        return switch (quantity) {
            case GAP -> StepKey.HANDLE_AND_GAP;
            case ANCHOR_LIMIT, BORROWED_SPACING -> StepKey.PLACE;
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
