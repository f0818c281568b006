package app.layette.core.seat;

import app.layette.core.evidence.Written;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Mass;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;

/**
 * The seat's own level indicator (REC-1).
 *
 * @param kind what it looks like
 * @param mount where it sits; on the base it does not see a slide's offset
 * @param pass what counts as a pass
 * @param bands allowed recline by the child's weight or age, stated complete
 * @param sides on one side of the seat or on both, which must agree (REC-3); {@code null} where nobody has looked
 * @param partWidth how much recline lies between wholly inside and wholly outside; {@code null} means 2°
 * @param lineTolerance how far a line may be off parallel; {@code null} means 2°
 */
public record Indicator(
        @Written(needed = true) Kind kind,
        @Written(needed = true) Mount mount,
        @Written(needed = true) Pass pass,
        @Written(needed = true, fewest = 1) List<Band> bands,
        @Nullable Sides sides,
        Angle partWidth,
        Angle lineTolerance) {
    /**
     * 2°: how much recline lies between wholly inside and wholly outside, and how far a line may be off parallel, where a
     * sheet says nothing (REC-1).
     */
    public static final Angle USUAL_PART = Angle.ofDegrees(2);

    /** Lowest and highest allowed θ. */
    public record Borders(Angle from, Angle to) {}

    /** How many sides it can be read on. */
    public enum Sides {
        ONE,
        BOTH
    }

    /** What the indicator looks like. */
    public enum Kind {
        BUBBLE,
        BALL,
        POINTER,
        WINDOW,
        LINE
    }

    /** Where it sits. */
    public enum Mount {
        BASE,
        CARRIER
    }

    /** What counts as a pass. */
    public enum Pass {
        /** Pointer or ball wholly inside, bubble between the lines, no trace of the other colour, line parallel. */
        WHOLLY_INSIDE,
        /** Any part inside is enough. */
        ANY_PART
    }

    /**
     * What one sees, from too upright to too reclined. The same five for every kind; how they are drawn and named
     * depends on the kind.
     */
    public enum Reading {
        OUTSIDE_UPRIGHT,
        PART_UPRIGHT,
        INSIDE,
        PART_RECLINED,
        OUTSIDE_RECLINED;

        public boolean isUpright() {
            return ordinal() < INSIDE.ordinal();
        }
    }

    /**
     * The allowed recline for a band of child weights, ages, or both.
     *
     * @param weights band of child weights
     * @param ageMonths band of ages since birth
     * @param from lowest allowed θ; {@code null} when the zones are only relative
     * @param to highest allowed θ; {@code null} when the zones are only relative
     */
    public record Band(
            WeightBand weights,
            AgeBand ageMonths,
            @Nullable Angle from,
            @Nullable Angle to) {
        public Band {
            weights = weights == null ? WeightBand.EVERY_WEIGHT : weights;
            ageMonths = ageMonths == null ? AgeBand.EVERY_AGE : ageMonths;
        }

        /** A band of weights alone. */
        public Band(WeightBand weights, @Nullable Angle from, @Nullable Angle to) {
            this(weights, AgeBand.EVERY_AGE, from, to);
        }

        /** Its borders; empty where they are not known in degrees. */
        public Optional<Borders> borders() {
            return from == null || to == null ? Optional.empty() : Optional.of(new Borders(from, to));
        }
    }

    public Indicator {
        bands = bands == null ? List.of() : List.copyOf(bands);
        lineTolerance = lineTolerance == null ? USUAL_PART : lineTolerance;
        partWidth = partWidth != null ? partWidth : kind == Kind.LINE ? lineTolerance : USUAL_PART;
    }

    /** An indicator on one side. */
    public Indicator(Kind kind, Mount mount, Pass pass, List<Band> bands) {
        this(kind, mount, pass, bands, Sides.ONE, USUAL_PART, USUAL_PART);
    }

    /**
     * The band for a child; empty when none covers it, or two different ones do.
     *
     * @param ageDays days since birth; empty where nobody knows, which lies only in bands for every age
     */
    public Optional<Band> bandFor(Mass weight, OptionalLong ageDays) {
        List<Band> here = bands.stream()
                .filter(band ->
                        band.weights().contains(weight) && band.ageMonths().contains(ageDays))
                .distinct()
                .toList();
        return here.size() == 1 ? Optional.of(here.get(0)) : Optional.empty();
    }

    /** Whether a reading passes by this seat's own criterion. */
    public boolean passes(Reading reading) {
        if (reading == Reading.INSIDE) {
            return true;
        }
        boolean part = reading == Reading.PART_UPRIGHT || reading == Reading.PART_RECLINED;
        return part && pass == Pass.ANY_PART;
    }
}
