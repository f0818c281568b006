package app.layette.core.misuse;

import app.layette.core.entry.Area;
import app.layette.core.entry.Misuse;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.table.CsvTable;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** The catalogue ({@code misuse.csv}): where each is seen, what it weighs, and which conclusion says that it was put right. */
public final class Misuses {
    private static final int COLUMNS = 4;
    private static final Map<Misuse, Row> ROWS = load();

    /** One entry of the catalogue. */
    public record Row(Area area, Weight weight, Conclusion putRightBy) {}

    private Misuses() {}

    private static Map<Misuse, Row> load() {
        Map<Misuse, Row> rows = new EnumMap<>(Misuse.class);
        for (List<String> cells : CsvTable.read("misuse.csv", COLUMNS)) {
            rows.put(
                    Misuse.valueOf(cells.get(0)),
                    new Row(
                            Area.valueOf(cells.get(1)),
                            Weight.valueOf(cells.get(2)),
                            Conclusion.valueOf(cells.get(3))));
        }
        for (Misuse misuse : Misuse.values()) {
            if (!rows.containsKey(misuse)) {
                throw new IllegalStateException("misuse.csv has no row for " + misuse);
            }
        }
        return rows;
    }

    public static Row of(Misuse misuse) {
        return Objects.requireNonNull(ROWS.get(misuse));
    }

    /** What may be found in an area, in the order of the catalogue. */
    public static List<Misuse> in(Area area) {
        return Arrays.stream(Misuse.values())
                .filter(misuse -> of(misuse).area() == area)
                .toList();
    }

    /**
     * The conclusions that an area is where to look for: each belongs to the one area in which most of what it puts right
     * is seen, the first of the walk among equals. A tipped carrier is seen at the belt and put right at the level.
     */
    public static List<Conclusion> lookedForAt(Area area) {
        return in(area).stream()
                .map(misuse -> of(misuse).putRightBy())
                .distinct()
                .filter(conclusion -> home(conclusion) == area)
                .toList();
    }

    private static Area home(Conclusion conclusion) {
        return Arrays.stream(Area.values())
                .max(Comparator.comparingLong((Area area) -> in(area).stream()
                                .filter(misuse -> of(misuse).putRightBy() == conclusion)
                                .count())
                        .thenComparing(Comparator.reverseOrder()))
                .orElseThrow();
    }
}
