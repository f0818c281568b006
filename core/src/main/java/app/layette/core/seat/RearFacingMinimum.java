package app.layette.core.seat;

import app.layette.core.measure.Length;
import org.jspecify.annotations.Nullable;

/**
 * How long the seat's own manual wants a child to stay rear-facing at least (SUIT-11).
 *
 * @param months of age; {@code null} where it asks none
 * @param length to be reached besides; {@code null} where it asks none
 */
public record RearFacingMinimum(
        @Nullable Integer months, @Nullable Length length) {}
