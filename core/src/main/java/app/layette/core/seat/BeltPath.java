package app.layette.core.seat;

import org.jspecify.annotations.Nullable;

/**
 * Where the belt goes through the restraint (SEC-3).
 *
 * @param which path, in the manual's words; {@code null} where nobody has looked
 * @param ledge whether the belt lies on a ledge before full tension; {@code null} where nobody has looked
 * @param flap whether it lies under a flap; {@code null} where nobody has looked
 */
public record BeltPath(
        @Nullable String which,
        @Nullable Boolean ledge,
        @Nullable Boolean flap) {}
