package app.layette.core.entry;

/** Things done with the hands that make earlier checks worth less. */
public enum Act {
    /** Front seat forward, bight clear, connectors or straps at full length. Spoils nothing. */
    PREPARED(null),
    TIGHTENED(Change.TIGHTENED),
    PRESSED_OR_ROCKED(Change.TIGHTENED),
    ANCHOR_TOUCHED(Change.TIGHTENED),
    /** Rigid arms walked in until the base presses into the cushion. */
    ARMS_WALKED_IN(Change.TIGHTENED),
    CARRIER_ON(Change.CARRIER_ON_OFF),
    CARRIER_OFF(Change.CARRIER_ON_OFF),
    COVER_CHANGED(Change.INSERT),
    HARNESS_OPENED(Change.HARNESS_OPENED),
    CLOTHING_CHANGED(Change.HARNESS_OPENED),
    CLIP_MOVED(Change.CLIP_MOVED),
    FRONT_SEAT_MOVED(Change.FRONT_SEAT_MOVED),
    CAR_MOVED(Change.CAR_MOVED),
    HANDLE_MOVED(Change.HANDLE_MOVED);

    private final Change change;

    Act(Change change) {
        this.change = change;
    }

    /** What it spoils; empty when it spoils nothing. */
    public java.util.Optional<Change> change() {
        return java.util.Optional.ofNullable(change);
    }
}
