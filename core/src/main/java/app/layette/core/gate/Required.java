package app.layette.core.gate;

import app.layette.core.entry.Method;
import app.layette.core.rule.Conclusion;
import app.layette.core.table.CsvTable;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The conclusions that each method requires before a hand-over. The data is {@code required.csv}: a column for each
 * {@link Method} by its name, a row for each {@link Conclusion}, and no cell but {@code yes} and {@code -}. Anything else
 * stops the program at its start: a table that cannot be read as it was meant would let something through.
 */
public final class Required {
    private static final String FILE = "required.csv";
    private static final String PREPARED = "PREPARED";
    private static final Map<Method, Set<Conclusion>> BY_METHOD = read(CsvTable.withHeading(FILE));
    private static final Set<Conclusion> BEFORE_BIRTH = prepared(CsvTable.withHeading(FILE));

    private Required() {}

    /**
     * Reads the table.
     *
     * @param rows the heading first
     * @throws IllegalStateException when a method or a conclusion is missing or given twice, a cell is neither {@code yes}
     *     nor {@code -}, or a method would require nothing
     */
    static Map<Method, Set<Conclusion>> read(List<List<String>> table) {
        List<List<String>> rows = withoutLast(table);
        List<Method> columns = columns(rows.get(0));
        Map<Method, Set<Conclusion>> required = new EnumMap<>(Method.class);
        columns.forEach(method -> required.put(method, EnumSet.noneOf(Conclusion.class)));
        Set<Conclusion> named = EnumSet.noneOf(Conclusion.class);
        for (List<String> cells : rows.subList(1, rows.size())) {
            Conclusion conclusion = CsvTable.constant(FILE, Conclusion.class, cells.get(0));
            if (!named.add(conclusion)) {
                throw CsvTable.damaged(FILE, "names " + conclusion + " twice");
            }
            for (int i = 0; i < columns.size(); i++) {
                if (isYes(cells.get(i + 1))) {
                    required.get(columns.get(i)).add(conclusion);
                }
            }
        }
        if (named.size() < Conclusion.values().length) {
            throw CsvTable.damaged(FILE, "has no row for " + EnumSet.complementOf(EnumSet.copyOf(named)));
        }
        required.forEach((method, conclusions) -> {
            if (conclusions.isEmpty()) {
                throw CsvTable.damaged(FILE, "asks nothing of " + method);
            }
        });
        return required;
    }

    /** The last column is no method's: what counts before the birth. */
    private static List<List<String>> withoutLast(List<List<String>> table) {
        if (!table.get(0).get(table.get(0).size() - 1).equals(PREPARED)) {
            throw CsvTable.damaged(FILE, "has no last column " + PREPARED);
        }
        return table.stream().map(cells -> cells.subList(0, cells.size() - 1)).toList();
    }

    /** What counts before the birth, whatever the method. */
    static Set<Conclusion> prepared(List<List<String>> table) {
        Set<Conclusion> prepared = EnumSet.noneOf(Conclusion.class);
        for (List<String> cells : table.subList(1, table.size())) {
            if (isYes(cells.get(cells.size() - 1))) {
                prepared.add(CsvTable.constant(FILE, Conclusion.class, cells.get(0)));
            }
        }
        return prepared;
    }

    /**
     * What a method asks before the birth, in the order of the work: of its own conclusions those that need no child, and
     * the level without one in place of the level with it; never empty.
     */
    public static Set<Conclusion> beforeBirth(Method method) {
        Set<Conclusion> asked = by(method);
        boolean level = asked.contains(Conclusion.LEVEL);
        asked.retainAll(BEFORE_BIRTH);
        if (level && BEFORE_BIRTH.contains(Conclusion.LEVEL_TIGHT)) {
            asked.add(Conclusion.LEVEL_TIGHT);
        }
        return asked;
    }

    private static List<Method> columns(List<String> heading) {
        if (!heading.get(0).equals("conclusion")) {
            throw CsvTable.damaged(FILE, "has the heading " + heading.get(0) + " where the conclusions stand");
        }
        List<Method> columns = heading.subList(1, heading.size()).stream()
                .map(name -> CsvTable.constant(FILE, Method.class, name))
                .toList();
        if (columns.size() != Method.values().length || Set.copyOf(columns).size() != columns.size()) {
            throw CsvTable.damaged(FILE, "has the columns " + heading + "; allowed is each method once");
        }
        return columns;
    }

    private static boolean isYes(String cell) {
        if (!cell.equals("yes") && !cell.equals("-")) {
            throw CsvTable.damaged(FILE, "has a cell (" + cell + "); allowed yes and -");
        }
        return cell.equals("yes");
    }

    /** In the order of the work; never empty. */
    public static Set<Conclusion> by(Method method) {
        return EnumSet.copyOf(BY_METHOD.get(method));
    }
}
