package app.layette.core.entry;

import app.layette.core.table.CsvTable;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Who may enter what: one table ({@code rights.csv}) by kind of entry and way in, for each role, while a fitting is open
 * and after it is closed. Every way in asks it: forms, corrections, the browser's outbox, photographs.
 */
public final class Rights {
    private static final String TABLE = "rights.csv";
    private static final int NAMES = 2;
    private static final Map<Row, List<Boolean>> CELLS = read();

    /** How an entry comes in. */
    public enum Way {
        /** As it is. */
        NEW,
        /** The adoption of a sheet version that came later than the one in force. */
        NEWER,
        /** In place of one that stands. */
        CORRECT,
        /** An entry is taken back as a mistake; asked for the entry that is taken back. */
        WITHDRAW
    }

    private record Row(String kind, Way way) {}

    private Rights() {}

    /** Name of a kind of fact in the table. */
    public static String kind(Class<? extends Fact> fact) {
        String name = fact.getSimpleName();
        return name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
    }

    /**
     * Whether this role may enter this.
     *
     * @param kind of the fact; of what is taken back where it is a withdrawal
     * @return false for what the table does not name
     */
    public static boolean allows(Author.Role role, Class<? extends Fact> kind, Way way, boolean open) {
        List<Boolean> cells = CELLS.get(new Row(kind(kind), way));
        int column = switch (role) {
            case TRAINEE -> 0;
            case TECHNICIAN -> 2;
            case LEAD -> 4;
        };
        return cells != null && cells.get(open ? column : column + 1);
    }

    /** Whether anybody at all may take an entry of this kind back while its fitting is open. */
    public static boolean canBeWithdrawn(Fact fact) {
        return allows(Author.Role.LEAD, fact.getClass(), Way.WITHDRAW, true);
    }

    /** Whether this role may end a fitting and sign for it. */
    public static boolean signs(Author.Role role) {
        return allows(role, Fact.Ended.class, Way.NEW, true);
    }

    private static Map<Row, List<Boolean>> read() {
        Map<Row, List<Boolean>> rows = new HashMap<>();
        List<List<String>> table = CsvTable.withHeading(TABLE);
        for (List<String> cells : table.subList(1, table.size())) {
            Row row = new Row(cells.get(0), Way.valueOf(cells.get(1).toUpperCase(Locale.ROOT)));
            List<Boolean> may = cells.subList(NAMES, cells.size()).stream()
                    .map(Rights::cell)
                    .toList();
            if (rows.put(row, may) != null) {
                throw new IllegalStateException("The table " + TABLE + " has " + row + " twice");
            }
        }
        return Map.copyOf(rows);
    }

    private static Boolean cell(String text) {
        return switch (text) {
            case "yes" -> true;
            case "no" -> false;
            default ->
                throw new IllegalStateException(
                        "The table " + TABLE + " has a cell (" + text + ") that is neither yes nor no");
        };
    }
}
