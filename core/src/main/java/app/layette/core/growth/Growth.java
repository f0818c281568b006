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
 * <p>A newborn weighed before day 14 whose birth weight is known first goes straight to its birth weight's curve, which it
 * meets at the age of 14 days, at the earliest at 10, at the latest at 21.
 *
 * @param born day of birth
 * @param gestationDays as told; empty is treated as term
 * @param sex empty when it was not given: then both are looked at
 * @param birthWeight for newborns, who first lose weight; empty when it is not known
 */
public record Growth(LocalDate born, Optional<Integer> gestationDays, Optional<Sex> sex, Optional<Mass> birthWeight) {
    private static final int TERM_DAYS = 280;
    private static final int PRETERM_BEFORE_DAYS = 259;
    private static final int EARLY_BEFORE_DAYS = 252;
    private static final int HORIZON_DAYS = 730;
    private static final int NEWBORN_DAYS = 14;
    private static final double DRIFT = 0.67;
    private static final double DRIFT_DAYS = 91;
    private static final double MM_PER_CM = 10;
    private static final double GRAMS_PER_KG = 1000;

    /**
     * The three paths: what a day adds before term, a share of the weight early and later on, and millimetres; and the age
     * in days at which a newborn has come back to its curve.
     */
    private enum Path {
        FAST(1, 0.020, 0.014, 1.86, 10),
        LIKELY(0, 0.015, 0.010, 1.43, 14),
        SLOW(-1, 0.010, 0.007, 1.00, 21);

        private final int drift;
        private final double early;
        private final double later;
        private final double millimetres;
        private final int backOnCurve;

        Path(int drift, double early, double later, double millimetres, int backOnCurve) {
            this.drift = drift;
            this.early = early;
            this.later = later;
            this.millimetres = millimetres;
            this.backOnCurve = backOnCurve;
        }
    }

    /**
     * A measure on a day on the slow and on the fast path.
     *
     * @param least on the slow path, the slower sex where none was given
     * @param most on the fast path
     */
    public record Between<Q>(Q least, Q most) {}

    /** When a weight is reached. */
    public Outlook weight(Mass latest, LocalDate on, Mass threshold) {
        return outlook(Measure.WEIGHT, kilograms(latest), on, kilograms(threshold));
    }

    /** When a length is reached. */
    public Outlook length(Length latest, LocalDate on, Length threshold) {
        return outlook(Measure.LENGTH, centimetres(latest), on, centimetres(threshold));
    }

    /** When a seated height, a share of the length, reaches a height on the bare shell. */
    public Outlook height(Length latest, LocalDate on, Share share, Length bare) {
        Outlook early = length(latest, on, bare.times(1 / share.most()));
        Outlook likely = length(latest, on, bare.times(1 / share.likely()));
        Outlook late = length(latest, on, bare.times(1 / share.least()));
        return new Outlook(
                early.earliest(), likely.likely(), late.latest(), likely.reached(), likely.horizon(), likely.rough());
    }

    /** The last day that the growth table reaches. */
    public LocalDate horizon() {
        return born.plusDays(HORIZON_DAYS);
    }

    /** What the weight may be on a later day. */
    public Between<Mass> weightOn(Mass latest, LocalDate on, LocalDate day) {
        return new Between<>(
                Mass.ofKilograms(least(Measure.WEIGHT, kilograms(latest), on, day)),
                Mass.ofKilograms(most(Measure.WEIGHT, kilograms(latest), on, day, Path.FAST)));
    }

    /** What the length may be on a later day. */
    public Between<Length> lengthOn(Length latest, LocalDate on, LocalDate day) {
        return new Between<>(
                Length.ofCentimetres(least(Measure.LENGTH, centimetres(latest), on, day)),
                Length.ofCentimetres(most(Measure.LENGTH, centimetres(latest), on, day, Path.FAST)));
    }

