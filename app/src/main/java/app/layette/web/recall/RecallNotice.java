package app.layette.web.recall;

import app.layette.core.entry.PartialDate;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/**
 * A recall that was published.
 *
 * @param model the model number that it names
 * @param madeFrom first day of manufacture that it names; {@code null} from the beginning
 * @param madeTo last day of manufacture that it names; {@code null} to this day
 * @param title what is wrong
 * @param remedy what puts it right
 */
public record RecallNotice(
        UUID id, String model, LocalDate madeFrom, LocalDate madeTo, String title, String remedy, Instant publishedAt) {
    /**
     * Whether it names a seat with this label. A day of manufacture that nobody read, or of which only the month is known,
     * is named as soon as it may be.
     */
    public boolean names(String labelModel, PartialDate made) {
        if (labelModel == null || !labelModel.strip().equalsIgnoreCase(model.strip())) {
            return false;
        }
        boolean before = made != null && madeFrom != null && made.lastDay().isBefore(madeFrom);
        boolean after = made != null && madeTo != null && made.firstDay().isAfter(madeTo);
        return !before && !after;
    }
}
