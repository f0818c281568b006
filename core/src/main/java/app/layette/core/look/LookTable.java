package app.layette.core.look;

import app.layette.core.entry.How;
import app.layette.core.entry.Question;
import app.layette.core.step.Ask;
import app.layette.core.step.LookKey;
import app.layette.core.table.CsvTable;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Which asks belong to one look, how they are drawn, and how they are known: what is asked by eye as its rule says, the
 * rest by {@code looks.csv}. A row that names no ask, or that would draw the result of a test, stops the program at its
 * start.
 */
final class LookTable {
    private static final String FILE = "looks.csv";
    /** Any key of the kind; and drawn as the sheets ask it here. */
    private static final String ANY = "*";

    private static final int COLUMNS = 6;

    private static final List<Row> ROWS = together(read(CsvTable.read(FILE, COLUMNS)), ofQuestions());

    private LookTable() {}

    /**
     * One ask of a look.
     *
     * @param place among all rows: the order in which marks are kept
     * @param drawn the answer, or {@code *} where the sheets decide it
     */
    record Row(int place, LookKey look, Ask.Kind kind, String key, String drawn, How how) {
        boolean isAbout(Ask ask) {
            return ask.kind() == kind
                    && (key.equals(ANY)
                            || key.equals(ask.question()) && (ask.place().isEmpty() || isBuckle()));
        }

        /** Two belts have two buckles, seen in the same look. */
        private boolean isBuckle() {
            return key.equals("BUCKLE");
        }

        boolean isAsSheet() {
            return drawn.equals(ANY);
        }
    }

    /** The rows of what no rule asks by eye: acts, settings, what is taught. */
    static List<Row> read(List<List<String>> cells) {
        List<Row> rows = new ArrayList<>();
        for (List<String> row : cells) {
            LookKey look = CsvTable.constant(FILE, LookKey.class, row.get(0));
            Ask.Kind kind = CsvTable.constant(FILE, Ask.Kind.class, row.get(2));
            if (kind == Ask.Kind.QUESTION) {
                throw CsvTable.damaged(FILE, "draws " + row + ", which is for its rule to say");
            }
            if (OneLook.isAskedByItself(kind, row.get(3))) {
                throw CsvTable.damaged(FILE, "draws " + row + ", which is asked by itself");
            }
            rows.add(new Row(place(row.get(1)), look, kind, row.get(3), row.get(4), how(row.get(5))));
        }
        return rows;
    }

    private static int place(String cell) {
        try {
            return Integer.parseInt(cell);
        } catch (NumberFormatException e) {
            throw CsvTable.damaged(FILE, "has the cell (" + cell + "); allowed is a place, a whole number");
        }
    }

    /** The rows of the questions, as their rules say. */
    private static List<Row> ofQuestions() {
        return Question.values().stream()
                .map(Question::asked)
                .flatMap(asked -> asked.looks().stream()
                        .map(shown -> new Row(
                                shown.place(),
                                shown.look(),
                                Ask.Kind.QUESTION,
                                asked.question().name(),
                                shown.drawn(),
                                shown.how())))
                .toList();
    }

    /** In the order in which marks are kept: by look, and by their place in it. */
    private static List<Row> together(List<Row> some, List<Row> others) {
        return Stream.concat(some.stream(), others.stream())
                .sorted(Comparator.comparing(Row::look).thenComparingInt(Row::place))
                .toList();
    }

    private static How how(String known) {
        return switch (known) {
            case "seen" -> How.MEASURED;
            case "told" -> How.TOLD;
            default -> throw CsvTable.damaged(FILE, "has the cell (" + known + "); allowed seen and told");
        };
    }

    /** The first row about an ask: what is taught with an act is told with that act, and else at the end. */
    static Optional<Row> rowOf(Ask ask) {
        return ROWS.stream().filter(row -> row.isAbout(ask)).findFirst();
    }

    /** The row of one look about an ask. */
    static Optional<Row> rowOf(LookKey look, Ask ask) {
        return ROWS.stream()
                .filter(row -> row.look() == look && row.isAbout(ask))
                .findFirst();
    }
}
