package app.layette.core.growth;

import app.layette.core.child.Sex;
import app.layette.core.growth.GrowthTable.Measure;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/**
 * How one child grows (GRO): from the latest measure on along its own z-score, which may drift by 0.67 within three
 * months to either side; before term by a share of its weight, or by so many millimetres, a day.
 *
 * @param born day of birth
 * @param gestationDays as told; empty is treated as term
 * @param sex empty when it was not given: then both are looked at
 * @param birthWeight for newborns, who first lose weight; empty when it is not known
 */
public record Growth(LocalDate born, Optional<Integer> gestationDays, Optional<Sex> sex, Optional<Mass> birthWeight) {
    /** Shoulder over length where neither was measured seated. */
    public static final double USUAL_SHOULDER_SHARE = 0.43;
    /** How far a child's own share may differ from the usual one. */
    public static final double SHARE_SPREAD = 0.07;

    private static final int TERM_DAYS = 280;
    private static final int PRETERM_BEFORE_DAYS = 259;
    private static final int EARLY_BEFORE_DAYS = 252;
    private static final int HORIZON_DAYS = 730;
    private static final int NEWBORN_DAYS = 14;
    private static final double DRIFT = 0.67;
    private static final double DRIFT_DAYS = 91;
    private static final double MM_PER_CM = 10;
    private static final double GRAMS_PER_KG = 1000;

    /** The three paths, with what a day adds before term: a share of the weight early and later on, and millimetres. */
    private enum Path {
        FAST(1, 0.020, 0.014, 1.86),
        LIKELY(0, 0.015, 0.010, 1.43),
        SLOW(-1, 0.010, 0.007, 1.00);

        private final int drift;
        private final double early;
        private final double later;
        private final double millimetres;

        Path(int drift, double early, double later, double millimetres) {
            this.drift = drift;
            this.early = early;
            this.later = later;
            this.millimetres = millimetres;
        }
    }

    /** When a weight is reached. */
    public Outlook weight(Mass latest, LocalDate on, Mass threshold) {
        return outlook(Measure.WEIGHT, latest.grams() / GRAMS_PER_KG, on, threshold.grams() / GRAMS_PER_KG);
    }

    /** When a length is reached. */
    public Outlook length(Length latest, LocalDate on, Length threshold) {
        return outlook(Measure.LENGTH, centimetres(latest), on, centimetres(threshold));
    }

    /**
     * When the shoulder reaches a height along the shell back.
     *
     * @param length of the child
     * @param shoulder seated, measured without the insert; empty when it was not measured
     * @param insertLift how far the insert lifts the child
     */
    public Outlook shoulder(Length length, LocalDate on, Optional<Length> shoulder, Length height, Length insertLift) {
        double bare = height.millimetres() - insertLift.millimetres();
        double share =
                shoulder.map(each -> each.millimetres() / length.millimetres()).orElse(USUAL_SHOULDER_SHARE);
        double spread = shoulder.isPresent() ? 0 : SHARE_SPREAD;
        Outlook likely = length(length, on, Length.ofMillimetres(bare / share));
        if (spread == 0) {
            return likely;
        }
        Outlook early = length(length, on, Length.ofMillimetres(bare / (share * (1 + spread))));
        Outlook late = length(length, on, Length.ofMillimetres(bare / (share * (1 - spread))));
        return new Outlook(
                early.earliest(), likely.likely(), late.latest(), late.reached(), likely.horizon(), likely.rough());
    }

    private static double centimetres(Length length) {
        return length.millimetres() / MM_PER_CM;
    }

    private Outlook outlook(Measure measure, double latest, LocalDate on, double threshold) {
        return sex.map(known -> outlook(measure, known, latest, on, threshold))
                .orElseGet(() -> outlook(measure, Sex.FEMALE, latest, on, threshold)
                        .or(outlook(measure, Sex.MALE, latest, on, threshold)));
    }

    private Outlook outlook(Measure measure, Sex of, double latest, LocalDate on, double threshold) {
        LocalDate horizon = born.plusDays(HORIZON_DAYS);
        if (latest >= threshold) {
            return Outlook.reached(on, horizon);
        }
        boolean beforeTerm = corrected(on) < 0;
        return new Outlook(
                reaches(measure, of, latest, on, threshold, Path.FAST),
                reaches(measure, of, latest, on, threshold, Path.LIKELY),
                reaches(measure, of, latest, on, threshold, Path.SLOW),
                false,
                horizon,
                beforeTerm);
    }

    /** c: days since birth, or since term for a child born before 37 weeks; negative before term. */
    private long corrected(LocalDate day) {
        long days = ChronoUnit.DAYS.between(born, day);
        return gestationDays
                .filter(gestation -> gestation < PRETERM_BEFORE_DAYS)
                .map(gestation -> days - (TERM_DAYS - gestation))
                .orElse(days);
    }

