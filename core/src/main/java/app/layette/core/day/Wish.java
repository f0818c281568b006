package app.layette.core.day;

import java.time.LocalDate;
import java.time.LocalTime;

/**
 * What is looked for.
 *
 * @param minutes how long it takes
 * @param ward whether it is on the ward
 * @param from first day
 * @param notBefore on the first day not before this; midnight for any time
 * @param until last day, inclusive
 */
public record Wish(int minutes, boolean ward, LocalDate from, LocalTime notBefore, LocalDate until) {
    public static final int MOST_MINUTES = 480;

    public Wish {
        if (minutes < 1 || minutes > MOST_MINUTES) {
            throw new IllegalArgumentException("The minutes (" + minutes + ") must be from 1 to " + MOST_MINUTES);
        }
    }
}
