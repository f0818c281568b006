package app.layette.core.coming;

import java.util.Arrays;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Everything that can come due, for a family or for the work of a fitting point. Its words stand under {@link #key()}. */
public enum DueKind {
    /** The last day of the restraint (CND-1). */
    EXPIRY(Of.USE),
    /** An order of the clinicians is looked at again (SUIT-7). */
    ORDER_REVIEW(Of.FAMILY),
    /** The maker's recalls are looked up again (CND-4). */
    RECALL_AGAIN(Of.FAMILY),
    /** A recall arrived and nobody has said yet whether it touches this seat (CND-4). */
    RECALL_OPEN(Of.FAMILY),
    /** What stays in the car goes in before the birth. */
    PREPARE_BASE(Of.FAMILY),
    /** From that day somebody asks whether the child is born. */
    BIRTH_DUE(Of.FAMILY),
    MONTHLY_INCH_TEST(Of.FAMILY),
    REGISTRATION_CARD(Of.FAMILY),
    /** A family that left with something open is asked how it stands. */
    LEFT_OPEN(Of.FAMILY),
    /** Nothing else matters to a seat that is not to be used (CND-3). */
    CRASHED_SINCE(Of.FAMILY),
    /** Newer rules would judge a signed hand-over otherwise. */
    RULES_DIFFER(Of.OWN_WORK),
    /** What a trainee corrected after the end waits for a signature. */
    CORRECTION_WAITS(Of.OWN_WORK),
    /** A sheet of the fitting has a newer version. */
    NEWER_SHEET(Of.FAMILY),
    /** The sheet of a lent seat has a newer version. */
    LENT_SHEET(Of.FAMILY),
    /** A lent seat comes back. */
    SEAT_BACK(Of.FAMILY),
    NEXT_SLOT(Coming.What.NEXT_SLOT),
    INSERT_OUT(Coming.What.INSERT_OUT),
    NEXT_BAND(Coming.What.NEXT_BAND),
    ANCHOR_LIMIT(Coming.What.ANCHOR_LIMIT),
    REAR_FACING_UNTIL(Coming.What.REAR_FACING_UNTIL),
    OUTGROWN_BY_WEIGHT(Coming.What.OUTGROWN_BY_WEIGHT),
    OUTGROWN_BY_LENGTH(Coming.What.OUTGROWN_BY_LENGTH),
    OUTGROWN_BY_HEAD_ROOM(Coming.What.OUTGROWN_BY_HEAD_ROOM);

    private enum Of {
        /** What a fitting point has to look at in its own work; a family is told when something came of it. */
        OWN_WORK,
        FAMILY,
        /** The restraint is no longer used from then on. */
        USE
    }

    private static final String PREFIX = "date.";
    private static final Map<Coming.What, DueKind> GROWN = Arrays.stream(values())
            .filter(each -> each.grows != null)
            .collect(Collectors.toMap(each -> each.grows, Function.identity()));

    private final Of of;
    private final Coming.@Nullable What grows;

    DueKind(Of of) {
        this.of = of;
        this.grows = null;
    }

    DueKind(Coming.What grows) {
        this.of = grows.isOutgrown() ? Of.USE : Of.FAMILY;
        this.grows = grows;
    }

    /** What growing brings comes due as this. */
    public static DueKind of(Coming.What grows) {
        return Objects.requireNonNull(GROWN.get(grows));
    }

    /**
     * By its message key, as it is kept.
     *
     * @throws IllegalArgumentException for the key of none
     */
    public static DueKind ofKey(String key) {
        return Arrays.stream(values())
                .filter(each -> each.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("Nothing comes due as " + key));
    }

    public String key() {
        return PREFIX + name();
    }

    /** Whether it is for the family too. */
    public boolean isForTheFamily() {
        return of != Of.OWN_WORK;
    }

    /** Whether the restraint is no longer used from then on: what comes again ends there. */
    public boolean isEndOfUse() {
        return of == Of.USE;
    }
}
