package app.layette.core.seat;

/** Whether the shell turns on its base. */
public enum Rotation {
    NONE,
    /** Turns to the door for harnessing and back, locked, for driving. */
    TO_DOOR
}
