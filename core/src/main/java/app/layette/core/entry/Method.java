package app.layette.core.entry;

import app.layette.core.seat.SeatKind;
import app.layette.core.vehicle.PositionId;
import java.util.Set;

/** Ways to fix a restraint in a car. */
public enum Method {
    /** A base held by lower anchors on flexible webbing, the carrier clicked onto it. */
    BASE_FLEXIBLE_ANCHORS(SeatKind.REAR_FACING_ONLY, false, true),
    /** A base on rigid lower anchors, standing on its load leg. */
    BASE_RIGID_LEG(SeatKind.REAR_FACING_ONLY, false, true),
    /** A base held by the seat belt, locked by a lock-off, a tension panel, the retractor or the latch plate. */
    BASE_BELT(SeatKind.REAR_FACING_ONLY, true, true),
    /** The carrier without its base: lap part over both guides, shoulder part along the vehicle seat back. */
    BASELESS_AMERICAN(SeatKind.REAR_FACING_ONLY, true, false),
    /** The carrier without its base: the shoulder part goes round behind the shell. */
    BASELESS_EUROPEAN(SeatKind.REAR_FACING_ONLY, true, false),
    /** A rear-facing convertible held by the belt through its rear-facing path. */
    CONVERTIBLE_BELT(SeatKind.CONVERTIBLE, true, false),
    /** A rear-facing convertible held by lower anchors. */
    CONVERTIBLE_ANCHORS(SeatKind.CONVERTIBLE, false, false),
    /** A car bed: the child lies flat, sideways to travel. */
    CAR_BED(SeatKind.CAR_BED, true, false),
    /** A lay-flat carrier across two seating positions. */
    LAY_FLAT(SeatKind.LAY_FLAT, true, false);

    private final SeatKind kind;
    private final boolean byBelt;
    private final boolean onBase;

    Method(SeatKind kind, boolean byBelt, boolean onBase) {
        this.kind = kind;
        this.byBelt = byBelt;
        this.onBase = onBase;
    }

    /** The method to think of first for a kind of restraint. */
    public static Method usual(SeatKind kind) {
        return switch (kind) {
            case REAR_FACING_ONLY -> BASE_FLEXIBLE_ANCHORS;
            case CONVERTIBLE -> CONVERTIBLE_BELT;
            case CAR_BED -> CAR_BED;
            case LAY_FLAT -> LAY_FLAT;
        };
    }

    /** The kind of restraint that it is for. */
    public SeatKind kind() {
        return kind;
    }

    /** Whether the seat belt holds it. */
    public boolean isByBelt() {
        return byBelt;
    }

    /** The seating positions that a restraint takes (CAB-11): a lay-flat carrier lies across two. */
    public Set<PositionId> takes(PositionId place) {
        return this == LAY_FLAT ? Set.of(place, place.besides()) : Set.of(place);
    }

    /** Whether a base is fixed and a carrier set on it. */
    public boolean isOnBase() {
        return onBase;
    }

    /** Whether something of it is fixed in the car and stays there without the child: a base, or the shell itself. */
    public boolean staysInTheCar() {
        return onBase || kind == SeatKind.CONVERTIBLE;
    }

    /** Whether a carrier rides without its base. */
    public boolean isBaseless() {
        return this == BASELESS_AMERICAN || this == BASELESS_EUROPEAN;
    }

    /** Whether the child rides rear-facing and semi-reclined, so that a recline matters. */
    public boolean isReclined() {
        return kind == SeatKind.REAR_FACING_ONLY || kind == SeatKind.CONVERTIBLE;
    }
}
