package app.layette.core.seat;

import app.layette.core.measure.Length;
import java.util.Optional;

/**
 * A maximum length, or the statement that there is none.
 *
 * @param max inclusive; empty when the manual states that there is no limit
 */
public record LengthLimit(Optional<Length> max) {
    public static LengthLimit none() {
        return new LengthLimit(Optional.empty());
    }

    public static LengthLimit of(Length max) {
        return new LengthLimit(Optional.of(max));
    }
}
