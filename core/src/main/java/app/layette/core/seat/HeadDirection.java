package app.layette.core.seat;

/** Where the head of a child that lies flat is, seen the way the car drives. */
public enum HeadDirection {
    LEFT,
    RIGHT,
    TOWARDS_MIDDLE,
    TOWARDS_DOOR
}
