package app.layette.core.growth;

import app.layette.core.child.Sex;
import app.layette.core.growth.GrowthTable.Measure;
import app.layette.core.measure.Length;
import app.layette.core.measure.LengthRange;
import app.layette.core.measure.Mass;
import app.layette.core.measure.MassRange;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.OptionalInt;

/**
 * What nearly every child of an age weighs and measures: four standard deviations either side of the growth standard,
 * of the heavier or lighter sex, and wide below for a child born early. A number outside is no error, it is asked about
 * once: most often a unit slipped.
 */
public final class UsualMeasures {
    private static final double FAR = 4;
    private static final int PRETERM_BEFORE_DAYS = 259;
    private static final int SMALL_UNTIL_DAYS = 180;
    private static final Mass LIGHTEST_EARLY = Mass.ofKilograms(1);
    private static final Length SHORTEST_EARLY = Length.ofCentimetres(34);

    private UsualMeasures() {}

    /**
     * The weights that are not asked about.
     *
     * @param gestationDays empty is treated as possibly early
     * @param on the day of the weighing, not before the birth
     */
    public static MassRange weight(LocalDate born, OptionalInt gestationDays, LocalDate on) {
        Mass least = Mass.ofKilograms(edge(Measure.WEIGHT, born, on, -FAR));
        boolean small = mayBeSmall(born, gestationDays, on) && LIGHTEST_EARLY.isLessThan(least);
        return new MassRange(small ? LIGHTEST_EARLY : least, Mass.ofKilograms(edge(Measure.WEIGHT, born, on, FAR)));
    }

    /** The lengths that are not asked about. */
    public static LengthRange length(LocalDate born, OptionalInt gestationDays, LocalDate on) {
        Length least = Length.ofCentimetres(edge(Measure.LENGTH, born, on, -FAR));
        boolean small = mayBeSmall(born, gestationDays, on) && SHORTEST_EARLY.isLessThan(least);
        return new LengthRange(
                small ? SHORTEST_EARLY : least, Length.ofCentimetres(edge(Measure.LENGTH, born, on, FAR)));
    }

    private static boolean mayBeSmall(LocalDate born, OptionalInt gestationDays, LocalDate on) {
        return (gestationDays.isEmpty() || gestationDays.getAsInt() < PRETERM_BEFORE_DAYS)
                && ChronoUnit.DAYS.between(born, on) <= SMALL_UNTIL_DAYS;
    }

    private static double edge(Measure measure, LocalDate born, LocalDate on, double z) {
        GrowthTable table = GrowthTable.shipped();
        double days = Math.max(0, ChronoUnit.DAYS.between(born, on));
        double girl = table.at(measure, Sex.FEMALE, days).at(z);
        double boy = table.at(measure, Sex.MALE, days).at(z);
        return z < 0 ? Math.min(girl, boy) : Math.max(girl, boy);
    }
}
