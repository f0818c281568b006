package app.layette.core.seat;

/** Positions of a carrier's handle (SEC-9). */
public enum HandlePosition {
    UP,
    TOWARDS_HEAD_END,
    TOWARDS_FOOT_END,
    DOWN
}
