package app.layette.core.fitting;

/** How a fitting stands. Only {@link #HANDED_OVER} ever means handed over. */
public enum FittingState {
    OPEN,
    HANDED_OVER,
    LEFT_WITH_OPEN_FINDINGS,
    NOT_FITTED,
    /** A bedside run: the caregiver was taught; nothing was fitted. */
    TAUGHT
}
