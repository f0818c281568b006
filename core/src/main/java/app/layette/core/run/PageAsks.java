package app.layette.core.run;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.HandleSet;
import app.layette.core.entry.Fact.Quantity;
import app.layette.core.entry.Fact.RollKind;
import app.layette.core.entry.Fact.RollPlaced;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.PermissionTable;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Finding;
import app.layette.core.gate.ConclusionState;
import app.layette.core.gate.Gate;
import app.layette.core.recline.RollAllowed;
import app.layette.core.rule.Conclusion;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The manual pages that would answer what is not known. Keys: {@code PERMISSION:KEY:SPEAKER}, {@code
 * QUANTITY:KEY:SPEAKER}, {@code HANDLE:POSITION}.
 */
final class PageAsks {
    private static final Map<String, PermissionKey> PERMISSIONS = Map.of(
            "overhangNotKnown", PermissionKey.OVERHANG,
            "bothSystemsNotKnown", PermissionKey.BOTH_SYSTEMS,
            "touchingNotKnown", PermissionKey.TOUCHING_FRONT_SEAT,
            "rollsNotKnown", PermissionKey.ROLLS_BESIDE_CHILD,
            "storageNotKnown", PermissionKey.LEG_OVER_STORAGE,
            "frontRowNotKnown", PermissionKey.FRONT_ROW,
            "unusualNotKnown", PermissionKey.UNUSUAL_VEHICLE_SEAT,
            "inflatableNotKnown", PermissionKey.INFLATABLE_BELT);

    /** Where a permission is asked for; one that is asked for nowhere has no step. */
    private static final Map<PermissionKey, StepKey> STEPS = Map.ofEntries(
            Map.entry(PermissionKey.OVERHANG, StepKey.serving(Conclusion.SITS_WHOLE)),
            Map.entry(PermissionKey.BOTH_SYSTEMS, StepKey.serving(Conclusion.ONE_SYSTEM)),
            Map.entry(PermissionKey.TOUCHING_FRONT_SEAT, StepKey.serving(Conclusion.GAP)),
            Map.entry(PermissionKey.ROLLS_BESIDE_CHILD, StepKey.serving(Conclusion.SUPPORT)),
            Map.entry(PermissionKey.LEG_OVER_STORAGE, StepKey.serving(Conclusion.FLOOR_AND_LEG)),
            Map.entry(PermissionKey.FRONT_ROW, StepKey.serving(Conclusion.FRONT_ROW)),
            Map.entry(PermissionKey.UNUSUAL_VEHICLE_SEAT, StepKey.serving(Conclusion.VEHICLE_SEAT)),
            Map.entry(PermissionKey.INFLATABLE_BELT, StepKey.serving(Conclusion.INFLATABLE_BELT)),
            Map.entry(PermissionKey.TOWEL, StepKey.serving(Conclusion.ROLL)),
            Map.entry(PermissionKey.NOODLE, StepKey.serving(Conclusion.ROLL)),
            Map.entry(PermissionKey.NOODLE_TRIANGLE, StepKey.serving(Conclusion.ROLL)),
            Map.entry(PermissionKey.ROLL_WITH_FOOT, StepKey.serving(Conclusion.ROLL)));

    /** What a roll may be made of; which one is asked for depends on the roll. */
    private static final List<PermissionKey> ROLLS = List.of(
            PermissionKey.TOWEL, PermissionKey.NOODLE, PermissionKey.NOODLE_TRIANGLE, PermissionKey.ROLL_WITH_FOOT);

    private PageAsks() {}

    /** Every permission that some finding asks for. */
    static List<PermissionKey> asked() {
        return Stream.concat(PERMISSIONS.values().stream(), ROLLS.stream()).toList();
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
        PermissionKey permission = PERMISSIONS.get(finding.reason());
        if (permission != null) {
            return permissions(permission, situation);
        }
        return switch (finding.message()) {
            case "finding.SEC-9.notKnown" ->
                situation
                        .newest(HandleSet.class)
                        .map(set -> "HANDLE:" + set.value().position())
                        .stream()
                        .toList();
            case "finding.REC-6.rollNotKnown" -> roll(situation);
            case "finding.CAB-10.manualsNotLooked" ->
                quantities(Quantity.GAP, situation.gapAsked(Speaker.SEAT), situation.gapAsked(Speaker.CAR));
            case "finding.SUIT-10.limitNotKnown" ->
                quantities(
                        Quantity.ANCHOR_LIMIT, situation.anchorLimit(Speaker.SEAT), situation.anchorLimit(Speaker.CAR));
            default -> List.of();
        };
    }

    /** The page on this kind of roll, and on a roll together with a raised foot. */
    private static List<String> roll(Situation situation) {
        List<String> keys = new ArrayList<>();
        PermissionKey kind = switch (situation
                .newest(RollPlaced.class)
                .map(placed -> placed.value().roll())
                .orElse(RollKind.NONE)) {
            case TOWEL -> PermissionKey.TOWEL;
            case NOODLE -> PermissionKey.NOODLE;
            case NOODLE_TRIANGLE -> PermissionKey.NOODLE_TRIANGLE;
            case NONE -> PermissionKey.ROLL_WITH_FOOT;
        };
        keys.addAll(permissions(kind, situation));
        if (RollAllowed.isWithFoot(situation)) {
            keys.addAll(permissions(PermissionKey.ROLL_WITH_FOOT, situation));
        }
        return keys;
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