    private Optional<LocalDate> reaches(
            Measure measure, Sex of, double latest, LocalDate on, double threshold, Path path) {
        LocalDate horizon = born.plusDays(HORIZON_DAYS);
        double value = latest;
        LocalDate day = on;
        while (corrected(day) < 0) {
            day = day.plusDays(1);
            value = grownBeforeTerm(measure, value, day, path);
            if (value >= threshold) {
                return Optional.of(day);
            }
        }
        long days = ChronoUnit.DAYS.between(day, horizon);
        Walk walk = walk(measure, of, latest, on, day, path);
        // Once on or above the threshold a path stays there, so the first such day is found by halving.
        if (days <= 0 || walk.after(days) < threshold) {
            return Optional.empty();
        }
        long below = 0;
        long above = days;
        while (above - below > 1) {
            long middle = (below + above) / 2;
            boolean reached = walk.after(middle) >= threshold;
            below = reached ? below : middle;
            above = reached ? middle : above;
        }
        return Optional.of(day.plusDays(above));
    }

    /** The path from a day on; that day is at or after term. */
    private Walk walk(Measure measure, Sex of, double latest, LocalDate on, LocalDate day, Path path) {
        boolean fromBeforeTerm = corrected(on) < 0;
        double own = fromBeforeTerm ? zAtTerm(measure, of, latest, on, path) : startingZ(measure, of, latest, on);
        double likely = fromBeforeTerm ? zAtTerm(measure, of, latest, on, Path.LIKELY) : own;
        return new Walk(
                measure, of, path, own, likely, fromBeforeTerm, corrected(day), ChronoUnit.DAYS.between(on, day));
    }

    /** Where the weight may stand on a day: on the slow, the likely and the fast path. */
    public record Expected(LocalDate on, Mass slow, Mass likely, Mass fast) {}

    /**
     * Where the weight may stand from the latest measure on.
     *
     * @param until last day
     * @param everyDays days from one to the next, at least 1
     */
    public List<Expected> weights(Mass latest, LocalDate from, LocalDate until, int everyDays) {
        List<Expected> expected = new ArrayList<>();
        for (LocalDate day = from; !day.isAfter(until); day = day.plusDays(everyDays)) {
            LocalDate here = day;
            expected.add(new Expected(
                    here,
                    weightOn(latest, from, here, Path.SLOW),
                    weightOn(latest, from, here, Path.LIKELY),
                    weightOn(latest, from, here, Path.FAST)));
        }
        return expected;
    }

    /** For a child whose sex is not given the slow path is the slower of both, the others the faster. */
    private Mass weightOn(Mass latest, LocalDate from, LocalDate day, Path path) {
        DoubleStream both = sex.map(Stream::of)
                .orElseGet(() -> Stream.of(Sex.values()))
                .mapToDouble(of -> valueOn(Measure.WEIGHT, of, latest.grams() / GRAMS_PER_KG, from, day, path));
        double kilograms = (path == Path.SLOW ? both.min() : both.max()).orElseThrow();
        return Mass.ofKilograms(kilograms);
    }

    private double valueOn(Measure measure, Sex of, double latest, LocalDate from, LocalDate day, Path path) {
        double value = latest;
        LocalDate at = from;
        while (corrected(at) < 0 && at.isBefore(day)) {
            at = at.plusDays(1);
            value = grownBeforeTerm(measure, value, at, path);
        }
        return at.isBefore(day)
                ? walk(measure, of, latest, from, at, path).after(ChronoUnit.DAYS.between(at, day))
                : value;
    }

    /**
     * One path from a day on, in whole days.
     *
     * @param own z-score of this path
     * @param likely z-score of the likely path
     * @param corrected age at its beginning
     * @param since days from the latest measure to its beginning
     */
    private record Walk(
            Measure measure,
            Sex of,
            Path path,
            double own,
            double likely,
            boolean fromBeforeTerm,
            long corrected,
            long since) {
        /** The measure so many days on. */
        double after(long days) {
            double drift = path.drift * DRIFT * Math.min(1, (since + days) / DRIFT_DAYS);
            double z = switch (path) {
                case FAST -> fromBeforeTerm ? Math.max(own, likely + drift) : own + drift;
                case LIKELY -> own;
                case SLOW -> fromBeforeTerm ? Math.min(own, likely + drift) : own + drift;
            };
            return GrowthTable.shipped().at(measure, of, corrected + days).at(z);
        }
    }

    /** Newborns first lose weight: for two weeks the birth weight tells their path. */
    private double startingZ(Measure measure, Sex of, double latest, LocalDate on) {
        boolean newborn = ChronoUnit.DAYS.between(born, on) < NEWBORN_DAYS;
        if (measure == Measure.WEIGHT && newborn && birthWeight.isPresent()) {
            return GrowthTable.shipped()
                    .at(measure, of, Math.max(0, corrected(born)))
                    .z(birthWeight.get().grams() / GRAMS_PER_KG);
        }
        return GrowthTable.shipped().at(measure, of, corrected(on)).z(latest);
    }

    private double zAtTerm(Measure measure, Sex of, double latest, LocalDate on, Path path) {
        double value = latest;
        LocalDate day = on;
        while (corrected(day) < 0) {
            day = day.plusDays(1);
            value = grownBeforeTerm(measure, value, day, path);
        }
        return GrowthTable.shipped().at(measure, of, 0).z(value);
    }

    /** What the day before adds: the rate changes at 36 weeks. */
    private double grownBeforeTerm(Measure measure, double value, LocalDate day, Path path) {
        if (measure == Measure.LENGTH) {
            return value + path.millimetres / MM_PER_CM;
        }
        long age = gestationDays.orElse(TERM_DAYS) + ChronoUnit.DAYS.between(born, day) - 1;
        return value * (1 + (age < EARLY_BEFORE_DAYS ? path.early : path.later));
    }
}
