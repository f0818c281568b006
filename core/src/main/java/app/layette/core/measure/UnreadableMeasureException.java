package app.layette.core.measure;

/**
 * A quantity that cannot be taken as typed. Carries what was typed and the range that would have been taken, so that
 * the message can name both.
 */
public final class UnreadableMeasureException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    /** Why the text was refused. */
    public enum Reason {
        /** No number with a known unit could be read. */
        UNREADABLE,
        /** A comma followed by three digits: thousands or decimals, nobody can tell. */
        AMBIGUOUS_COMMA,
        /** A bare number that is plausible in more than one unit. */
        UNIT_NEEDED,
        /** Readable, but outside the range that this field takes. */
        OUT_OF_RANGE
    }

    private final Reason reason;
    private final String typed;
    private final String lowest;
    private final String highest;

    UnreadableMeasureException(Reason reason, String typed, String lowest, String highest) {
        super(reason + ": '" + typed + "'; allowed " + lowest + " to " + highest);
        this.reason = reason;
        this.typed = typed;
        this.lowest = lowest;
        this.highest = highest;
    }

    public Reason reason() {
        return reason;
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
