package app.layette.core.entry;

import app.layette.core.finding.Weight;
import app.layette.core.table.CsvTable;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The answers that each question takes and what each one weighs. An answer that needs more than itself to be judged (a
 * permission, a limit) is marked {@code RULE} and weighs nothing alone. The data is {@code answers.csv}.
 */
public final class Answers {
    private static final String LEFT_TO_RULE = "RULE";
    private static final Map<Question, Map<String, Optional<Weight>>> ROWS = load();

    private Answers() {}

    private static Map<Question, Map<String, Optional<Weight>>> load() {
        Map<Question, Map<String, Optional<Weight>>> rows = new EnumMap<>(Question.class);
        for (List<String> cells : CsvTable.read("answers.csv", 3)) {
            String weight = cells.get(2);
            rows.computeIfAbsent(Question.valueOf(cells.get(0)), key -> new LinkedHashMap<>())
                    .put(
                            cells.get(1),
                            weight.equals(LEFT_TO_RULE) ? Optional.empty() : Optional.of(Weight.valueOf(weight)));
        }
        for (Question question : Question.values()) {
            if (!rows.containsKey(question)) {
                throw new IllegalStateException("answers.csv has no answer to " + question);
            }
        }
        return rows;
    }

    /** The answers to a question, in the order in which they are offered. */
    public static List<String> to(Question question) {
        return List.copyOf(ROWS.get(question).keySet());
    }

    public static boolean takes(Question question, String answer) {
        return ROWS.get(question).containsKey(answer);
    }

    /**
     * What an answer weighs by itself; empty when a rule has to look further. An answer that the table does not know is
     * a stop: unknown things fail closed.
     */
    public static Optional<Weight> weight(Question question, String answer) {
        return ROWS.get(question).getOrDefault(answer, Optional.of(Weight.STOP));
    }
}
