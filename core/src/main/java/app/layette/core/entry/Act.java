package app.layette.core.entry;

import app.layette.core.seat.SeatKind;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Things done with the hands that make earlier checks worth less. */
public enum Act {
    /** Front seat forward, bight clear, connectors or straps at full length. Spoils nothing. */
    PREPARED(null),
    TIGHTENED(Change.TIGHTENED),
    PRESSED_OR_ROCKED(Change.TIGHTENED),
    /** Belt taken out, routed or unlocked again. */
    BELT_TOUCHED(Change.BELT_TOUCHED),
    ANCHOR_TOUCHED(Change.ANCHOR_TOUCHED),
    /** Rigid arms walked in until the base presses into the cushion. */
    ARMS_WALKED_IN(Change.ARMS_WALKED_IN),
    CARRIER_ON(Change.CARRIER_ON_OFF),
    CARRIER_OFF(Change.CARRIER_ON_OFF),
    COVER_CHANGED(Change.COVER),
    HARNESS_OPENED(Change.HARNESS_OPENED),
    CLOTHING_CHANGED(Change.HARNESS_OPENED),
    CLIP_MOVED(Change.CLIP_MOVED),
    FRONT_SEAT_MOVED(Change.FRONT_SEAT_MOVED),
    CAR_MOVED(Change.CAR_MOVED),
    HANDLE_MOVED(Change.HANDLE_MOVED),
    /** A shell that turns, turned to the door to harness the child. */
    TURNED_TO_DOOR(Change.TURNED);

    private final @Nullable Change change;

    Act(@Nullable Change change) {
        this.change = change;
    }

    /** Whether there is anything of the kind with a method: no belt is undone where straps hold it. */
    public boolean isPartOf(Method method) {
        return switch (this) {
            case BELT_TOUCHED -> method.isByBelt();
            case ANCHOR_TOUCHED -> method.isByAnchors();
            case ARMS_WALKED_IN -> method.isByRigidArms();
            case CARRIER_ON, CARRIER_OFF -> method.isOnBase();
            case HANDLE_MOVED -> method.kind() != SeatKind.CONVERTIBLE;
            default -> true;
        };
    }

    /** What it spoils; empty when it spoils nothing. */
    public Optional<Change> change() {
        return Optional.ofNullable(change);
    }
}
