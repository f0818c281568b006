package app.layette.web.day;

import app.layette.core.day.Span;
import app.layette.core.evidence.Complete;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;

/**
 * An appointment of a family.
 *
 * @param place where and when; empty while the family is on the waiting list, or was before it was cancelled
 * @param who what the family is called by
 * @param reference of the family
 * @param due when its child is due; empty where it is born or nothing is known
 * @param several whether more than one child is due
 * @param soonerBy a day by which a doctor wants the base in; empty where none does
 * @param fitting what was begun with it; empty while nothing was
 * @param revision grows with each change
 * @param told the revision that the family was last written of; empty while it was not
 */
@Complete
record Appointment(
        UUID id,
        Optional<Place> place,
        int minutes,
        What what,
        String who,
        String reference,
        Optional<LocalDate> due,
        boolean several,
        Optional<LocalDate> soonerBy,
        Optional<UUID> fitting,
        State state,
        int revision,
        Optional<Integer> told) {
    /** Where and when, at the fitting point's own time. */
    record Place(UUID bay, LocalDate day, Span span) {}

    /** What is to be done, with the least time that it is given. */
    enum What {
        FULL(60),
        /** What stays in the car, before the birth. */
        BEFORE_BIRTH(45),
        /** The seat set with the child's real weight and length. */
        WITH_THE_CHILD(45),
        FOLLOW_UP(30),
        BEDSIDE(20),
        CLASS(60);

        private final int floor;

        What(int floor) {
            this.floor = floor;
        }

        int floorMinutes() {
            return floor;
        }

        boolean isOnTheWard() {
            return this == BEDSIDE;
        }
    }

    /** What became of it. */
    enum State {
        BOOKED,
        CAME,
        NO_SHOW,
        CANCELLED,
        WAITING
    }
}
