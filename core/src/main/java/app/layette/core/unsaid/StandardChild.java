package app.layette.core.unsaid;

import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.table.CsvTable;
import java.util.List;

/**
 * A child that sheets are tried with.
 *
 * @param weight from 1.9 to 8 kg
 * @param length of the body
 * @param crown from the pad at the hips
 * @param shoulder from the pad at the hips
 * @param days since birth
 * @param gestationDays completed days of gestation at birth
 */
public record StandardChild(
        String name, Mass weight, Length length, Length crown, Length shoulder, int days, int gestationDays) {
    private static final int COLUMNS = 7;

    /** The children of {@code standard-children.csv}, the smallest first. */
    public static List<StandardChild> all() {
        return CsvTable.read("standard-children.csv", COLUMNS).stream()
                .map(cells -> new StandardChild(
                        cells.get(0),
                        Mass.ofGrams(Double.parseDouble(cells.get(1))),
                        Length.ofMillimetres(Double.parseDouble(cells.get(2))),
                        Length.ofMillimetres(Double.parseDouble(cells.get(3))),
                        Length.ofMillimetres(Double.parseDouble(cells.get(4))),
                        Integer.parseInt(cells.get(5)),
                        Integer.parseInt(cells.get(6))))
                .toList();
    }
}
