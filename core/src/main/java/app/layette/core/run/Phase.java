package app.layette.core.run;

/** Parts of the work, in which steps stand together. */
public enum Phase {
    SEAT_AND_CHILD,
    CAR,
    BASE,
    CHILD,
    FAMILY
}
