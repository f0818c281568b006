package app.layette.core.entry;

/** Kinds of change. Which checks each one re-opens is a table of the rules. */
public enum Change {
    /** Tightened, loosened, pressed, rocked; recline device, roll or slide changed. */
    TIGHTENED,
    BELT_TOUCHED,
    ANCHOR_TOUCHED,
    ARMS_WALKED_IN,
    CARRIER_ON_OFF,
    /** A piece of the insert put in or taken out. */
    INSERT,
    /** The cover taken off and put on again. */
    COVER,
    /** Slot, loop or crotch opening changed, or a webbing moved. */
    SLOT,
    /** Harness opened, child out, clothing changed, anything put beside or between. */
    HARNESS_OPENED,
    CLIP_MOVED,
    FRONT_SEAT_MOVED,
    CAR_MOVED,
    HANDLE_MOVED,
    /** A shell that turns was turned. */
    TURNED,
    /** The child's weight or length renewed or corrected. */
    MEASURES_RENEWED,
    /** The label of another carrier or base was read: another seat is here. */
    OTHER_SEAT,
    /** What a label says was corrected: what was looked up by it was looked up by something else. */
    LABEL_CORRECTED,
    /** Another car, by its sheet or as seen on the spot. */
    OTHER_CAR,
    PLACE_OR_METHOD
}
