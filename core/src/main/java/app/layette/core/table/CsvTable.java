package app.layette.core.table;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
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
        try (InputStream in = CsvTable.class.getResourceAsStream(FOLDER + name)) {
            if (in == null) {
                throw new IllegalStateException("The table " + name + " is missing from the program");
            }
            return rows(name, columns, new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8)));
        } catch (IOException e) {
            throw new UncheckedIOException("The table " + name + " cannot be read", e);
        }
    }

    private static List<List<String>> rows(String name, int columns, BufferedReader reader) throws IOException {
        List<List<String>> rows = new ArrayList<>();
        boolean heading = true;
        int number = 0;
        for (String line = reader.readLine(); line != null; line = reader.readLine()) {
            number++;
            if (line.isBlank() || line.startsWith("#")) {
                continue;
            }
            List<String> cells =
                    List.of(line.split(",", -1)).stream().map(String::strip).toList();
            if (cells.size() != columns) {
                throw new IllegalStateException("The table " + name + " is damaged: line " + number + " has "
                        + cells.size() + " cells, allowed " + columns);
            }
            if (!heading) {
                rows.add(cells);
            }
            heading = false;
        }
        return List.copyOf(rows);
    }
}
