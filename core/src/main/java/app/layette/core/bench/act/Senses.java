package app.layette.core.bench.act;

import app.layette.core.entry.Act;
import app.layette.core.entry.Area;
import app.layette.core.entry.Asked;
import app.layette.core.entry.Question;
import app.layette.core.step.LookKey;
import app.layette.core.table.CsvTable;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Which hand or eye finds out what, and what making it so touches ({@code bench.csv}). */
public final class Senses {
    private static final int COLUMNS = 5;
    private static final String AS_ASKED = "*";
    private static final Map<Question, Row> ROWS = load();
    private static final List<Question> UNPLAYED = Question.values().stream()
            .filter(question -> !ROWS.containsKey(question))
            .filter(question -> question.asked().looks().stream().anyMatch(shown -> shown.look() != LookKey.FAMILY))
            .toList();

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
        Map<Question, Row> rows = new LinkedHashMap<>();
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

    /** Every question that the table plays. */
    public static Set<Question> questions() {
        return ROWS.keySet();
    }

    /** What a look shows and no table plays: a rule that is newer than the bench. It is in order, and seen by a look. */
    public static List<Question> unplayed() {
        return UNPLAYED;
    }

    /** Every question that the bench plays. */
    public static List<Question> all() {
        return Stream.concat(ROWS.keySet().stream(), UNPLAYED.stream()).toList();
    }

    /** How a question is played. */
    public static Row of(Question question) {
        return Optional.ofNullable(ROWS.get(question)).orElseGet(() -> asDrawn(question));
    }

    private static Row asDrawn(Question question) {
        Asked asked = question.asked();
        String inOrder = asked.looks().stream()
                .map(Asked.Shown::drawn)
                .filter(drawn -> !drawn.equals(Asked.Shown.AS_SHEET))
                .findFirst()
                .orElseGet(() -> asked.answers().keySet().iterator().next());
        return new Row(Optional.of(inOrder), Area.CHILD, Hand.LOOK, Optional.empty());
    }
}
