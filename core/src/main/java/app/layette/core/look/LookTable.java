package app.layette.core.look;

import app.layette.core.entry.How;
import app.layette.core.run.Ask;
import app.layette.core.table.CsvTable;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Which asks belong to one look, how they are drawn, and how they are known. A row that names no ask, or that would draw
 * the result of a test, stops the program at its start.
 */
final class LookTable {
    private static final String FILE = "looks.csv";
    /** Any key of the kind; and drawn as the sheets ask it here. */
    private static final String ANY = "*";

    private static final List<Row> ROWS = read(CsvTable.read(FILE, 5));

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

    static List<Row> read(List<List<String>> cells) {
        List<Row> rows = new ArrayList<>();
        for (List<String> row : cells) {
            LookKey look = CsvTable.constant(FILE, LookKey.class, row.get(0));
            Ask.Kind kind = CsvTable.constant(FILE, Ask.Kind.class, row.get(1));
            if (OneLook.isAskedByItself(kind, row.get(2))) {
                throw CsvTable.damaged(FILE, "draws " + row + ", which is asked by itself");
            }
            rows.add(new Row(rows.size(), look, kind, row.get(2), row.get(3), how(row.get(4))));
        }
        return List.copyOf(rows);
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
