package app.layette.core.rule;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Change;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.RuleCode;
import app.layette.core.step.StepKey;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * All about a rule but its judgement.
 *
 * @param conclusion what it concludes
 * @param code its code
 * @param step the step whose looks and answers are for it
 * @param place its place in the step
 * @param required the methods whose hand-over rests on it
 * @param isRequiredBeforeBirth whether it counts before the birth, of what the method asks
 * @param isSaidBeforehand whether it can be said of a place before anything is fixed there
 * @param isOfPlaceAlone whether it says something of a place whatever stands on it
 * @param isClearedEarlier whether an earlier fitting clears it for a ride without the base
 * @param reopenedBy what makes its looks be taken again
 * @param reopenedOnTurningBaseBy the same, on a restraint that turns or of which nobody knows
 * @param asked what it asks by eye
 * @param permissions the permissions that decide it: their pages are asked for at its step
 * @param values the values of a sheet that decide it
 * @param quantities the masses and lengths that decide it
 */
public record RuleCard(
        Conclusion conclusion,
        RuleCode code,
        StepKey step,
        int place,
        Set<Method> required,
        boolean isRequiredBeforeBirth,
        boolean isSaidBeforehand,
        boolean isOfPlaceAlone,
        boolean isClearedEarlier,
        Set<Change> reopenedBy,
        Set<Change> reopenedOnTurningBaseBy,
        List<Asked> asked,
        Set<PermissionKey> permissions,
        Set<SheetValue> values,
        Set<Fact.Quantity> quantities) {
    private static final int PLACES_IN_A_STEP = 1000;

    public RuleCard {
        required = Set.copyOf(required);
        reopenedBy = Set.copyOf(reopenedBy);
        reopenedOnTurningBaseBy = Set.copyOf(reopenedOnTurningBaseBy);
        asked = List.copyOf(asked);
        permissions = Set.copyOf(permissions);
        values = Set.copyOf(values);
        quantities = Set.copyOf(quantities);
    }

    /** Its place among all rules: by the order of the steps. */
    public int order() {
        return step.ordinal() * PLACES_IN_A_STEP + place;
    }

    /** Whether a method's hand-over rests on it. */
    public boolean isRequiredBy(Method method) {
        return required.contains(method);
    }

    /** Starts the card of a rule that every method asks. */
    public static Builder of(Conclusion conclusion, RuleCode code) {
        return new Builder(conclusion, code);
    }

    /** Collects the parts of a card. */
    public static final class Builder {
        private final Conclusion conclusion;
        private final RuleCode code;
        private final Set<Change> reopenedBy = EnumSet.noneOf(Change.class);
        private final Set<Change> onTurningBase = EnumSet.noneOf(Change.class);
        private final List<Asked> asked = new ArrayList<>();
        private final Set<PermissionKey> permissions = EnumSet.noneOf(PermissionKey.class);
        private final Set<SheetValue> values = EnumSet.noneOf(SheetValue.class);
        private final Set<Fact.Quantity> quantities = EnumSet.noneOf(Fact.Quantity.class);
        private Predicate<Method> required = method -> true;
        private boolean beforeBirth;
        private boolean beforehand;
        private boolean placeAlone;
        private boolean clearedEarlier;

        private Builder(Conclusion conclusion, RuleCode code) {
            this.conclusion = conclusion;
            this.code = code;
        }

        /** Only hand-overs by these methods rest on it. */
        public Builder requiredOf(Predicate<Method> methods) {
            required = methods;
            return this;
        }

        /** It counts before the birth. */
        public Builder countsBeforeBirth() {
            beforeBirth = true;
            return this;
        }

        /** It can be said of a place before anything is fixed there. */
        public Builder saidBeforehand() {
            beforehand = true;
            return this;
        }

        /** It says something of a place whatever stands on it. */
        public Builder ofPlaceAlone() {
            placeAlone = true;
            return this;
        }

        /** An earlier fitting clears it for a ride without the base. */
        public Builder clearedEarlier() {
            clearedEarlier = true;
            return this;
        }

        /** After these its looks are taken again. */
        public Builder reopenedBy(Change... changes) {
            reopenedBy.addAll(List.of(changes));
            return this;
        }

        /** What was looked at belongs to this restraint at this place of this car: elsewhere it is taken again. */
        public Builder reopenedElsewhere() {
            return reopenedBy(Change.OTHER_SEAT, Change.OTHER_CAR, Change.PLACE_OR_METHOD);
        }

        /** After these too, on a restraint that turns. */
        public Builder reopenedOnTurningBaseBy(Change... changes) {
            onTurningBase.addAll(List.of(changes));
            return this;
        }

        /** It asks this by eye. */
        public Builder asks(Asked.Builder<?> question) {
            asked.add(question.by(code));
            return this;
        }

        /** These permissions decide it. */
        public Builder decidedBy(PermissionKey... keys) {
            permissions.addAll(List.of(keys));
            return this;
        }

        /** These values of a sheet decide it. */
        public Builder decidedBy(SheetValue... those) {
            values.addAll(List.of(those));
            return this;
        }

        /** These masses or lengths decide it. */
        public Builder decidedBy(Fact.Quantity... those) {
            quantities.addAll(List.of(those));
            return this;
        }

        /** The card, at this place of a step. */
        public RuleCard at(StepKey step, int place) {
            Set<Method> methods =
                    Arrays.stream(Method.values()).filter(required).collect(Collectors.toSet());
            return new RuleCard(
                    conclusion,
                    code,
                    step,
                    place,
                    methods,
                    beforeBirth,
                    beforehand,
                    placeAlone,
                    clearedEarlier,
                    reopenedBy,
                    onTurningBase,
                    asked,
                    permissions,
                    values,
                    quantities);
        }
    }
}
