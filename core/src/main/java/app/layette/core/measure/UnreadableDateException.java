package app.layette.core.measure;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** A date that cannot be taken as typed; where it could be two days, it carries both to be asked which. */
public final class UnreadableDateException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;
    private static final DateTimeFormatter PLAIN = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    /** Why the text was refused. */
    public enum Reason {
        /** No day that the calendar has. */
        NOT_A_DATE,
        /** The day and the month could stand either way round. */
        WHICH_DAY,
        /** The year is missing, or of two digits. */
        YEAR_NEEDED
    }

    private final Reason reason;
    private final String typed;
    private final String one;
    private final String other;

    UnreadableDateException(Reason reason, String typed) {
        this(reason, typed, "", "");
    }

    private UnreadableDateException(Reason reason, String typed, String one, String other) {
        super("The date (" + typed + ") cannot be read: " + reason);
        this.reason = reason;
        this.typed = typed == null ? "" : typed;
        this.one = one;
        this.other = other;
    }

    static UnreadableDateException either(String typed, LocalDate one, LocalDate other) {
        return new UnreadableDateException(Reason.WHICH_DAY, typed, PLAIN.format(one), PLAIN.format(other));
    }

    public Reason reason() {
        return reason;
    }

    public String typed() {
        return typed;
    }

    /** One of the days that it could be, as it can be typed; empty unless it could be two. */
    public String one() {
        return one;
    }

    public String other() {
        return other;
    }
}
