package app.layette.core.seat;

/** A bar at the foot end that lies against the vehicle seat back (SEC-7). */
public enum ReboundBar {
    NONE,
    FIXED,
    ADJUSTABLE
}
