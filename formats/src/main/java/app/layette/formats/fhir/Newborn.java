package app.layette.formats.fhir;

import app.layette.core.child.Sex;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A newborn as a ward describes it.
 *
 * @param given its given name; empty where none was sent
 * @param identifier how the ward calls it
 * @param gestationDays at birth
 * @param weight the newest one, with its day
 * @param length the newest one, with its day
 */
public record Newborn(
        String given,
        String identifier,
        LocalDate born,
        Optional<Sex> sex,
        OptionalInt gestationDays,
        Optional<Mass> birthWeight,
        Optional<On<Mass>> weight,
        Optional<On<Length>> length) {
    /** A measure with the day on which it was taken. */
    public record On<T>(LocalDate day, T value) {}
}
