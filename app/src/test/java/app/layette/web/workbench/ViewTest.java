package app.layette.web.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Method;
import app.layette.core.step.StepKey;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which views there are by which method, and which of them belongs to a step. */
class ViewTest {
    @ParameterizedTest
    @CsvSource({
        "BASE_FLEXIBLE_ANCHORS, side cabin harness timeline",
        "BASE_BELT, side cabin harness timeline",
        "CONVERTIBLE_ANCHORS, side cabin harness timeline",
        "BASELESS_AMERICAN, side cabin harness belt timeline",
        "BASELESS_EUROPEAN, side cabin harness belt timeline",
        "CAR_BED, cabin timeline",
        "LAY_FLAT, cabin harness timeline"
    })
    void nothingIsOfferedThatAMethodDoesNotHave(Method method, String views) {
        assertThat(View.offered(method).stream().map(View::key).collect(Collectors.joining(" ")))
                .isEqualTo(views);
    }

    @ParameterizedTest
    @CsvSource({
        "'', CHILD, BASE_BELT, side",
        "'', FITS, BASE_BELT, timeline",
        "'', SHOULDER, CONVERTIBLE_BELT, harness",
        "'', PLACE, BASE_BELT, cabin",
        "'', TIGHTEN, BASE_BELT, side",
        "'', TIGHTEN, BASELESS_EUROPEAN, belt",
        "'', ROUTE_BELT, BASELESS_AMERICAN, belt",
        "'', HARNESS, CAR_BED, cabin",
        "'', TIGHTEN, CAR_BED, cabin",
        "'', FITS, CAR_BED, timeline",
        "'', HARNESS, LAY_FLAT, harness",
        "'', INCH, LAY_FLAT, cabin",
        "harness, PLACE, BASE_BELT, harness",
        "side, TIGHTEN, CAR_BED, cabin",
        "nonsense, FITS, BASE_BELT, timeline"
    })
    void aStepShowsItsOwnUnlessAnotherIsAskedForThatThereIs(String asked, StepKey step, Method method, String shown) {
        assertThat(View.of(asked, step, method).key()).isEqualTo(shown);
    }
}
