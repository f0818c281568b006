package app.layette.core.drawing;

/** What a shape is. */
public enum Ink {
    /** Cushion and back of the vehicle seat. */
    UPHOLSTERY,
    FRONT_SEAT,
    SHELL,
    PAD,
    BASE,
    INSERT,
    SKIN,
    CLOTH,
    WEBBING,
    /** The shoulder part of a vehicle belt, where it is told from the lap part. */
    SHOULDER,
    BUCKLE,
    SLOT,
    /** A part that hands are to set now. */
    HANDS,
    /** Seen or measured. */
    MEASURED,
    /** Computed. */
    COMPUTED,
    /** How unsure a computed angle is. */
    FAN,
    /** The moving part of an indicator, as computed. */
    COMPUTED_MARK,
    /** The moving part of an indicator, as it was seen. */
    SEEN_MARK,
    /** The clear tube of an indicator. */
    TUBE,
    /** What is forbidden. */
    STOP,
    /** The bar in what is forbidden. */
    STOP_BAR,
    /** A surface to tap. */
    TAP,
    /** The surface that is chosen. */
    CHOSEN,
    /** Not known. */
    UNKNOWN,
    /** The allowed band. */
    BAND,
    /** Helper lines. */
    FAINT
}
