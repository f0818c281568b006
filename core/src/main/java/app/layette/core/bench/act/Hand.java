package app.layette.core.bench.act;

/** What hands, eyes and mouth can do on the practice bench. */
public enum Hand {
    ASK_FAMILY(Kind.FINDS_OUT),
    READ_LABEL(Kind.FINDS_OUT),
    READ_MANUALS(Kind.FINDS_OUT),
    LOOK_UP_RECALL(Kind.FINDS_OUT),
    WEIGH(Kind.FINDS_OUT),
    /** With the tape: {@code LENGTH}, or {@code SEATED} for shoulder and crown on the insert. */
    MEASURE(Kind.FINDS_OUT),
    /** Front seat forward, bight clear, straps at full length. */
    PREPARE(Kind.DOES),
    /** The front seat, by so many mm; towards the restraint negative. */
    MOVE_FRONT_SEAT(Kind.DOES),
    /** The recline device, by the name of its setting. */
    SET_DEVICE(Kind.DOES),
    TAKE_ROLL_OUT(Kind.DOES),
    /** Something seen made so: {@code QUESTION=ANSWER}. */
    MAKE(Kind.DOES),
    /** Weight on the base at a place, and webbing pulled in with so much force. */
    PRESS(Kind.DOES),
    LOOSEN(Kind.DOES),
    /** The retractor or latch plate locked. */
    LOCK_BELT(Kind.DOES),
    WALK_ARMS_IN(Kind.DOES),
    /** A piece of the insert: {@code piece=IN} or {@code piece=OUT}. */
    INSERT(Kind.DOES),
    THREAD(Kind.DOES),
    CROTCH(Kind.DOES),
    /** Tongues into the buckle. */
    LATCH(Kind.DOES),
    /** Webbing lifted from the hips. */
    LIFT_AT_HIPS(Kind.DOES),
    /** The tail pulled with so much force. */
    PULL_TAIL(Kind.DOES),
    LET_OUT(Kind.DOES),
    CARRIER_ON(Kind.DOES),
    CARRIER_OFF(Kind.DOES),
    HANDLE(Kind.DOES),
    /** Something marked taken away or put right. */
    PUT_RIGHT(Kind.DOES),
    /** Said that something, by its name in the catalogue, cannot be put right: this restraint is not used. */
    RULE_OUT(Kind.DOES),
    /** A look at one area. */
    LOOK(Kind.FINDS_OUT),
    /** The seat's own indicator, from a place. */
    LEVEL(Kind.FINDS_OUT),
    /** A firm tug at the belt path or elsewhere. */
    TUG(Kind.FINDS_OUT),
    PULL_BELT(Kind.FINDS_OUT),
    TUG_ANCHORS(Kind.FINDS_OUT),
    PINCH(Kind.FINDS_OUT),
    /** The carrier lifted against its base. */
    LIFT(Kind.FINDS_OUT),
    /** The caregiver does an item of the teach-back. */
    TEACH(Kind.DOES),
    CAUTION(Kind.DOES),
    /** The caregiver is let go on. */
    GO_ON(Kind.DOES),
    /** The caregiver is stopped: something, by its name in the catalogue, is not right. */
    STOP(Kind.DOES);

    private final Kind kind;

    /** Whether a hand changes something or finds something out. */
    public enum Kind {
        DOES,
        FINDS_OUT
    }

    Hand(Kind kind) {
        this.kind = kind;
    }

    public boolean findsOut() {
        return kind == Kind.FINDS_OUT;
    }
}
