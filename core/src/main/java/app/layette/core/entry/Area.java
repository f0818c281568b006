package app.layette.core.entry;

/** Where to look at a restraint as it stands in a car, in the order of the walk round it. */
public enum Area {
    LABEL,
    CHILD,
    HARNESS,
    HANDLE,
    LEVEL,
    BASE,
    BELT,
    ANCHORS,
    LEG,
    PLACE
}
