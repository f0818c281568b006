package app.layette.core.growth;

import app.layette.core.child.Sex;
import app.layette.core.table.CsvTable;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** The standard by kind of measure, sex and month. The data is {@code growth-lms.csv}, months 0 to 24. */
final class GrowthTable {
    static final int LAST_MONTH = 24;
    private static final int COLUMNS = 6;
    private static final double DAYS_PER_MONTH = 30.4375;
    private static final GrowthTable SHIPPED = read(CsvTable.read("growth-lms.csv", COLUMNS));

    /** What grows. */
    enum Measure {
        /** In kilograms. */
        WEIGHT("weight_kg"),
        /** In centimetres. */
        LENGTH("length_cm");

        private final String name;

        Measure(String name) {
            this.name = name;
        }
    }

    private final Map<Measure, Map<Sex, Lms[]>> points;

    private GrowthTable(Map<Measure, Map<Sex, Lms[]>> points) {
        this.points = points;
    }

    static GrowthTable shipped() {
        return SHIPPED;
    }

    /**
     * Reads a table.
     *
     * @throws IllegalStateException when a month is missing, given twice, or not a number that can be
     */
    static GrowthTable read(List<List<String>> rows) {
        Map<Measure, Map<Sex, Lms[]>> points = new EnumMap<>(Measure.class);
        for (Measure measure : Measure.values()) {
            points.put(measure, new EnumMap<>(Sex.class));
            for (Sex sex : Sex.values()) {
                points.get(measure).put(sex, column(rows, measure, sex));
            }
        }
        return new GrowthTable(points);
    }

    private static Lms[] column(List<List<String>> rows, Measure measure, Sex sex) {
        Lms[] months = new Lms[LAST_MONTH + 1];
        for (List<String> cells : rows) {
            boolean here = cells.get(0).equals(measure.name) && cells.get(1).equalsIgnoreCase(sex.name());
            if (here) {
                int month = (int) number(cells, 2);
                if (month < 0 || month > LAST_MONTH || months[month] != null) {
                    throw damaged(cells, "has a month that is given twice or is outside 0 to " + LAST_MONTH);
                }
                months[month] = new Lms(number(cells, 3), number(cells, 4), number(cells, 5));
                if (months[month].m() <= 0 || months[month].s() <= 0) {
                    throw damaged(cells, "has a median or a spread that is not more than 0");
                }
            }
        }
        for (int month = 0; month <= LAST_MONTH; month++) {
            if (months[month] == null) {
                throw new IllegalStateException("The growth table growth-lms.csv has no row for " + measure.name + ", "
                        + sex + ", month " + month + "; restore it from the release");
            }
        }
        return months;
    }

    private static double number(List<String> cells, int cell) {
        try {
            return Double.parseDouble(cells.get(cell));
        } catch (NumberFormatException e) {
            throw damaged(cells, "has something that is not a number (" + cells.get(cell) + ")");
        }
    }

    private static IllegalStateException damaged(List<String> cells, String how) {
        return new IllegalStateException("The growth table growth-lms.csv is damaged: the row " + cells + " " + how
                + "; restore it from the release");
    }

    /**
     * The standard on a day, straight between months and level after the last.
     *
     * @param days corrected age, 0 or more
     */
    Lms at(Measure measure, Sex sex, double days) {
        Lms[] months = Objects.requireNonNull(
                Objects.requireNonNull(points.get(measure)).get(sex));
        double month = Math.min(LAST_MONTH, Math.max(0, days / DAYS_PER_MONTH));
        int before = Math.min(LAST_MONTH - 1, (int) month);
        return months[before].towards(months[before + 1], month - before);
    }
}
