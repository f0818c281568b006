package app.layette.core.child;

/** As needed for the growth standards; may be left out. */
public enum Sex {
    FEMALE,
    MALE
}
