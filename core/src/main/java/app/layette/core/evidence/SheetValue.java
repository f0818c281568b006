package app.layette.core.evidence;

/**
 * Values of a sheet that are neither permissions nor quantities: what somebody reads on a page of the seat's manual or its
 * label, or sees at a place of the car, where no sheet says it.
 */
public enum SheetValue {
    /** What is in front of the place (CAB-1). */
    AIRBAG(Of.PLACE),
    ANCHORS(Of.PLACE),
    BELT_KIND(Of.PLACE),
    INFLATABLE(Of.PLACE),
    FACING(Of.PLACE),
    /** Under a load leg (CAB-8). */
    FLOOR(Of.PLACE),
    /** Whether the seat is approved for the country of use (CND-7). */
    APPROVED_HERE(Of.SEAT),
    /** Years of use, or that the maker states none (CND-1). */
    LIFE(Of.SEAT),
    CRASH_RULE(Of.SEAT),
    /** Every part that belongs to the seat (CND-5). */
    PARTS(Of.SEAT),
    /** Whether the base's model number is on the carrier's list (CND-8). */
    BASE_LISTED(Of.SEAT),
    OWN_CONDITIONS(Of.SEAT),
    /** What the manual says of the infant insert at this weight (SUIT-9). */
    INSERT(Of.SEAT),
    /** How many pairs of harness slots there are. */
    SLOTS(Of.SEAT),
    /** Which loop the webbing hangs on (HAR-4). */
    LOOPS(Of.SEAT),
    /** The opening for the crotch strap at this weight (HAR-5). */
    CROTCH(Of.SEAT),
    SNUG_TEST(Of.SEAT),
    CLIP(Of.SEAT),
    COVERS(Of.SEAT),
    /** The kind of level indicator (REC-1). */
    INDICATOR(Of.SEAT),
    /** What counts as level at this weight. */
    LEVEL_PASS(Of.SEAT),
    SIDES(Of.SEAT),
    CONNECTORS(Of.SEAT),
    /** Where there is a lock-off (SEC-2). */
    LOCK_OFFS(Of.SEAT),
    PANEL(Of.SEAT),
    LEG(Of.SEAT),
    /** Indicators that must show locked (SEC-7). */
    WINDOWS(Of.SEAT),
    REBOUND_BAR(Of.SEAT),
    ROTATION(Of.SEAT),
    SIDE_ELEMENT(Of.SEAT),
    /** A car bed's own straps round the lap part. */
    END_STRAPS(Of.SEAT),
    HEAD_DIRECTION(Of.SEAT),
    WEIGHT_MIN(Of.QUANTITY),
    WEIGHT_MAX(Of.QUANTITY),
    LENGTH_MAX(Of.QUANTITY),
    HEAD_ROOM(Of.QUANTITY),
    CARRIER_MASS(Of.QUANTITY),
    BASE_MASS(Of.QUANTITY),
    BORROWED_SPACING(Of.QUANTITY);

    /** What a value is about, and so how it may be known. */
    public enum Of {
        /** A seating position of the car: seen there, or read in the car's manual. */
        PLACE,
        /** The restraint: read in its manual or on its label. */
        SEAT,
        /** The restraint, a mass or a length: a page of its manual. */
        QUANTITY
    }

    private final Of of;

    SheetValue(Of of) {
        this.of = of;
    }

    public boolean isOfPlace() {
        return of == Of.PLACE;
    }

    /** Whether it is a mass or a length, which a page gives with its unit. */
    public boolean isQuantity() {
        return of == Of.QUANTITY;
    }
}
