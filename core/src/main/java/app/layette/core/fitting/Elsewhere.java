package app.layette.core.fitting;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What a fitting point knows of a fitting besides its record, by the days on which it came.
 *
 * @param seatBack the day on which a lent seat is to come back
 * @param lentSheet the day since which a lent seat has a newer sheet
 * @param recallOpen the day since which a recall that may touch the seat has no answer
 * @param newerSheets the days on which newer versions of the fitting's sheets arrived
 */
public record Elsewhere(
        Optional<LocalDate> seatBack,
        Optional<LocalDate> lentSheet,
        Optional<LocalDate> recallOpen,
        List<LocalDate> newerSheets) {
    /** Nothing. */
    public static final Elsewhere NOTHING =
            new Elsewhere(Optional.empty(), Optional.empty(), Optional.empty(), List.of());

    public Elsewhere {
        newerSheets = List.copyOf(newerSheets);
    }
}
