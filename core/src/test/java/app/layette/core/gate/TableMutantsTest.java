package app.layette.core.gate;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.rule.Conclusion;
import app.layette.core.table.CsvTable;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * No cell of the tables on which the gate rests changes unseen: each is written down a second time, and every
 * single-cell mutant of the two large ones is caught.
 */
class TableMutantsTest {
    private static final List<List<String>> REQUIRED = CsvTable.withHeading("required.csv");
    private static final List<List<String>> SPOILS = CsvTable.withHeading("spoils.csv");

    @Test
    void bothTablesAreAsTheyWereAgreed() {
        assertThat(notRequired(REQUIRED)).isEqualTo(written("not-required-by-method.txt"));
        assertThat(spoiled(SPOILS)).isEqualTo(written("spoiled-by-look.txt"));
    }

    /** An answer that weighs less than it does would open the gate by itself. */
    @Test
    void whatAnAnswerOrAMisuseWeighsIsAsItWasAgreed() {
        assertThat(byWeight("answers.csv", row -> row.get(2) + " " + row.get(0), row -> row.get(1)))
                .isEqualTo(written("weights-of-answers.txt"));
        assertThat(byWeight("misuse.csv", row -> row.get(2) + " " + row.get(1), row -> row.get(0) + ">" + row.get(3)))
                .isEqualTo(written("weights-of-misuses.txt"));
    }

    private static Map<String, Set<String>> byWeight(
            String table, Function<List<String>, String> group, Function<List<String>, String> member) {
        return CsvTable.withHeading(table).stream()
                .skip(1)
                .collect(Collectors.groupingBy(
                        group, TreeMap::new, Collectors.mapping(member, Collectors.toCollection(TreeSet::new))));
    }

    @Test
    void everySingleCellMutantOfWhatIsRequiredIsCaught() {
        Map<String, Set<String>> agreed = written("not-required-by-method.txt");
        List<String> survived = new ArrayList<>();
        int mutants = 0;
        for (int row = 0; row < REQUIRED.size(); row++) {
            for (int column = 0; column < REQUIRED.get(row).size(); column++) {
                for (String other : othersOf(REQUIRED, row, column)) {
                    mutants++;
                    List<List<String>> mutant = with(REQUIRED, row, column, other);
                    if (survives(() -> notRequired(mutant).equals(agreed))) {
                        survived.add(mutant.get(row).toString());
                    }
                }
            }
        }
        System.out.println("required.csv: " + mutants + " single-cell mutants, " + survived.size() + " survived");
        assertThat(survived).isEmpty();
    }

    @Test
    void everySingleCellMutantOfWhatSpoilsIsCaught() {
        Map<String, Set<String>> agreed = written("spoiled-by-look.txt");
        List<String> survived = new ArrayList<>();
        int mutants = 0;
        for (int row = 1; row < SPOILS.size(); row++) {
            for (int column = 0; column < SPOILS.get(row).size(); column++) {
                for (String other : othersOf(SPOILS, row, column)) {
                    mutants++;
                    List<List<String>> mutant = with(SPOILS, row, column, other);
                    if (survives(() -> spoiled(mutant).equals(agreed))) {
                        survived.add(mutant.get(row).toString());
                    }
                }
            }
        }
        System.out.println("spoils.csv: " + mutants + " single-cell mutants, " + survived.size() + " survived");
        assertThat(survived).isEmpty();
    }

    private interface Check {
        boolean passes();
    }

    /** A mutant is caught where the table is refused, or says something else than was agreed. */
    private static boolean survives(Check check) {
        try {
            return check.passes();
        } catch (IllegalStateException | IllegalArgumentException e) {
            return false;
        }
    }

    /** What else could stand in a cell: the other word, an empty one, nonsense, and the neighbours' names. */
    private static List<String> othersOf(List<List<String>> table, int row, int column) {
        String now = table.get(row).get(column);
        Set<String> others = new TreeSet<>(Set.of("", "x", "YES", "yes", "-", "TURNING_BASE"));
        others.addAll(table.stream().map(cells -> cells.get(column)).toList());
        boolean named = row > 0 && column < 2;
        if (named) {
            Stream.of(Change.values()).map(Enum::name).forEach(others::add);
            Stream.of(Conclusion.values()).map(Enum::name).forEach(others::add);
        }
        others.addAll(table.get(row));
        others.remove(now);
        return List.copyOf(others);
    }

    private static List<List<String>> with(List<List<String>> table, int row, int column, String other) {
        List<List<String>> mutant = new ArrayList<>(table);
        List<String> cells = new ArrayList<>(table.get(row));
        cells.set(column, other);
        mutant.set(row, cells);
        return mutant;
    }

    private static Map<String, Set<String>> notRequired(List<List<String>> table) {
        Map<String, Set<String>> left = new TreeMap<>();
        Required.read(table).forEach((method, asked) -> {
            Set<Conclusion> rest = EnumSet.complementOf(EnumSet.copyOf(asked));
            left.put(method.name(), rest.stream().map(Enum::name).collect(Collectors.toCollection(TreeSet::new)));
        });
        assertThat(left.keySet()).hasSize(Method.values().length);
        Set<Conclusion> waits = EnumSet.complementOf(EnumSet.copyOf(Required.prepared(table)));
        left.put("PREPARED", waits.stream().map(Enum::name).collect(Collectors.toCollection(TreeSet::new)));
        return left;
    }

    private static Map<String, Set<String>> spoiled(List<List<String>> table) {
        Map<String, Set<String>> looks = new TreeMap<>();
        Spoils.read(table.subList(1, table.size()))
                .forEach((where, rows) -> rows.forEach((look, acts) ->
                        acts.forEach(act -> looks.computeIfAbsent(look.name(), key -> new TreeSet<>())
                                .add(act.name() + (where.name().equals("ANYWHERE") ? "" : "@" + where.name())))));
        return looks;
    }

    private static Map<String, Set<String>> written(String file) {
        Map<String, Set<String>> lines = new TreeMap<>();
        try (InputStream in = TableMutantsTest.class.getResourceAsStream("/app/layette/core/" + file)) {
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
                if (line.startsWith("#") || line.isBlank()) {
                    continue;
                }
                String[] parts = line.split(":", 2);
                lines.put(
                        parts[0].strip(), new TreeSet<>(List.of(parts[1].strip().split(" "))));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return lines;
    }
}
