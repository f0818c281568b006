package app.layette.core.evidence;

/**
 * Values of a sheet that are neither permissions nor quantities: what somebody reads on a page of the seat's manual or its
 * label, or sees at a place of the car, where no sheet says it.
 */
public enum SheetValue {
    /** What is in front of the place (CAB-1). */
    AIRBAG(Of.PLACE, "airbag"),
    ANCHORS(Of.PLACE, "anchors"),
    BELT_KIND(Of.PLACE, "belt/kind"),
    INFLATABLE(Of.PLACE, "belt/inflatable"),
    FACING(Of.PLACE, "facing"),
    /** Under a load leg (CAB-8). */
    FLOOR(Of.PLACE, "floor"),
    /** Whether the seat is approved for the country of use (CND-7). */
    APPROVED_HERE(Of.SEAT, "approvals"),
    /** Years of use, or that the maker states none (CND-1). */
    LIFE(Of.SEAT, "life"),
    CRASH_RULE(Of.SEAT, "crash"),
    /** Every part that belongs to the seat (CND-5). */
    PARTS(Of.SEAT, "parts"),
    /** Whether the base's model number is on the carrier's list (CND-8). */
    BASE_LISTED(Of.SEAT, "bases"),
    OWN_CONDITIONS(Of.SEAT, "ownConditions"),
    /** What the manual says of the infant insert at this weight (SUIT-9). */
    INSERT(Of.SEAT, "insert"),
    /** How many pairs of harness slots there are. */
    SLOTS(Of.SEAT, "shell/slots"),
    /** Which loop the webbing hangs on (HAR-4). */
    LOOPS(Of.SEAT, "harness/loops"),
    /** The opening for the crotch strap at this weight (HAR-5). */
    CROTCH(Of.SEAT, "shell/crotch"),
    SNUG_TEST(Of.SEAT, "harness/snugTest"),
    CLIP(Of.SEAT, "harness/clip"),
    COVERS(Of.SEAT, "harness/covers"),
    /** The kind of level indicator (REC-1). */
    INDICATOR(Of.SEAT, "recline/indicator"),
    /** What counts as level at this weight. */
    LEVEL_PASS(Of.SEAT, "recline/indicator"),
    SIDES(Of.SEAT, "recline/indicator"),
    CONNECTORS(Of.SEAT, "connectors"),
    /** Where there is a lock-off (SEC-2). */
    LOCK_OFFS(Of.SEAT, "lockOffs"),
    PANEL(Of.SEAT, "tensionPanel"),
    LEG(Of.SEAT, "leg"),
    /** Indicators that must show locked (SEC-7). */
    WINDOWS(Of.SEAT, "windows"),
    REBOUND_BAR(Of.SEAT, "reboundBar"),
    ROTATION(Of.SEAT, "rotation"),
    SIDE_ELEMENT(Of.SEAT, "sideElement"),
    /** A car bed's own straps round the lap part. */
    END_STRAPS(Of.SEAT, "carBed/endStraps"),
    HEAD_DIRECTION(Of.SEAT, "carBed/headDirection"),
    WEIGHT_MIN(Of.QUANTITY, "limits/weightMin"),
    WEIGHT_MAX(Of.QUANTITY, "limits/weightMax"),
    LENGTH_MAX(Of.QUANTITY, "limits/lengthMax"),
    HEAD_ROOM(Of.QUANTITY, "shell/headRoom"),
    CARRIER_MASS(Of.QUANTITY, "shell/carrierMass"),
    BASE_MASS(Of.QUANTITY, "shell/baseMass"),
    BORROWED_SPACING(Of.QUANTITY, "borrowedSpacingMost");

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
    private final String component;

    SheetValue(Of of, String component) {
        this.of = of;
        this.component = component;
    }

    /**
     * Where it stands in its sheet: components of records with a {@code /} between; of a value of the car in the seating
     * position. Of both lying restraints the car bed's.
     */
    public String component() {
        return component;
    }

    public boolean isOfPlace() {
        return of == Of.PLACE;
    }

    /** Whether it is a mass or a length, which a page gives with its unit. */
    public boolean isQuantity() {
        return of == Of.QUANTITY;
    }
}
