package app.layette.core.entry;

import app.layette.core.finding.RuleCode;

/** Questions that are answered by eye, with one tap. The answers and what each one means are in {@link Answers}. */
public enum Question {
    CONDITION(RuleCode.SUIT_8),
    HISTORY(RuleCode.CND_2),
    CRASH(RuleCode.CND_3),
    RECALL(RuleCode.CND_4),
    /** Whether the registration card was sent. It advises; a card not sent comes due. */
    REGISTRATION(RuleCode.CND_4),
    PARTS(RuleCode.CND_5),
    MANUALS(RuleCode.CND_6),
    APPROVAL(RuleCode.CND_7),
    BASE_SET_UP(RuleCode.CND_8),
    SNUG_SHORTEST(RuleCode.SUIT_5),
    HEAD_ROOM(RuleCode.SUIT_3),
    SITS_WHOLE(RuleCode.CAB_3),
    SYSTEMS(RuleCode.CAB_5),
    LEG(RuleCode.CAB_8),
    GAP(RuleCode.CAB_10),
    GROUND(RuleCode.REC_3),
    /** Whether an indicator on both sides shows the same on both. */
    SIDES(RuleCode.REC_3),
    ANCHORS_HOOKED(RuleCode.SEC_4),
    STRAP(RuleCode.SEC_3),
    MOVEMENT(RuleCode.SEC_6),
    WINDOWS(RuleCode.SEC_7),
    CLICK(RuleCode.SEC_8),
    WEBBING(RuleCode.HAR_4),
    CLOTHING(RuleCode.HAR_9),
    SNUG(RuleCode.HAR_7),
    CLIP(RuleCode.HAR_8),
    SUPPORT(RuleCode.HAR_10),
    CAUTIONS(RuleCode.OUT_1),
    RETRACTOR(RuleCode.SEC_1),
    LATCH_PLATE(RuleCode.SEC_1),
    BUCKLE(RuleCode.CAB_7),
    BELT_ROUTE(RuleCode.SEC_3),
    LOCK_OFF(RuleCode.SEC_2),
    LOCK_PROOF(RuleCode.SEC_1),
    /** Which doors the caregiver can use, and whether they can lean in: it ranks places, and forbids none. */
    REACH(RuleCode.CAB_13),
    PANEL(RuleCode.SEC_2),
    /** A car bed's own straps round the lap part. */
    END_STRAPS(RuleCode.SEC_3),
    SIDE_ELEMENT(RuleCode.CAB_12),
    /** A shell that turns, after it was turned to the door. */
    TURNED_BACK(RuleCode.SEC_7),
    LIES_FLAT(RuleCode.HAR_12),
    /** Whether the feet reach past the restraint's end or the vehicle seat back; asked only where a manual minds. */
    FEET(RuleCode.SUIT_6),
    /** Whether the caregiver can lift carrier and child just now. It advises and forbids nothing. */
    LIFTING(RuleCode.SUIT_12),
    COVERS(RuleCode.HAR_11);

    private final RuleCode rule;

    Question(RuleCode rule) {
        this.rule = rule;
    }

    public RuleCode rule() {
        return rule;
    }
}
