package app.layette.core.seat;

/** Kinds of restraint. */
public enum SeatKind {
    /** Rear-facing-only infant seat: a carrier, with or without a base. */
    REAR_FACING_ONLY,
    CONVERTIBLE,
    CAR_BED,
    LAY_FLAT
}
