package app.layette.core.table;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Reads one of the core's own tables: comma-separated, no quoting, a heading line, {@code #} comments. Only for the
 * resources that ship with the core; documents from outside go through a CSV library.
 */
public final class CsvTable {
    private static final String FOLDER = "/app/layette/core/";

    private CsvTable() {}

    /**
     * All rows below the heading.
     *
     * @param name file name of the resource
     * @param columns how many cells every row must have
     * @throws IllegalStateException when the table is missing or a row has another number of cells
     */
    public static List<List<String>> read(String name, int columns) {
        List<List<String>> rows = withHeading(name);
        for (List<String> cells : rows) {
            if (cells.size() != columns) {
                throw damaged(name, cells, columns);
            }
        }
        return rows.subList(1, rows.size());
    }

    /**
     * The constant that a cell names.
     *
     * @throws IllegalStateException when it is none of its type
     */
    public static <E extends Enum<E>> E constant(String table, Class<E> type, String cell) {
        return Arrays.stream(type.getEnumConstants())
                .filter(each -> each.name().equals(cell))
                .findFirst()
                .orElseThrow(() -> damaged(table, "names (" + cell + "), which is no " + type.getSimpleName()));
    }

    /** What stops the program when a table cannot be read as it was meant. */
    public static IllegalStateException damaged(String table, String how) {
        return new IllegalStateException("The table " + table + " is damaged: it " + how);
    }

    private static IllegalStateException damaged(String name, List<String> cells, int columns) {
        return new IllegalStateException("The table " + name + " is damaged: the row " + cells + " has " + cells.size()
                + " cells, allowed " + columns);
    }

    /**
     * All rows, the heading first; every row has as many cells as the heading.
     *
     * @throws IllegalStateException when the table is missing or empty, or a row has another number of cells
     */
    public static List<List<String>> withHeading(String name) {
        try (InputStream in = CsvTable.class.getResourceAsStream(FOLDER + name)) {
            if (in == null) {
                throw new IllegalStateException("The table " + name + " is missing from the program");
            }
            return rows(name, new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8)));
        } catch (IOException e) {
            throw new UncheckedIOException("The table " + name + " cannot be read", e);
        }
    }

    private static List<List<String>> rows(String name, BufferedReader reader) throws IOException {
        List<List<String>> rows = new ArrayList<>();
        for (String line = reader.readLine(); line != null; line = reader.readLine()) {
            if (line.isBlank() || line.startsWith("#")) {
                continue;
            }
            List<String> cells =
                    List.of(line.split(",", -1)).stream().map(String::strip).toList();
            if (!rows.isEmpty() && cells.size() != rows.get(0).size()) {
                throw damaged(name, cells, rows.get(0).size());
            }
            rows.add(cells);
        }
        if (rows.isEmpty()) {
            throw new IllegalStateException("The table " + name + " is empty");
        }
        return List.copyOf(rows);
    }
}
