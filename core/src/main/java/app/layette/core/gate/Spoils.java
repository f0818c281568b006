package app.layette.core.gate;

import app.layette.core.entry.Change;
import app.layette.core.rule.Conclusion;
import app.layette.core.table.CsvTable;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What spoils what: which changes make which conclusions be looked at again. The data is {@code spoils.csv}. */
public final class Spoils {
    private static final Map<Conclusion, Set<Change>> BY_CONCLUSION = load();

    private Spoils() {}

    private static Map<Conclusion, Set<Change>> load() {
        Map<Conclusion, Set<Change>> rows = new EnumMap<>(Conclusion.class);
        Set<Change> named = EnumSet.noneOf(Change.class);
        for (List<String> cells : CsvTable.read("spoils.csv", 2)) {
            Change change = Change.valueOf(cells.get(0));
            named.add(change);
            rows.computeIfAbsent(Conclusion.valueOf(cells.get(1)), key -> EnumSet.noneOf(Change.class))
                    .add(change);
        }
        Set<Change> missing = EnumSet.complementOf(EnumSet.copyOf(named));
        if (!missing.isEmpty()) {
            throw new IllegalStateException("spoils.csv says nothing about " + missing);
        }
        return rows;
    }

    /** The changes that re-open a conclusion. */
    public static Set<Change> of(Conclusion conclusion) {
        return BY_CONCLUSION.getOrDefault(conclusion, Set.of());
    }

    /** The conclusions that a change re-opens. */
    public static Set<Conclusion> by(Change change) {
        Set<Conclusion> spoiled = EnumSet.noneOf(Conclusion.class);
        BY_CONCLUSION.forEach((conclusion, changes) -> {
            if (changes.contains(change)) {
                spoiled.add(conclusion);
            }
        });
        return spoiled;
    }
}
