package app.layette.core.vehicle;

/** Left, middle or right, looking the way the car drives. */
public enum Side {
    LEFT,
    MIDDLE,
    RIGHT
}
