package app.layette.core.bench;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.bench.fault.Staging;
import app.layette.core.bench.run.DryRun;
import app.layette.core.bench.run.PlannersHands;
import app.layette.core.bench.scene.Scene;
import app.layette.core.entry.Method;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.gate.ConclusionState;
import app.layette.core.practice.Practice;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The planner's own run, done by hand on the bench, leaves nothing to find. */
class BenchAndPlannerTest {
    private static final int SEEDS = 6;
    private static final Practice PRACTICE = FittingBuilder.ready().practice();

    @ParameterizedTest
    @EnumSource(Method.class)
    void thePlannersRunLeavesNothingToFind(Method method) {
        for (long seed = 1; seed <= SEEDS; seed++) {
            Scene scene = Scene.of(seed, method, FittingBuilder.TODAY);
            DryRun run = new DryRun(scene, PRACTICE);
            boolean over = PlannersHands.finish(run);
            assertThat(over)
                    .as(
                            "%s %d: %s\n%s",
                            method,
                            seed,
                            run.plan().gate().blocking().stream()
                                    .map(ConclusionState::toString)
                                    .limit(3)
                                    .toList(),
                            run.moments().stream()
                                    .skip(Math.max(0, run.moments().size() - 14))
                                    .map(each -> each.doing().text() + " -> "
                                            + each.outcome().sensed())
                                    .toList())
                    .isTrue();
            assertThat(new Staging(scene).there(run.now()))
                    .as("%s %d", method, seed)
                    .isEmpty();
        }
    }
}
