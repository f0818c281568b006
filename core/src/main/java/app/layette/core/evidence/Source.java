package app.layette.core.evidence;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * Where a value came from.
 *
 * @param document title of the manual, "label", or how it was seen
 * @param place page or part, empty when the document has none
 * @param readOn the day it was read; {@code null} when the document does not say
 */
public record Source(
        String document, String place, @Nullable LocalDate readOn) {
    private static final String SEEN = "seen";

    public Source {
        document = document == null ? "" : document;
        place = place == null ? "" : place;
    }

    /** Whether it was seen beside the car, and not read in a document. */
    public boolean isSeen() {
        return document.equals(SEEN);
    }

    /** Something seen or measured beside the car on a day. */
    public static Source seen(LocalDate on) {
        return new Source(SEEN, "", on);
    }
}
