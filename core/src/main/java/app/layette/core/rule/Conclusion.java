package app.layette.core.rule;

import app.layette.core.finding.RuleCode;

/** What a hand-over has to be able to rely on, in the order of the work. */
public enum Conclusion {
    /** One rider and one unit: more are not judged together yet. */
    WHOLE_FITTING(RuleCode.OUT_4),
    SHEETS_CURRENT(RuleCode.CND_9),
    SHEET_MATCHES_LABEL(RuleCode.CND_9),
    EXPIRY(RuleCode.CND_1),
    HISTORY(RuleCode.CND_2),
    CRASH(RuleCode.CND_3),
    RECALL(RuleCode.CND_4),
    REGISTRATION(RuleCode.CND_4),
    PARTS(RuleCode.CND_5),
    MANUALS(RuleCode.CND_6),
    APPROVAL(RuleCode.CND_7),
    BASE_FITS_CARRIER(RuleCode.CND_8),
    WEIGHT(RuleCode.SUIT_1),
    LENGTH(RuleCode.SUIT_2),
    ORDERS(RuleCode.SUIT_7),
    FEET(RuleCode.SUIT_6),
    SCREENING(RuleCode.SUIT_8),
    /** Conditions of the seat's own, such as head control. */
    OWN_CONDITIONS(RuleCode.SUIT_11),
    INSERT(RuleCode.SUIT_9),
    SLOT_IN_REACH(RuleCode.SUIT_4),
    SLOT(RuleCode.HAR_1),
    /** The webbing comes from the same slot on both sides and in pad and shell. */
    THREADED_ALIKE(RuleCode.HAR_4),
    HEAD_ROOM(RuleCode.SUIT_3),
    CROTCH(RuleCode.HAR_5),
    WEBBING(RuleCode.HAR_4),
    SNUG_AT_SHORTEST(RuleCode.SUIT_5),
    COVERS(RuleCode.HAR_11),
    LIFTING(RuleCode.SUIT_12),
    /** The method is one that this restraint is made for. */
    METHOD(RuleCode.CAB_13),
    AIRBAG(RuleCode.CAB_1),
    /** In front only where no place of the back can take it. */
    FRONT_ROW(RuleCode.CAB_1),
    VEHICLE_SEAT(RuleCode.CAB_2),
    OWN_ANCHORS(RuleCode.CAB_4),
    ANCHOR_LIMIT(RuleCode.SUIT_10),
    /** A carrier used without its base, by this routing. */
    ROUTING_ALLOWED(RuleCode.CND_8),
    BELT_LOCKS(RuleCode.SEC_1),
    INFLATABLE_BELT(RuleCode.CAB_6),
    BED_PLACE(RuleCode.CAB_11),
    LAY_FLAT_PLACES(RuleCode.CAB_11),
    LEVEL_GROUND(RuleCode.REC_3),
    ROLL(RuleCode.REC_6),
    SITS_WHOLE(RuleCode.CAB_3),
    ONE_SYSTEM(RuleCode.CAB_5),
    ANCHORS_CLICKED(RuleCode.SEC_4),
    STRAP(RuleCode.SEC_3),
    BELT_PATH(RuleCode.SEC_3),
    BUCKLE(RuleCode.CAB_7),
    LOCK_OFF(RuleCode.SEC_2),
    LOCK_PROOF(RuleCode.SEC_1),
    PANEL(RuleCode.SEC_2),
    END_STRAPS(RuleCode.SEC_3),
    INCH_TEST(RuleCode.SEC_6),
    FLOOR_AND_LEG(RuleCode.CAB_8),
    WINDOWS(RuleCode.SEC_7),
    REBOUND_BAR(RuleCode.SEC_7),
    SIDE_ELEMENT(RuleCode.CAB_12),
    TURNED_BACK(RuleCode.SEC_7),
    CLOTHING(RuleCode.HAR_9),
    SNUG_TEST(RuleCode.HAR_7),
    CLIP(RuleCode.HAR_8),
    LIES_FLAT(RuleCode.HAR_12),
    SUPPORT(RuleCode.HAR_10),
    CLICK_AND_LIFT(RuleCode.SEC_8),
    /** The level before there is a child, with what stays in the car tightened. */
    LEVEL_TIGHT(RuleCode.REC_1),
    LEVEL(RuleCode.REC_1),
    HANDLE(RuleCode.SEC_9),
    GAP(RuleCode.CAB_10),
    TEACH_BACK(RuleCode.OUT_2),
    CAUTIONS(RuleCode.OUT_1),
    SIGNED_FOR(RuleCode.OUT_3);

    private final RuleCode code;

    Conclusion(RuleCode code) {
        this.code = code;
    }

    public RuleCode code() {
        return code;
    }
}
