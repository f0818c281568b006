package app.layette.core.seat;

/** Whether the base has a load leg, and when it is needed (CAB-8). */
public enum LegUse {
    NO_LEG,
    ALWAYS,
    WHEN_POSSIBLE
}
