package app.layette.core.measure;

/**
 * A quantity that cannot be taken as typed. Carries what was typed and the range that would have been taken, so that
 * the message can name both.
 */
public final class UnreadableMeasureException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    /** What was to be read; its units alone are named in the message. */
    public enum Kind {
        MASS,
        LENGTH,
        ANGLE
    }

    /** Why the text was refused. */
    public enum Reason {
        /** No number with a known unit could be read. */
        UNREADABLE,
        /** A comma followed by three digits: thousands or decimals, nobody can tell. */
        AMBIGUOUS_COMMA,
        /** A bare number that is plausible in more than one unit. */
        UNIT_NEEDED,
        /** More ounces than make a pound, grams than make a kilogram, inches than make a foot. */
        PART_TOO_LARGE,
        /** A fraction of a pound and ounces beside it: one of them was meant, nobody can tell which. */
        FRACTION_AND_PART,
        /** Readable, but outside the range that this field takes. */
        OUT_OF_RANGE
    }

    private final Kind kind;
    private final Reason reason;
    private final String typed;
    private final String lowest;
    private final String highest;

    UnreadableMeasureException(Kind kind, Reason reason, String typed, String lowest, String highest) {
        super(reason + ": '" + typed + "'; allowed " + lowest + " to " + highest);
        this.kind = kind;
        this.reason = reason;
        this.typed = typed;
        this.lowest = lowest;
        this.highest = highest;
    }

    public Reason reason() {
        return reason;
    }

    public Kind kind() {
        return kind;
    }

    /** Key of the sentence that says it: the reason, and of what where the sentence names units. */
    public String key() {
        return switch (reason) {
            case UNREADABLE, UNIT_NEEDED, PART_TOO_LARGE, FRACTION_AND_PART -> reason + "." + kind;
            case AMBIGUOUS_COMMA, OUT_OF_RANGE -> reason.name();
        };
    }

    /** The text as it was typed. */
    public String typed() {
        return typed;
    }

    /** Lower end of the allowed range, inclusive, in both unit systems. */
    public String lowest() {
        return lowest;
    }

    /** Upper end of the allowed range, inclusive, in both unit systems. */
    public String highest() {
        return highest;
    }
}
