package app.layette.core.gate;

import app.layette.core.entry.Method;
import app.layette.core.rule.Conclusion;
import app.layette.core.table.CsvTable;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The conclusions that each method requires before a hand-over. The data is {@code required.csv}, its
 * columns in the order of {@link Method}. */
public final class Required {
    private static final Map<Method, Set<Conclusion>> BY_METHOD = load();

    private Required() {}

    private static Map<Method, Set<Conclusion>> load() {
        Map<Method, Set<Conclusion>> rows = new EnumMap<>(Method.class);
        List<List<String>> table = CsvTable.read("required.csv", 1 + Method.values().length);
        for (List<String> cells : table) {
            Conclusion conclusion = Conclusion.valueOf(cells.get(0));
            for (Method method : Method.values()) {
                if (cells.get(1 + method.ordinal()).equals("yes")) {
                    rows.computeIfAbsent(method, key -> EnumSet.noneOf(Conclusion.class))
                            .add(conclusion);
                }
            }
        }
        for (Method method : Method.values()) {
            if (!rows.containsKey(method)) {
                throw new IllegalStateException("required.csv asks nothing of " + method);
            }
        }
        return rows;
    }

    /** In the order of the work; never empty. */
    public static Set<Conclusion> by(Method method) {
        return EnumSet.copyOf(BY_METHOD.get(method));
    }
}
