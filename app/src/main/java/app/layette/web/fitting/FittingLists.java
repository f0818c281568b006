package app.layette.web.fitting;

import app.layette.core.entry.SheetId;
import app.layette.core.fitting.FittingState;
import app.layette.core.step.StepKey;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Fittings as lists show them. */
@Service
public class FittingLists {
    private static final int DAYS_IN_TODAY = 2;
    private static final int MOST_IN_TODAY = 100;

    /**
     * A fitting as lists show it.
     *
     * @param car its name; {@code null} where nobody said it
     * @param nextStep {@code null} where nothing is left to do
     */
    public record Listed(
            UUID id,
            String child,
            String reference,
            @Nullable String car,
            FittingState state,
            @Nullable StepKey nextStep,
            int blocking,
            Instant touchedAt) {}

    /**
     * An open fitting in a list to choose from.
     *
     * @param seat the sheet that its seat goes by
     */
    public record OpenOne(UUID id, String child, String reference, SheetId seat, boolean chosen) {}

    private final FittingRows fittings;
    private final Viewing viewing;

    FittingLists(FittingRows fittings, Viewing viewing) {
        this.fittings = fittings;
        this.viewing = viewing;
    }

    /** A fitting of this point as lists show it; empty where it is another's. */
    @Transactional(readOnly = true)
    public Optional<Listed> listed(UUID id, UUID pointId) {
        return fittings.find(id, pointId).map(FittingLists::listed);
    }

    /** Every fitting whose child or reference has this in it, however long ago, the last touched first. */
    @Transactional(readOnly = true)
    public List<Listed> find(SignedIn user, String part) {
        String pattern = "%"
                + part.toLowerCase(Locale.ROOT)
                        .replace("\\", "\\\\")
                        .replace("%", "\\%")
                        .replace("_", "\\_") + "%";
        return fittings.find(user.pointId(), fittings.like(user.pointId(), pattern, MOST_IN_TODAY)).stream()
                .map(FittingLists::listed)
                .toList();
    }

    /** Fittings that are open or were touched since yesterday, newest first. */
    @Transactional(readOnly = true)
    public List<Listed> recent(SignedIn user) {
        return recentRows(user).stream().map(FittingLists::listed).toList();
    }

    private List<FittingRow> recentRows(SignedIn user) {
        return fittings.recent(
                user.pointId(),
                viewing.clock().instant().minus(DAYS_IN_TODAY, ChronoUnit.DAYS),
                Limit.of(MOST_IN_TODAY));
    }

    /**
     * The open fittings of a point and those that were chosen before, newest first. A child whose seat is fixed in several
     * cars is there once: as it was chosen, else in the car touched last.
     */
    @Transactional(readOnly = true)
    public List<OpenOne> openOnes(SignedIn user, List<UUID> chosen) {
        Map<String, FittingRow> once = new LinkedHashMap<>();
        recentRows(user).stream()
                .filter(row -> row.overview().state().isUnderWay() || chosen.contains(row.id()))
                .forEach(row -> once.merge(
                        row.recordId() + " " + row.rider(),
                        row,
                        (one, other) -> chosen.contains(other.id()) ? other : one));
        return once.values().stream()
                .map(row -> new OpenOne(
                        row.id(),
                        row.childName(),
                        row.family().reference(),
                        row.ownUnit().sheet(),
                        chosen.contains(row.id())))
                .toList();
    }

    private static Listed listed(FittingRow row) {
        FittingRow.Overview overview = row.overview();
        return new Listed(
                row.id(),
                row.childName(),
                row.family().reference(),
                overview.car(),
                overview.state(),
                overview.nextStep() == null ? null : StepKey.valueOf(overview.nextStep()),
                overview.blocking(),
                row.touchedAt());
    }
}
