package app.layette.core.bench.act;

import app.layette.core.entry.Act;
import app.layette.core.entry.Area;
import app.layette.core.entry.Question;
import app.layette.core.table.CsvTable;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Which hand or eye finds out what, and what making it so touches ({@code bench.csv}). */
public final class Senses {
    private static final int COLUMNS = 5;
    private static final String AS_ASKED = "*";
    private static final Map<Question, Row> ROWS = load();

    /**
     * A question on the bench.
     *
     * @param inOrder the answer that is in order; empty where method or sheet say which
     * @param area where it is seen
     * @param sense what finds it out
     * @param touches what making it so touches
     */
    public record Row(Optional<String> inOrder, Area area, Hand sense, Optional<Act> touches) {}

    private Senses() {}

    private static Map<Question, Row> load() {
        Map<Question, Row> rows = new EnumMap<>(Question.class);
        for (List<String> cells : CsvTable.read("bench.csv", COLUMNS)) {
            rows.put(
                    Question.valueOf(cells.get(0)),
                    new Row(
                            Optional.of(cells.get(1)).filter(each -> !each.equals(AS_ASKED)),
                            Area.valueOf(cells.get(2)),
                            Hand.valueOf(cells.get(3)),
                            Optional.of(cells.get(4))
                                    .filter(each -> !each.equals("-"))
                                    .map(Act::valueOf)));
        }
        return rows;
    }

    /** Every question that the bench plays. */
    public static Set<Question> questions() {
        return ROWS.keySet();
    }

    public static Row of(Question question) {
        return ROWS.get(question);
    }
}
