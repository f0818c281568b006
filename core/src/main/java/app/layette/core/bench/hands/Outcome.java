package app.layette.core.bench.hands;

import app.layette.core.bench.state.Truth;
import app.layette.core.entry.Fact;
import java.util.List;

/**
 * What came of a doing.
 *
 * @param truth what is so now
 * @param sensed what was seen or felt
 * @param facts what an honest hand would have written down of it
 */
public record Outcome(Truth truth, List<Sensed> sensed, List<Fact> facts) {
    public Outcome {
        sensed = List.copyOf(sensed);
        facts = List.copyOf(facts);
    }
}
