package app.layette.core.step;

import java.util.EnumSet;
import java.util.Set;

/** The looks there are: each from one standing place. */
public enum LookKey {
    /** Seat, labels and papers on the table. */
    TABLE,
    /** The child sitting in the seat, its insert as it will be. */
    SEATED,
    /** The shell's back and front after threading. */
    THREADED,
    /** The car before anything is fixed in it. */
    CAR,
    /** From the door, after fixing. */
    FIXED,
    /** Leg and indicators. */
    SHOWN,
    /** The child in the harness. */
    HARNESSED,
    /** From the door, the carrier in its place. */
    DOOR,
    /** What the caregiver did and heard. */
    FAMILY,
    /** What the caregiver's own hands re-opened, looked at once more after the last item. */
    AGAIN,
    /** What a family brings back, as it was left the last time. */
    RECHECK;

    /** Steps that only look or measure: between two of one look, nothing is touched in them. */
    private static final Set<StepKey> TOUCH_NOTHING = EnumSet.of(
            StepKey.CHILD,
            StepKey.LABEL,
            StepKey.HISTORY_STEP,
            StepKey.PARTS_STEP,
            StepKey.FITS,
            StepKey.SHOULDER,
            StepKey.PLACE,
            StepKey.GROUND,
            StepKey.INCH,
            StepKey.LEVEL_CHILD);

    /** Whether nothing is touched in a step. */
    public static boolean touchesNothing(StepKey step) {
        return TOUCH_NOTHING.contains(step);
    }
}
