package app.layette.core.seat;

import app.layette.core.evidence.Written;
import app.layette.core.measure.Length;
import org.jspecify.annotations.Nullable;

/**
 * An opening for the crotch strap (HAR-5).
 *
 * @param distance from the shell back; {@code null} where only its place among the openings was read
 * @param weights band in which the sheet gives this opening; {@code null} means every weight
 */
public record CrotchOpening(
        @Written(needed = true) @Nullable Length distance, WeightBand weights) {
    public CrotchOpening {
        weights = weights == null ? WeightBand.EVERY_WEIGHT : weights;
    }
}
