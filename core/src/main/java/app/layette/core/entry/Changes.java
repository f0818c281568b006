package app.layette.core.entry;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Finds the changes in a row of entries: acts, and settings that differ from what was set before. Setting the same again
 * is a look, not a change.
 */
final class Changes {
    /** A change in its place. */
    record Placed(Change change, int seq) {}

    private final Map<String, Object> settings = new HashMap<>();
    private final Set<String> measured = new HashSet<>();

    private Changes() {}

    static List<Placed> in(List<Entry> entries) {
        Changes reader = new Changes();
        List<Placed> changes = new ArrayList<>();
        for (Entry entry : entries) {
            reader.of(entry.fact()).ifPresent(change -> changes.add(new Placed(change, entry.seq())));
        }
        return List.copyOf(changes);
    }

    private Optional<Change> of(Fact fact) {
        if (fact instanceof Fact.Acted acted) {
            return acted.act().change();
        }
        if (fact instanceof Fact.Taught taught) {
            return taught.outcome() == Fact.TeachOutcome.DONE ? taught.item().change() : Optional.empty();
        }
        if (fact instanceof Fact.Weighed || isBodyLength(fact)) {
            boolean renewed = !measured.add(fact.getClass().getSimpleName() + fact.of());
            return renewed ? Optional.of(Change.MEASURES_RENEWED) : Optional.empty();
        }
        return settingOf(fact).filter(change -> differsFromBefore(fact));
    }

    private static boolean isBodyLength(Fact fact) {
        return fact instanceof Fact.LengthMeasured length && length.what() == Fact.Dimension.BODY;
    }

    private static Optional<Change> settingOf(Fact fact) {
        if (fact instanceof Fact.SlotsSet || fact instanceof Fact.CrotchSet || fact instanceof Fact.WebbingMoved) {
            return Optional.of(Change.SLOT);
        }
        if (fact instanceof Fact.InsertSet) {
            return Optional.of(Change.INSERT);
        }
        if (fact instanceof Fact.DeviceSet || fact instanceof Fact.RollPlaced) {
            return Optional.of(Change.TIGHTENED);
        }
        if (fact instanceof Fact.HandleSet) {
            return Optional.of(Change.HANDLE_MOVED);
        }
        return fact instanceof Fact.Placed ? Optional.of(Change.PLACE_OR_METHOD) : Optional.empty();
    }

    private boolean differsFromBefore(Fact fact) {
        String piece = fact instanceof Fact.InsertSet insert ? insert.piece() : "";
        Object before = settings.put(fact.getClass().getSimpleName() + fact.of() + piece, fact);
        return !fact.equals(before);
    }
}
