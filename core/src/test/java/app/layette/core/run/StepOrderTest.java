package app.layette.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Act;
import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.evidence.Evidence;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.gate.Required;
import app.layette.core.gate.Spoils;
import app.layette.core.practice.PracticeProfile.ChildOrder;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rules;
import app.layette.core.step.Ask;
import app.layette.core.step.StepKey;
import java.util.List;
import java.util.Map;
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
                assertThat(steps).as("serves %s", conclusion).contains(Rules.stepOf(conclusion));
            }
        }
    }

    /** What a step does to the set-up. */
    private static final Map<StepKey, Change> CHANGES = Map.of(
            StepKey.INSERT_STEP, Change.INSERT,
            StepKey.THREAD, Change.SLOT,
            StepKey.PLACE, Change.PLACE_OR_METHOD,
            StepKey.DEVICE, Change.TIGHTENED,
            StepKey.TIGHTEN, Change.TIGHTENED,
            StepKey.CARRIER_ON, Change.CARRIER_ON_OFF,
            StepKey.HANDLE_AND_GAP, Change.HANDLE_MOVED);

    @ParameterizedTest
    @EnumSource(Method.class)
    void everyCheckComesAfterTheLastThingThatCanSpoilIt(Method method) {
        for (ChildOrder childOrder : ChildOrder.values()) {
            List<StepKey> steps = StepOrder.of(method, childOrder).inOrder();
            for (StepKey step : steps) {
                if (CHANGES.containsKey(step)) {
                    for (Conclusion spoiled : Spoils.by(CHANGES.get(step))) {
                        boolean checked = Required.by(method).contains(spoiled);
                        if (checked) {
                            assertThat(steps.indexOf(Rules.stepOf(spoiled)))
                                    .as("%s: %s is checked after %s", method, spoiled, step)
                                    .isGreaterThanOrEqualTo(steps.indexOf(step));
                        }
                    }
                }
            }
        }
    }

    @Test
    void theChildIsAlwaysHarnessedBeforeABaselessBeltAndComesLastInAConvertible() {
        for (Method method : Method.values()) {
            List<StepKey> steps =
                    StepOrder.of(method, ChildOrder.CARRIER_ON_BASE_FIRST).inOrder();
            int child = steps.indexOf(StepKey.HARNESS);
            int tight = steps.indexOf(StepKey.TIGHTEN);
            if (method.isBaseless() || method == Method.LAY_FLAT) {
                assertThat(child).as("%s", method).isLessThan(steps.indexOf(StepKey.ROUTE_BELT));
            } else {
                assertThat(child).as("%s", method).isGreaterThan(tight);
            }
        }
        List<StepKey> bed = StepOrder.of(
                        Method.CAR_BED, new StepOrder.Particulars(ChildOrder.CHILD_ON_TABLE_FIRST, true, false))
                .inOrder();
        assertThat(bed.indexOf(StepKey.HARNESS)).isLessThan(bed.indexOf(StepKey.ROUTE_BELT));
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
