package app.layette.core.bench.act;

import java.util.regex.Pattern;

/** What hands, eyes and mouth can do on the practice bench. */
public enum Hand {
    ASK_FAMILY(Kind.FINDS_OUT),
    READ_LABEL(Kind.FINDS_OUT),
    READ_MANUALS(Kind.FINDS_OUT),
    LOOK_UP_RECALL(Kind.FINDS_OUT),
    WEIGH(Kind.FINDS_OUT),
    /** With the tape: {@code LENGTH}, or {@code SEATED} for shoulder and crown on the insert. */
    MEASURE(Kind.FINDS_OUT, "LENGTH|SEATED"),
    /** Front seat forward, bight clear, straps at full length. */
    PREPARE(Kind.DOES),
    /** The front seat, by so many mm; towards the restraint negative. */
    MOVE_FRONT_SEAT(Kind.DOES, "-?\\d{1,3}"),
    /** The recline device, by the name of its setting. */
    SET_DEVICE(Kind.DOES, "[1-9]"),
    TAKE_ROLL_OUT(Kind.DOES),
    /** Something seen made so: {@code QUESTION=ANSWER}. */
    MAKE(Kind.DOES, "[A-Z_]+=[A-Z0-9_]+"),
    /** Weight on the base at a place, and webbing pulled in with so much force. */
    PRESS(Kind.DOES, "FOOT_END|MIDDLE|HEAD_END"),
    LOOSEN(Kind.DOES),
    /** The retractor or latch plate locked. */
    LOCK_BELT(Kind.DOES),
    WALK_ARMS_IN(Kind.DOES),
    /** A piece of the insert: {@code piece=IN} or {@code piece=OUT}. */
    INSERT(Kind.DOES, "[a-z]+=(IN|OUT)"),
    THREAD(Kind.DOES, "[1-9]"),
    CROTCH(Kind.DOES, "[12]"),
    /** Tongues into the buckle. */
    LATCH(Kind.DOES),
    /** Webbing lifted from the hips. */
    LIFT_AT_HIPS(Kind.DOES),
    /** The tail pulled with so much force. */
    PULL_TAIL(Kind.DOES),
    LET_OUT(Kind.DOES),
    CARRIER_ON(Kind.DOES, "WITH_A_CLICK|WITHOUT_A_CLICK"),
    CARRIER_OFF(Kind.DOES),
    HANDLE(Kind.DOES, "[A-Z_]+"),
    /** Something marked taken away or put right. */
    PUT_RIGHT(Kind.DOES, "[A-Z_]+"),
    /** Said that something, by its name in the catalogue, cannot be put right: this restraint is not used. */
    RULE_OUT(Kind.DOES, "[A-Z_]+"),
    /** A look at one area. */
    LOOK(Kind.FINDS_OUT, "[A-Z_]+"),
    /** The seat's own indicator, from a place. */
    LEVEL(Kind.FINDS_OUT, "DOOR|ABOVE"),
    /** A firm tug at the belt path or elsewhere. */
    TUG(Kind.FINDS_OUT, "BELT_PATH|HEAD_END"),
    PULL_BELT(Kind.FINDS_OUT),
    TUG_ANCHORS(Kind.FINDS_OUT),
    PINCH(Kind.FINDS_OUT),
    /** The carrier lifted against its base. */
    LIFT(Kind.FINDS_OUT),
    /** The caregiver does an item of the teach-back. */
    TEACH(Kind.DOES, "[A-Z_]+"),
    CAUTION(Kind.DOES),
    /** The caregiver is let go on. */
    GO_ON(Kind.DOES),
    /** The caregiver is stopped: something, by its name in the catalogue, is not right. */
    STOP(Kind.DOES, "[A-Z_]+");

    private final Kind kind;
    private final Pattern what;

    /** Whether a hand changes something or finds something out. */
    public enum Kind {
        DOES,
        FINDS_OUT
    }

    Hand(Kind kind) {
        this(kind, "");
    }

    Hand(Kind kind, String what) {
        this.kind = kind;
        this.what = Pattern.compile(what);
    }

    /** Whether it takes what is said of it: nothing where there is one of its kind only. */
    public boolean takes(String said) {
        return what.matcher(said).matches();
    }

    public boolean findsOut() {
        return kind == Kind.FINDS_OUT;
    }
}
