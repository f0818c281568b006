package app.layette.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Act;
import app.layette.core.entry.Method;
import app.layette.core.evidence.Evidence;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.gate.Required;
import app.layette.core.practice.PracticeProfile.ChildOrder;
import app.layette.core.rule.Conclusion;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class StepOrderTest {
    @ParameterizedTest
    @EnumSource(ChildOrder.class)
    void theRunRespectsEveryPrecondition(ChildOrder childOrder) {
        for (Method method : Method.values()) {
            StepOrder order = StepOrder.of(method, childOrder);
            List<StepKey> steps = order.inOrder();
            for (StepKey step : steps) {
                for (StepKey earlier : order.before(step)) {
                    assertThat(steps.indexOf(earlier))
                            .as("%s before %s", earlier, step)
                            .isLessThan(steps.indexOf(step));
                }
            }
            assertThat(steps).doesNotHaveDuplicates().startsWith(StepKey.CHILD, StepKey.LABEL);
            assertThat(steps).endsWith(StepKey.HAND_OVER);
            for (Conclusion conclusion : Required.by(method)) {
                assertThat(steps).as("serves %s", conclusion).contains(StepKey.serving(conclusion));
            }
        }
    }

    @Test
    void theProfileDecidesWhetherTheChildOrTheCarrierComesFirst() {
        List<StepKey> child = StepOrder.of(Method.BASE_FLEXIBLE_ANCHORS, ChildOrder.CHILD_ON_TABLE_FIRST)
                .inOrder();
        List<StepKey> carrier = StepOrder.of(Method.BASE_FLEXIBLE_ANCHORS, ChildOrder.CARRIER_ON_BASE_FIRST)
                .inOrder();
        assertThat(child.indexOf(StepKey.HARNESS)).isLessThan(child.indexOf(StepKey.CARRIER_ON));
        assertThat(carrier.indexOf(StepKey.HARNESS)).isGreaterThan(carrier.indexOf(StepKey.CARRIER_ON));
        assertThat(carrier.indexOf(StepKey.HARNESS)).isLessThan(carrier.indexOf(StepKey.LEVEL_CHILD));
    }

    @Test
    void whatIsNotKnownAsksForItsPage() {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.seat.handle = Evidence.notLooked();
        fitting.seat.gap = Evidence.notLooked();
        assertThat(fitting.plan()
                        .run()
                        .step(StepKey.HANDLE_AND_GAP)
                        .orElseThrow()
                        .asks())
                .filteredOn(ask -> ask.kind() == Ask.Kind.PAGE)
                .extracting(Ask::key)
                .containsExactly("HANDLE:UP", "QUANTITY:GAP:SEAT");
    }

    @Test
    void aReopenedCheckIsAskedAgain() {
        FittingBuilder fitting = FittingBuilder.ready().acted(Act.TIGHTENED);
        Step inch = fitting.plan().run().step(StepKey.INCH).orElseThrow();
        assertThat(inch.state()).isEqualTo(Step.State.REOPENED);
        assertThat(inch.nextAsk()).map(Ask::kind).contains(Ask.Kind.MOVEMENT);
        assertThat(fitting.plan().run().current()).map(Step::key).contains(StepKey.INCH);
    }
}
