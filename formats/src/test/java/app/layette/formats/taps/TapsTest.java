package app.layette.formats.taps;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.gate.ConclusionState;
import app.layette.formats.Examples;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How many answers a whole fitting takes, method by method, and the limits that hold. */
class TapsTest {
    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "ready, 24",
        "ready-rotating-base, 24",
        "ready-belt-lock-off, 26",
        "ready-belt-switchable, 26",
        "ready-belt-latch-plate, 26",
        "ready-belt-locking-clip, 26",
        "ready-belt-slide, 26",
        "ready-baseless-american, 20",
        "ready-baseless-european, 20",
        "ready-convertible-belt, 22",
        "ready-convertible-anchors, 22",
        "ready-car-bed, 18",
        "ready-lay-flat, 20",
    })
    void aFittingTakesNoMoreAnswersThan(String name, int most) {
        Walker.Walked walked = new Walker(Examples.read(name), Walker::isOfBegin).toTheSignature();
        List<String> blocking = walked.plan().gate().blocking().stream()
                .map(ConclusionState::toString)
                .toList();
        assertThat(blocking).as("%s, after %s", name, walked.presses()).isEmpty();
        assertThat(walked.presses()).hasSizeLessThanOrEqualTo(most);
    }
}
