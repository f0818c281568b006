package app.layette.core.evidence;

/** Whose manual has a say in a permission. */
public enum Speaker {
    SEAT,
    CAR
}
