package app.layette.core.evidence;

/** What a manual says about a permission when it says something. */
public enum Said {
    ALLOWED,
    NOT_ALLOWED
}
