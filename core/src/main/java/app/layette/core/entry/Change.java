package app.layette.core.entry;

/** Kinds of change. Which checks each one re-opens is a table of the rules. */
public enum Change {
    /** Tightened, pressed, rocked, anchor touched, recline device changed. */
    TIGHTENED,
    CARRIER_ON_OFF,
    /** Insert, cover or roll changed. */
    INSERT,
    /** Slot, loop or crotch opening changed. */
    SLOT,
    /** Harness opened, child out, clothing changed. */
    HARNESS_OPENED,
    CLIP_MOVED,
    FRONT_SEAT_MOVED,
    CAR_MOVED,
    HANDLE_MOVED,
    /** The child's weight or length renewed. */
    MEASURES_RENEWED,
    PLACE_OR_METHOD,
    /** The caregiver loosened and tightened. */
    TAUGHT_TIGHTENING,
    /** The caregiver took the carrier off and put it on. */
    TAUGHT_CARRIER,
    /** The caregiver harnessed the child. */
    TAUGHT_HARNESS
}
