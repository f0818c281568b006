package app.layette.web.workbench;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Situation;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import java.util.Optional;
import java.util.UUID;

/** A baby scale with a length board that sends what it reads. */
public interface BabyScale {
    /**
     * Weighs.
     *
     * @param fitting whose child lies on it
     * @param situation what is known of that child, which only a simulated scale needs
     * @return empty when it does not answer
     */
    Optional<Mass> weigh(UUID fitting, Situation situation);

    /** Whether this is what a scale or board that only pretends gave out for this fitting, however it was entered. */
    boolean pretended(UUID fitting, Fact fact);

    /** Measures crown to heel; empty when the board does not answer. */
    Optional<Length> measure(UUID fitting, Situation situation);
}
