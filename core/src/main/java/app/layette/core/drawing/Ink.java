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
    BUCKLE,
    SLOT,
    /** A part that hands are to set now. */
    HANDS,
    /** Seen or measured. */
    MEASURED,
    /** Computed. */
    COMPUTED,
    /** Not known. */
    UNKNOWN,
    /** The allowed band. */
    BAND,
    /** Helper lines. */
    FAINT
}
