package app.layette.core.step;

/**
 * One thing to enter in a step.
 *
 * @param kind what is entered
 * @param key which one: a question, a part, a piece, an item; empty when the kind says it all
 * @param answered whether it was entered and nothing has changed since
 * @param optional whether the step is done without it: it only sharpens the advice
 */
public record Ask(Kind kind, String key, boolean answered, boolean optional) {
    /** Between a question and the seating position it is about, where there are two. */
    public static final String AT = "@";

    /** The question alone, without the place it is about. */
    public String question() {
        return key.split(AT, 2)[0];
    }

    /** The seating position that a question is about; empty where it is the chosen one, or about none. */
    public String place() {
        String[] parts = key.split(AT, 2);
        return parts.length > 1 ? parts[1] : "";
    }

    public Ask(Kind kind, String key, boolean answered) {
        this(kind, key, answered, false);
    }

    /** Something that is worth entering and holds nothing up. */
    public static Ask offered(Kind kind, String key, boolean answered) {
        return new Ask(kind, key, answered, true);
    }

    /** Kinds of entry that a step can ask for. */
    public enum Kind {
        QUESTION,
        CHILD,
        WEIGHT,
        LENGTH,
        ORDER,
        SCREENING,
        LABEL,
        INSERT,
        SHOULDER,
        /** A layer under the straps, to say what it may hide. */
        LAYER,
        SLOTS,
        CROTCH,
        PLACE,
        GROUND,
        ACT,
        DEVICE,
        /** A towel or noodle under the foot end. */
        ROLL,
        LEVEL,
        HANDLE,
        GAP,
        MOVEMENT,
        HEAD_ROOM,
        TEACH,
        /** The caregiver's initials for the teach-back. */
        INITIALS,
        COUNTERSIGN,
        /** A page of a manual that answers what is not known. */
        PAGE,
        /** A value that no sheet has: of the seat, from its page or label; of the car, seen at its place. */
        SHEET_VALUE,
        END,
        /** A seat that is not on the shelf, read from its label and manual. */
        QUICK_SEAT,
        /** A newer version of a sheet in use, for a lead to adopt or decline. */
        NEWER_SHEET
    }
}
