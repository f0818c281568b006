package app.layette.core.entry;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Optional;

/**
 * How something is known.
 *
 * @param kind rank of knowing
 * @param place page of the manual or part of the label; empty otherwise
 */
public record How(Kind kind, String place) {
    /** Kinds of knowing. */
    public enum Kind {
        /** Measured or seen beside the car. */
        MEASURED(0),
        /** Read in a manual, with its page. */
        MANUAL(1),
        /** Read on a label. */
        LABEL(1),
        /** Somebody said so. */
        TOLD(2),
        /** Brought back from an earlier fitting of the family; the place says of which day. A fresh look replaces it. */
        CARRIED_FROM(2),
        /** Computed or guessed; replaces nothing and satisfies no check. */
        ESTIMATED(3),
        /** From a simulated device; counts as an estimate. */
        SIMULATED(3);

        private final int rank;

        Kind(int rank) {
            this.rank = rank;
        }

        /** Rank of trust, smaller is better. */
        public int rank() {
            return rank;
        }
    }

    public static final How MEASURED = new How(Kind.MEASURED, "");
    public static final How TOLD = new How(Kind.TOLD, "");

    public How {
        place = place == null ? "" : place.strip();
    }

    public static How manual(String page) {
        return new How(Kind.MANUAL, page);
    }

    /** Whether it was seen, felt or measured here, which a check by eye or hand needs. */
    public boolean isSeenHere() {
        return kind == Kind.MEASURED;
    }

    /** Whether an earlier fitting of the family says it. */
    public boolean isCarried() {
        return kind == Kind.CARRIED_FROM;
    }

    /** Whether somebody only said so, here or at an earlier fitting. */
    public boolean isOnlyTold() {
        return kind.rank() == Kind.TOLD.rank();
    }

    /** The day of the first measure, for what was carried over; empty when it names none. */
    public Optional<LocalDate> carriedDay() {
        if (kind != Kind.CARRIED_FROM) {
            return Optional.empty();
        }
        try {
            return Optional.of(LocalDate.parse(place));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    public boolean isEstimate() {
        return kind.rank() == Kind.ESTIMATED.rank();
    }

    /** Whether it names a place in a document, which is what a permission needs. */
    public boolean isReadInDocument() {
        return kind == Kind.MANUAL && !place.isEmpty() || kind == Kind.LABEL;
    }
}
