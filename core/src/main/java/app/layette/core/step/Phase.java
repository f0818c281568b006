package app.layette.core.step;

/** Parts of the work, in which steps stand together. */
public enum Phase {
    SEAT_AND_CHILD,
    CAR,
    BASE,
    CHILD,
    FAMILY
}
