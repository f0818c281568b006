package app.layette.core.seat;

import app.layette.core.evidence.Written;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;

/**
 * One piece of the infant insert that came with the restraint (SUIT-9).
 *
 * @param key stable within the sheet
 * @param name as the manual calls it
 * @param lift how much it raises the child along the shell back
 * @param bands what the sheet says at each weight or age
 */
public record InsertPiece(
        @Written(needed = true) PieceId key,
        @Written(needed = true) String name,
        Length lift,
        @Written(needed = true) List<Band> bands) {
    /** What the sheet says about a piece. */
    public enum Use {
        REQUIRED,
        OPTIONAL,
        MUST_BE_OUT
    }

    /** A use that holds in a band of weights, of ages, or of both. */
    public record Band(
            WeightBand weights,
            AgeBand ageMonths,
            @Written(needed = true) Use use) {
        public Band(WeightBand weights, Use use) {
            this(weights, AgeBand.EVERY_AGE, use);
        }

        public Band {
            weights = weights == null ? WeightBand.EVERY_WEIGHT : weights;
            ageMonths = ageMonths == null ? AgeBand.EVERY_AGE : ageMonths;
        }
    }

    public InsertPiece {
        lift = lift == null ? Length.ZERO : lift;
        bands = bands == null ? List.of() : List.copyOf(bands);
    }

    /**
     * What the sheet says at this weight and age; empty when no band covers them, or two that say different things.
     *
     * @param ageDays days since birth; empty while nobody said when the child was born
     */
    public Optional<Use> useAt(Mass weight, OptionalLong ageDays) {
        List<Use> uses = bands.stream()
                .filter(band ->
                        band.weights().contains(weight) && band.ageMonths().contains(ageDays))
                .map(Band::use)
                .distinct()
                .toList();
        return uses.size() == 1 ? Optional.of(uses.get(0)) : Optional.empty();
    }
}
