package app.layette.core.entry;

import app.layette.core.seat.SeatKind;
import app.layette.core.vehicle.PositionId;
import java.util.Arrays;
import java.util.Set;

/** Ways to fix a restraint in a car. */
public enum Method {
    /** A base held by lower anchors on flexible webbing, the carrier clicked onto it. */
    BASE_FLEXIBLE_ANCHORS(SeatKind.REAR_FACING_ONLY, HeldBy.ANCHOR_STRAP, Way.ON_BASE),
    /** A base on rigid lower anchors, standing on its load leg. */
    BASE_RIGID_LEG(SeatKind.REAR_FACING_ONLY, HeldBy.RIGID_ARMS, Way.ON_BASE),
    /** A base held by the seat belt, locked by a lock-off, a tension panel, the retractor or the latch plate. */
    BASE_BELT(SeatKind.REAR_FACING_ONLY, HeldBy.BELT, Way.ON_BASE),
    /** The carrier without its base: lap part over both guides, shoulder part along the vehicle seat back. */
    BASELESS_AMERICAN(SeatKind.REAR_FACING_ONLY, HeldBy.BELT, Way.ALONG_THE_BACK),
    /** The carrier without its base: the shoulder part goes round behind the shell. */
    BASELESS_EUROPEAN(SeatKind.REAR_FACING_ONLY, HeldBy.BELT, Way.ROUND_BEHIND),
    /** A rear-facing convertible held by the belt through its rear-facing path. */
    CONVERTIBLE_BELT(SeatKind.CONVERTIBLE, HeldBy.BELT, Way.ONE_PIECE),
    /** A rear-facing convertible held by lower anchors. */
    CONVERTIBLE_ANCHORS(SeatKind.CONVERTIBLE, HeldBy.ANCHOR_STRAP, Way.ONE_PIECE),
    /** A car bed: the child lies flat, sideways to travel. */
    CAR_BED(SeatKind.CAR_BED, HeldBy.BELT, Way.ONE_PIECE),
    /** A lay-flat carrier across two seating positions. */
    LAY_FLAT(SeatKind.LAY_FLAT, HeldBy.BELT, Way.ONE_PIECE);

    /** What holds it in the car. */
    private enum HeldBy {
        BELT,
        ANCHOR_STRAP,
        RIGID_ARMS
    }

    /** What of it is fixed, and by which way a belt goes over a carrier alone. */
    private enum Way {
        ON_BASE,
        /** A carrier without its base, the shoulder part along the vehicle seat back. */
        ALONG_THE_BACK,
        /** A carrier without its base, the shoulder part round behind the shell. */
        ROUND_BEHIND,
        ONE_PIECE
    }

    private final SeatKind kind;
    private final HeldBy heldBy;
    private final Way way;

    Method(SeatKind kind, HeldBy heldBy, Way way) {
        this.kind = kind;
        this.heldBy = heldBy;
        this.way = way;
    }

    /** The method to think of first for a kind of restraint. */
    public static Method usual(SeatKind kind) {
        return Arrays.stream(values())
                .filter(method -> method.kind == kind)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("No method is for " + kind));
    }

    /** The kind of restraint that it is for. */
    public SeatKind kind() {
        return kind;
    }

    /** Whether the seat belt holds it. */
    public boolean isByBelt() {
        return heldBy == HeldBy.BELT;
    }

    /** Whether lower anchors hold it. */
    public boolean isByAnchors() {
        return !isByBelt();
    }

    /** Whether webbing is tightened between it and the lower anchors. */
    public boolean isByAnchorStrap() {
        return heldBy == HeldBy.ANCHOR_STRAP;
    }

    /** Whether it stands on rigid arms, which are walked in. */
    public boolean isByRigidArms() {
        return heldBy == HeldBy.RIGID_ARMS;
    }

    /** Whether it is lifted with the child in it, by its handle. */
    public boolean isCarried() {
        return kind == SeatKind.REAR_FACING_ONLY || kind == SeatKind.LAY_FLAT;
    }

    /** Whether shoulder straps come through slots; over a car bed there are none. */
    public boolean isThroughSlots() {
        return kind != SeatKind.CAR_BED;
    }

    /** Whether the child lies flat. */
    public boolean isFlat() {
        return kind == SeatKind.CAR_BED || kind == SeatKind.LAY_FLAT;
    }

    /** Whether it lies across two places (CAB-11). */
    public boolean takesTwoPlaces() {
        return kind == SeatKind.LAY_FLAT;
    }

    /** The seating positions that a restraint takes (CAB-11): a lay-flat carrier lies across two. */
    public Set<PositionId> takes(PositionId place) {
        return takesTwoPlaces() ? Set.of(place, place.besides()) : Set.of(place);
    }

    /** Whether a base is fixed and a carrier set on it. */
    public boolean isOnBase() {
        return way == Way.ON_BASE;
    }

    /** Whether something of it is fixed in the car and stays there without the child: a base, or the shell itself. */
    public boolean staysInTheCar() {
        return isOnBase() || kind == SeatKind.CONVERTIBLE;
    }

    /** Whether a carrier rides without its base. */
    public boolean isBaseless() {
        return way == Way.ALONG_THE_BACK || way == Way.ROUND_BEHIND;
    }

    /** Whether the shoulder part of the belt goes round behind the shell of a carrier without its base. */
    public boolean isRoundBehindShell() {
        return way == Way.ROUND_BEHIND;
    }

    /** Whether the child rides rear-facing and semi-reclined, so that a recline matters. */
    public boolean isReclined() {
        return kind == SeatKind.REAR_FACING_ONLY || kind == SeatKind.CONVERTIBLE;
    }
}
