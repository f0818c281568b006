package app.layette.core.fitting;

/** How a fitting stands. Only {@link #HANDED_OVER} ever means handed over. */
public enum FittingState {
    OPEN,
    /** Before the birth: what stays in the car is in and tested, and signed for. Nobody was handed anything over. */
    PREPARED,
    HANDED_OVER,
    LEFT_WITH_OPEN_FINDINGS,
    NOT_FITTED,
    /** A bedside run: the caregiver was taught; nothing was fitted. */
    TAUGHT;

    /** Whether the work goes on: nothing is closed, though what was done before the birth may be signed for. */
    public boolean isUnderWay() {
        return this == OPEN || this == PREPARED;
    }
}
