package app.layette.core.condition;

import app.layette.core.entry.PartialDate;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * CND-4: a recall that was published.
 *
 * @param model the model number that it names
 * @param madeFrom first day of manufacture that it names; {@code null} from the beginning
 * @param madeTo last day of manufacture that it names; {@code null} to this day
 * @param title what is wrong
 * @param remedy what puts it right
 */
public record RecallNotice(
        UUID id,
        String model,
        @Nullable LocalDate madeFrom,
        @Nullable LocalDate madeTo,
        String title,
        String remedy,
        Instant publishedAt) {
    /**
     * Whether it names a seat with this label. A day of manufacture that nobody read, or of which only the month is known,
     * is named as soon as it may be.
     */
    public boolean names(@Nullable String labelModel, @Nullable PartialDate made) {
        if (labelModel == null || !labelModel.strip().equalsIgnoreCase(model.strip())) {
            return false;
        }
        boolean before = made != null && madeFrom != null && made.lastDay().isBefore(madeFrom);
        boolean after = made != null && madeTo != null && made.firstDay().isAfter(madeTo);
        return !before && !after;
    }

    /**
     * CND-4: since when a recall of this seat is open: published, and no remedy entered on that day or after it.
     *
     * @param notices what was published
     * @param remedied the day on which a remedy was entered; empty where none was
     * @param zone of the fitting point: a publication counts by its day there
     */
    public static Optional<LocalDate> openSince(
            List<RecallNotice> notices,
            @Nullable String labelModel,
            @Nullable PartialDate made,
            Optional<LocalDate> remedied,
            ZoneId zone) {
        return notices.stream()
                .filter(each -> each.names(labelModel, made))
                .map(notice -> notice.publishedAt().atZone(zone).toLocalDate())
                .filter(day -> remedied.filter(done -> !done.isBefore(day)).isEmpty())
                .min(LocalDate::compareTo);
    }
}
