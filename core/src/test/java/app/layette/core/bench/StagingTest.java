package app.layette.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.fault.Staging;
import app.layette.core.bench.hands.Hands;
import app.layette.core.bench.run.DryRun;
import app.layette.core.bench.run.PlannersHands;
import app.layette.core.bench.scene.BenchPractice;
import app.layette.core.bench.scene.Scene;
import app.layette.core.bench.state.Truth;
import app.layette.core.entry.Method;
import app.layette.core.entry.Misuse;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.misuse.Misuses;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Every fault that can be staged shows to the look or test that is meant for it, and is named where it is left. */
class StagingTest {
    private static Scene done(Method method, long seed) {
        Scene scene = Scene.of(seed, method, FittingBuilder.TODAY);
        DryRun run = new DryRun(scene, BenchPractice.usual());
        assertThat(PlannersHands.finish(run)).isTrue();
        return scene.beginning(run.now());
    }

    @Test
    void everyMisuseIsStagedSomewhereShowsAndIsNamed() {
        Set<Misuse> never = EnumSet.allOf(Misuse.class);
        for (Method method : Method.values()) {
            for (long seed = 1; seed <= 6; seed++) {
                Scene done = done(method, seed);
                Staging staging = new Staging(done);
                Hands hands = new Hands(done);
                for (Misuse misuse : staging.possible()) {
                    never.remove(misuse);
                    Truth spoiled = staging.stage(done.truth(), misuse);
                    assertThat(staging.there(done.truth())).doesNotContain(misuse);
                    assertThat(staging.there(spoiled)).as("%s", misuse).contains(misuse);
                    assertThat(staging.shownBy(misuse))
                            .as("%s %s %d", misuse, method, seed)
                            .anySatisfy(look -> assertThat(shown(hands, spoiled, look))
                                    .isNotEqualTo(shown(hands, done.truth(), look)));
                }
            }
        }
        assertThat(never)
                .as("those that are not staged say why")
                .containsExactlyInAnyOrder(
                        Misuse.BASE_CARRIED_OUT, Misuse.MOVEMENT_TESTED_ELSEWHERE, Misuse.FORWARD_TOO_EARLY)
                .allSatisfy(misuse -> assertThat(Staging.of(misuse).what()).isNotEmpty());
    }

    private static List<Object> shown(Hands hands, Truth truth, Doing look) {
        var outcome = hands.does(truth, look, 1);
        return List.of(outcome.sensed(), outcome.facts());
    }

    @Test
    void faultsThatAreDrawnStandTogether() {
        Scene done = done(Method.BASE_BELT, 3);
        Staging staging = new Staging(done);
        for (int seed = 0; seed < 60; seed++) {
            List<Misuse> drawn = staging.draw(1 + seed % 6, new Random(seed));
            Truth truth = done.truth();
            for (Misuse misuse : drawn) {
                truth = staging.stage(truth, misuse);
            }
            assertThat(drawn).hasSize(1 + seed % 6);
            assertThat(drawn.stream().map(each -> Misuses.of(each).putRightBy()))
                    .doesNotHaveDuplicates();
            assertThat(staging.there(truth)).as("%s", drawn).isNotEmpty();
        }
        assertThatThrownBy(() -> staging.stage(done.truth(), Misuse.BED_WRONG_GUIDES))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
