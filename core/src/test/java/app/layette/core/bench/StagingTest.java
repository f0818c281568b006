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
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

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

    /** Where each could be so, a second time and laid together the other way. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "-| BASE_CARRIED_OUT MOVEMENT_TESTED_ELSEWHERE FORWARD_TOO_EARLY",
                "ALL| WRONG_WEIGHT WRONG_LENGTH EXPIRED UNKNOWN_HISTORY RECALLED PARTS_MISSING"
                        + " ADDED_PADDING INSERT_LEFT_IN INSERT_LEFT_OUT INSERT_PIECE_LEFT HARNESS_LOOSE"
                        + " HARNESS_TOO_TIGHT HIP_SLACK CLIP_LOW CLIP_HIGH CLIP_OPEN TONGUE_NOT_LATCHED"
                        + " BULKY_CLOTHING ROLL_BEHIND_HEAD BASE_LOOSE AIRBAG_ACTIVE LOOSE_OBJECTS",
                "ANCHORS| ANCHORS_UPSIDE_DOWN ANCHOR_NOT_CLICKED BORROWED_ANCHORS",
                "BAR| BAR_OFF_BACK",
                "BASE| WRONG_BASE CARRIER_NOT_CLICKED",
                "BASELESS| CARRIER_TIPPED BELT_OVER_LOOSE_CHILD",
                "BASE_BELT| BELT_THROUGH_CARRIER",
                "BED| BED_WRONG_GUIDES BED_SHOULDER_PART BED_WRONG_PLACE",
                "BELT| WRONG_BUCKLE WRONG_BELT_PATH",
                "DEVICE| TOO_UPRIGHT TOO_RECLINED TOWEL_WRONG_END TWO_NOODLES",
                "EUROPEAN| EUROPEAN_WITHOUT_MANUAL",
                "FLAT| HEAD_TOWARDS_DOOR",
                "GAP| TOUCHES_FRONT_SEAT",
                "GROUND| LEVEL_ON_SLOPE",
                "HANDLE| HANDLE_WRONG TOYS_ON_HANDLE",
                "HARNESS| SLOT_ABOVE SLOT_FAR_BELOW SLOTS_UNEQUAL PAD_DIFFERS NOT_HOME_ON_PLATE" + " WEBBING_TWISTED",
                "LEG| LEG_ON_STORAGE LEG_NOT_LOCKED",
                "LOCK| BELT_NOT_LOCKED",
                "LOCK_OFF| LOCK_OFF_OPEN",
                "RIGID| NOT_PUSHED_HOME",
                "SET_UP| BASE_SET_UP_WRONG",
                "STRAP| STRAP_UNDER_LOCK_OFF",
                "SYSTEMS| BOTH_SYSTEMS",
                "TURNS| SWIVEL_NOT_LOCKED"
            })
    void eachIsStagedWhereThereIsSuchAThing(String where, String misuses) {
        assertThat(Arrays.stream(Misuse.values())
                        .filter(each -> Staging.of(each).where().equals(where))
                        .map(Misuse::name))
                .containsExactlyInAnyOrder(misuses.split(" "));
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
