package app.layette.core.step;

/** Every step there is, with its phase. Its order among others is the run's business; which rules it serves, theirs. */
public enum StepKey {
    CHILD(Phase.SEAT_AND_CHILD),
    LABEL(Phase.SEAT_AND_CHILD),
    HISTORY_STEP(Phase.SEAT_AND_CHILD),
    PARTS_STEP(Phase.SEAT_AND_CHILD),
    FITS(Phase.SEAT_AND_CHILD),
    INSERT_STEP(Phase.SEAT_AND_CHILD),
    SHOULDER(Phase.SEAT_AND_CHILD),
    THREAD(Phase.SEAT_AND_CHILD),
    PLACE(Phase.CAR),
    GROUND(Phase.CAR),
    PREPARE(Phase.CAR),
    DEVICE(Phase.BASE),
    HOOK(Phase.BASE),
    ROUTE_BELT(Phase.BASE),
    TIGHTEN(Phase.BASE),
    INCH(Phase.BASE),
    LEG_AND_WINDOWS(Phase.BASE),
    HARNESS(Phase.CHILD),
    CARRIER_ON(Phase.CHILD),
    /** A shell that turns, turned back and locked. */
    TURN_BACK(Phase.CHILD),
    LEVEL_CHILD(Phase.CHILD),
    HANDLE_AND_GAP(Phase.CHILD),
    TEACH(Phase.FAMILY),
    HAND_OVER(Phase.FAMILY);

    private final Phase phase;

    StepKey(Phase phase) {
        this.phase = phase;
    }

    public Phase phase() {
        return phase;
    }
}
