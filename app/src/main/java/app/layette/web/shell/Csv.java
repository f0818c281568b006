package app.layette.web.shell;

import java.util.List;
import java.util.stream.Collectors;

/** Tables for other programs (RFC 4180): quoted, lines ended by CR and LF, and never a formula to whoever opens them. */
public final class Csv {
    private static final String FORMULA_BEGINS = "=+-@\t\r";

    private Csv() {}

    /** A table. */
    public static String of(List<String> head, List<List<String>> rows) {
        return line(head) + rows.stream().map(Csv::line).collect(Collectors.joining());
    }

    private static String line(List<String> cells) {
        return cells.stream().map(Csv::cell).collect(Collectors.joining(",", "", "\r\n"));
    }

    /** A cell, quoted; what would be read as a formula is marked as text. A number stays one. */
    public static String cell(String text) {
        boolean number = text.matches("-?\\d+(\\.\\d+)?");
        boolean formula = !number && !text.isEmpty() && FORMULA_BEGINS.indexOf(text.charAt(0)) >= 0;
        String harmless = formula ? "'" + text : text;
        return "\"" + harmless.replace("\"", "\"\"") + "\"";
    }
}