    /** The likely length on a later day. */
    public Length likelyLengthOn(Length latest, LocalDate on, LocalDate day) {
        return Length.ofCentimetres(most(Measure.LENGTH, centimetres(latest), on, day, Path.LIKELY));
    }

    private static double kilograms(Mass mass) {
        return mass.grams() / GRAMS_PER_KG;
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
        if (latest >= threshold) {
            return Outlook.reached(on, horizon());
        }
        boolean beforeTerm = corrected(on) < 0;
        return new Outlook(
                reaches(measure, of, latest, on, threshold, Path.FAST),
                reaches(measure, of, latest, on, threshold, Path.LIKELY),
                reaches(measure, of, latest, on, threshold, Path.SLOW),
                false,
                horizon(),
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
        double value = latest;
        LocalDate day = on;
        while (corrected(day) < 0) {
            day = day.plusDays(1);
            value = grownBeforeTerm(measure, value, day, path);
            if (value >= threshold) {
                return Optional.of(day);
            }
        }
        long days = ChronoUnit.DAYS.between(day, horizon());
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
        long untilCurve = !fromBeforeTerm && returnsToBirthWeight(measure, on)
                ? Math.max(0, path.backOnCurve - ChronoUnit.DAYS.between(born, on))
                : 0;
        return new Walk(
                measure,
                of,
                path,
                own,
                likely,
                fromBeforeTerm,
                corrected(day),
                ChronoUnit.DAYS.between(on, day),
                latest,
                untilCurve);
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
            Between<Mass> between = weightOn(latest, from, day);
            double likely = most(Measure.WEIGHT, kilograms(latest), from, day, Path.LIKELY);
            expected.add(new Expected(day, between.least(), Mass.ofKilograms(likely), between.most()));
        }
        return expected;
    }

    /** For a child whose sex is not given the slow path is the slower of both, the others the faster. */
    private double least(Measure measure, double latest, LocalDate from, LocalDate day) {
        return sexes(measure, latest, from, day, Path.SLOW).min().orElseThrow();
    }

    private double most(Measure measure, double latest, LocalDate from, LocalDate day, Path path) {
        return sexes(measure, latest, from, day, path).max().orElseThrow();
    }

    private DoubleStream sexes(Measure measure, double latest, LocalDate from, LocalDate day, Path path) {
        return sex.map(Stream::of)
                .orElseGet(() -> Stream.of(Sex.values()))
                .mapToDouble(of -> valueOn(measure, of, latest, from, day, path));
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
     * @param latest the measure it starts from
     * @param untilCurve days until a newborn is back on its birth weight's curve; 0 where it is on one
     */
    private record Walk(
            Measure measure,
            Sex of,
            Path path,
            double own,
            double likely,
            boolean fromBeforeTerm,
            long corrected,
            long since,
            double latest,
            long untilCurve) {
        /** The measure so many days on. */
        double after(long days) {
            if (days < untilCurve) {
                return latest + (curve(untilCurve) - latest) * days / untilCurve;
            }
            return curve(days);
        }

        private double curve(long days) {
            double drift = path.drift * DRIFT * Math.min(1, (since + days) / DRIFT_DAYS);
            double z = switch (path) {
                case FAST -> fromBeforeTerm ? Math.max(own, likely + drift) : own + drift;
                case LIKELY -> own;
                case SLOW -> fromBeforeTerm ? Math.min(own, likely + drift) : own + drift;
            };
            return GrowthTable.shipped().at(measure, of, corrected + days).at(z);
        }
    }

    private boolean returnsToBirthWeight(Measure measure, LocalDate on) {
        boolean newborn = ChronoUnit.DAYS.between(born, on) < NEWBORN_DAYS;
        return measure == Measure.WEIGHT && newborn && birthWeight.isPresent();
    }

    private double startingZ(Measure measure, Sex of, double latest, LocalDate on) {
        if (returnsToBirthWeight(measure, on)) {
            return GrowthTable.shipped()
                    .at(measure, of, Math.max(0, corrected(born)))
                    .z(kilograms(birthWeight.get()));
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
