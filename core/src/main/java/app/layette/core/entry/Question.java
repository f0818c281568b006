package app.layette.core.entry;

import app.layette.core.finding.RuleCode;

/** Questions that are answered by eye, with one tap. The answers and what each one means are in {@link Answers}. */
public enum Question {
    CONDITION(RuleCode.SUIT_8, Known.TOLD),
    HISTORY(RuleCode.CND_2, Known.TOLD),
    CRASH(RuleCode.CND_3, Known.TOLD),
    RECALL(RuleCode.CND_4),
    /** Whether the registration card was sent. It advises; a card not sent comes due. */
    REGISTRATION(RuleCode.CND_4, Known.TOLD),
    PARTS(RuleCode.CND_5),
    MANUALS(RuleCode.CND_6),
    APPROVAL(RuleCode.CND_7, Known.READ),
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
    RETRACTOR(RuleCode.SEC_1, Known.READ),
    LATCH_PLATE(RuleCode.SEC_1, Known.READ),
    BUCKLE(RuleCode.CAB_7),
    BELT_ROUTE(RuleCode.SEC_3),
    LOCK_OFF(RuleCode.SEC_2),
    LOCK_PROOF(RuleCode.SEC_1),
    /** Which doors the caregiver can use, and whether they can lean in: it ranks places, and forbids none. */
    REACH(RuleCode.CAB_13, Known.TOLD),
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
    LIFTING(RuleCode.SUIT_12, Known.TOLD),
    COVERS(RuleCode.HAR_11),
    /** Whether the lamp or key shows the front airbag off, now, in this car. */
    AIRBAG_LAMP(RuleCode.CAB_1),
    /** Whether any place of the back can take this restraint, where it is to ride in front. */
    BACK_ROW(RuleCode.CAB_1),
    /** Whether an anti-rebound bar lies against the vehicle seat back. */
    BAR(RuleCode.SEC_7),
    /** Whether anything was taken off, added, damaged, crashed or lent since the last fitting. */
    SINCE(RuleCode.CND_2, Known.TOLD),
    /** Whether the seat's own conditions, such as head control, are met. */
    OWN_CONDITIONS(RuleCode.SUIT_11);

    /** How the answer may be known so that it passes. */
    public enum Known {
        /** Seen, felt or tested here. */
        SEEN,
        /** The same, or read on a label or a page. */
        READ,
        /** What a family or a ward says is enough. */
        TOLD
    }

    private final RuleCode rule;
    private final Known known;

    Question(RuleCode rule) {
        this(rule, Known.SEEN);
    }

    Question(RuleCode rule, Known known) {
        this.rule = rule;
        this.known = known;
    }

    /** Whether an answer that is known like this can pass a check. */
    public boolean isPassedBy(How how) {
        return switch (known) {
            case SEEN -> how.isSeenHere() || isCarried() && how.isCarried();
            case READ -> how.isSeenHere() || how.isReadInDocument() || isCarried() && how.isCarried();
            case TOLD -> !how.isEstimate();
        };
    }

    /** Whether an earlier fitting of the same seat answers it, once nothing has changed since. */
    public boolean isCarried() {
        return switch (this) {
            case CONDITION, HISTORY, CRASH, RECALL, REGISTRATION, PARTS, MANUALS, APPROVAL, BASE_SET_UP -> true;
            default -> false;
        };
    }

    public RuleCode rule() {
        return rule;
    }
}
