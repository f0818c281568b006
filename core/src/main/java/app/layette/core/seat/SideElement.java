package app.layette.core.seat;

/** An element at the shell's side that takes up a side impact (CAB-12). */
public enum SideElement {
    NONE,
    /** Drawn out on the side of the nearest door. */
    DOOR_SIDE,
    BOTH_SIDES
}
