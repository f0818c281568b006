package app.layette.web.people;

import app.layette.core.entry.Rights;
import app.layette.web.account.User;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Who of a fitting point may sign from today on. Whoever works here as a technician or lead does, for as long as their
 * certificate counts; where no last day is stated, it counts. Everybody else enters, and somebody else signs.
 *
 * @param today the fitting point's day, from which on it is drawn
 * @param counted the day by which certificates are counted, as when somebody signs; never after today
 */
record Signers(List<User> people, LocalDate today, LocalDate counted) {
    /** How far ahead it is drawn. */
    static final int MONTHS = 18;

    /** What somebody's name is good for today. */
    enum Hand {
        /** Signs, and no end of it is known. */
        SIGNS,
        /** Signs until a stated day. */
        SIGNS_UNTIL,
        /** Enters as a trainee does since the certificate is over. */
        OVER,
        /** A trainee. */
        ENTERS,
        RETIRED
    }

    Hand hand(User person) {
        if (!person.works()) {
            return Hand.RETIRED;
        }
        if (!Rights.signs(person.role())) {
            return Hand.ENTERS;
        }
        if (!Rights.signs(person.handsOn(counted))) {
            return Hand.OVER;
        }
        return person.certificateUntil().isPresent() ? Hand.SIGNS_UNTIL : Hand.SIGNS;
    }

    /** For how much of the time drawn somebody signs, from 0 to 1. */
    double share(User person) {
        return switch (hand(person)) {
            case SIGNS -> 1;
            case SIGNS_UNTIL -> share(person.certificateUntil().orElseThrow().plusDays(1));
            case OVER, ENTERS, RETIRED -> 0;
        };
    }

    /** Where a day lies in the time drawn: 0 is today, 1 its end, beyond which nothing is. */
    double share(LocalDate day) {
        double whole = ChronoUnit.DAYS.between(today, today.plusMonths(MONTHS));
        return Math.min(1, Math.max(0, ChronoUnit.DAYS.between(today, day) / whole));
    }

    /** Who signs today. */
    List<User> signing() {
        return people.stream()
                .filter(each -> hand(each) == Hand.SIGNS || hand(each) == Hand.SIGNS_UNTIL)
                .toList();
    }

    /** Whose certificate is the next to end; empty where none of those who sign has an end. */
    Optional<User> next() {
        return signing().stream()
                .filter(each -> hand(each) == Hand.SIGNS_UNTIL)
                .min(Comparator.comparing(each -> each.certificateUntil().orElseThrow()));
    }

    /** The first day on which nobody signs, so that nothing is handed over; empty where somebody does without an end. */
    Optional<LocalDate> nobodyFrom() {
        if (signing().stream().anyMatch(each -> hand(each) == Hand.SIGNS)) {
            return Optional.empty();
        }
        return Optional.of(signing().stream()
                .flatMap(each -> each.certificateUntil().stream())
                .max(Comparator.naturalOrder())
                .map(last -> last.plusDays(1))
                .orElse(today));
    }
}
