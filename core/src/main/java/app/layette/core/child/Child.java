package app.layette.core.child;

import app.layette.core.measure.Mass;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What stays the same about a child. Names live outside, so that a family can be erased without breaking a seal.
 *
 * @param born date of birth
 * @param gestationDays completed days of gestation at birth, 154 to 308; empty when not known
 * @param sex empty when not given
 * @param birthWeight empty when not known
 */
public record Child(LocalDate born, OptionalInt gestationDays, Optional<Sex> sex, Optional<Mass> birthWeight) {
    /** Forty weeks. */
    public static final int TERM_DAYS = 280;

    /** Born before this many days is before term (37 weeks). */
    public static final int BEFORE_TERM_DAYS = 259;

    /** Days since birth. */
    public long ageDays(LocalDate today) {
        return ChronoUnit.DAYS.between(born, today);
    }

    /**
     * Corrected age in days: days since birth, less what was missing to forty weeks for a child born before 37 weeks.
     * Negative before the due date. Unknown gestation is treated as term.
     */
    public long correctedAgeDays(LocalDate today) {
        long missing = isBeforeTerm() ? TERM_DAYS - gestationDays.getAsInt() : 0;
        return ageDays(today) - missing;
    }

    public boolean isBeforeTerm() {
        return gestationDays.isPresent() && gestationDays.getAsInt() < BEFORE_TERM_DAYS;
    }
}
