package app.layette.core.gate;

import app.layette.core.entry.Change;
import app.layette.core.entry.Situation;
import app.layette.core.rule.Conclusion;
import app.layette.core.seat.Rotation;
import app.layette.core.seat.SeatSheet;
import app.layette.core.table.CsvTable;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What spoils what: which changes make which conclusions be looked at again. The data is {@code spoils.csv}; its third
 * column is empty, or names the only restraints on which the change touches the conclusion.
 */
public final class Spoils {
    /** On which restraints a row counts. */
    enum Where {
        ANYWHERE,
        TURNING_BASE
    }

    private static final Map<Where, Map<Conclusion, Set<Change>>> ROWS = read(CsvTable.read("spoils.csv", 3));

    private Spoils() {}

    /**
     * Reads the table.
     *
     * @throws IllegalStateException when a change has no row, a row is given twice, or a cell is unknown
     */
    static Map<Where, Map<Conclusion, Set<Change>>> read(List<List<String>> table) {
        Map<Where, Map<Conclusion, Set<Change>>> rows = new EnumMap<>(Where.class);
        Set<Change> named = EnumSet.noneOf(Change.class);
        for (List<String> cells : table) {
            Change change = Change.valueOf(cells.get(0));
            Conclusion conclusion = Conclusion.valueOf(cells.get(1));
            Where where = cells.get(2).isEmpty() ? Where.ANYWHERE : Where.valueOf(cells.get(2));
            named.add(change);
            boolean added = rows.computeIfAbsent(where, key -> new EnumMap<>(Conclusion.class))
                    .computeIfAbsent(conclusion, key -> EnumSet.noneOf(Change.class))
                    .add(change);
            if (!added) {
                throw new IllegalStateException("spoils.csv says twice that " + change + " spoils " + conclusion);
            }
        }
        Set<Change> missing = EnumSet.allOf(Change.class);
        missing.removeAll(named);
        if (!missing.isEmpty()) {
            throw new IllegalStateException("spoils.csv says nothing about " + missing);
        }
        return rows;
    }

    /** The changes that re-open a conclusion on this restraint. */
    public static Set<Change> of(Conclusion conclusion, Situation situation) {
        Set<Change> changes = EnumSet.noneOf(Change.class);
        changes.addAll(of(Where.ANYWHERE, conclusion));
        // A restraint of which nobody knows whether it turns is treated as one that does.
        boolean still = situation
                .seat()
                .map(SeatSheet::rotation)
                .flatMap(rotation -> rotation.value())
                .filter(rotation -> rotation == Rotation.NONE)
                .isPresent();
        if (!still) {
            changes.addAll(of(Where.TURNING_BASE, conclusion));
        }
        return changes;
    }

    private static Set<Change> of(Where where, Conclusion conclusion) {
        return ROWS.getOrDefault(where, Map.of()).getOrDefault(conclusion, Set.of());
    }

    /** The conclusions that a change re-opens, on whatever restraint. */
    public static Set<Conclusion> by(Change change) {
        Set<Conclusion> spoiled = EnumSet.noneOf(Conclusion.class);
        ROWS.values()
                .forEach(rows -> rows.forEach((conclusion, changes) -> {
                    if (changes.contains(change)) {
                        spoiled.add(conclusion);
                    }
                }));
        return spoiled;
    }
}
