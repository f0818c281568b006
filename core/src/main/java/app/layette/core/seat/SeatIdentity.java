package app.layette.core.seat;

import app.layette.core.evidence.Written;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a sheet is the sheet of.
 *
 * @param maker as on the label
 * @param name of the model
 * @param modelNumbers every model number that the sheet covers
 * @param manufacturedFrom first day of manufacture that it covers; {@code null} when open
 * @param manufacturedTo last day of manufacture that it covers; {@code null} when open
 */
public record SeatIdentity(
        @Written(needed = true) String maker,
        @Written(needed = true) String name,
        @Written(needed = true, fewest = 1) List<String> modelNumbers,
        @Nullable LocalDate manufacturedFrom,
        @Nullable LocalDate manufacturedTo) {
    public SeatIdentity {
        modelNumbers = modelNumbers == null ? List.of() : List.copyOf(modelNumbers);
    }

    public String fullName() {
        return (maker + " " + name).strip();
    }

    /** Whether the sheet covers this model number; upper and lower case and spaces do not matter. */
    public boolean coversModel(String model) {
        return modelNumbers.stream().anyMatch(each -> normal(each).equals(normal(model)));
    }

    /** Whether the sheet covers this day of manufacture. */
    public boolean coversDate(LocalDate made) {
        return (manufacturedFrom == null || !made.isBefore(manufacturedFrom))
                && (manufacturedTo == null || !made.isAfter(manufacturedTo));
    }

    static String normal(String model) {
        return model.replaceAll("\\s+", "").toUpperCase(java.util.Locale.ROOT);
    }
}
