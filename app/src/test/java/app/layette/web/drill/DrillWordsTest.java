package app.layette.web.drill;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.act.Hand;
import app.layette.core.bench.fault.Staging;
import app.layette.core.bench.run.DryRun;
import app.layette.core.bench.run.PlannersHands;
import app.layette.core.bench.run.TakenApart;
import app.layette.core.bench.run.Task;
import app.layette.core.bench.scene.BenchPractice;
import app.layette.core.bench.scene.Scene;
import app.layette.core.bench.state.Truth;
import app.layette.core.entry.Area;
import app.layette.core.entry.Method;
import app.layette.core.entry.Misuse;
import app.layette.core.measure.UnitSystem;
import app.layette.formats.wording.Wording;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Everything that can be done, seen or said on the bench has words, so that a whole run can be done by ear. */
class DrillWordsTest {
    static Stream<Arguments> everywhere() {
        return Stream.of(Method.values())
                .flatMap(method -> Stream.of("en", "es").map(language -> Arguments.of(method, language)));
    }

    private static void isSaid(String text) {
        assertThat(text).isNotBlank().doesNotContain("drill.", "misuse.", "answer.", "question.", "handle.", "{", "!");
    }

    @ParameterizedTest
    @MethodSource("everywhere")
    void whateverIsDoneSeenOrSaidHasWords(Method method, String language) {
        DrillWords words = new DrillWords(new Wording(Locale.forLanguageTag(language), UnitSystem.METRIC));
        Scene scene = Scene.of(5, method, LocalDate.of(2026, 3, 10));
        DryRun run = new DryRun(scene, BenchPractice.usual());
        sense(run, words);
        PlannersHands.finish(run);
        said(run, words);
        Scene done = scene.beginning(run.now());
        Staging staging = new Staging(done);
        for (Misuse misuse : staging.possible()) {
            Truth spoiled = staging.stage(done.truth(), misuse);
            sense(new DryRun(done.beginning(spoiled), BenchPractice.usual()), words);
        }
        for (Task.Kind kind : Task.Kind.values()) {
            for (Tool tool : Tool.of(kind, run)) {
                tool.uses(kind, run).forEach(use -> {
                    isSaid(words.of(use));
                    assertThat(Doing.parse(use.text()))
                            .as("kept as it was done")
                            .isEqualTo(use);
                    assertThat(List.of(Tool.values())).contains(Tool.with(use));
                });
            }
        }
    }

    /** Every look and test there is. */
    private static void sense(DryRun run, DrillWords words) {
        for (Area area : Area.values()) {
            run.does(Doing.of(Hand.LOOK, area));
        }
        for (Doing test : Tool.TEST.uses(Task.Kind.FIT, run)) {
            run.does(test);
        }
        said(run, words);
    }

    private static void said(DryRun run, DrillWords words) {
        run.moments().forEach(moment -> {
            isSaid(words.of(moment.doing()));
            moment.outcome().sensed().forEach(sensed -> words.of(sensed).ifPresent(DrillWordsTest::isSaid));
        });
    }

    @ParameterizedTest
    @MethodSource("everywhere")
    void everyTurnOfACaregiverAndEveryPointHasWords(Method method, String language) {
        DrillWords words = new DrillWords(new Wording(Locale.forLanguageTag(language), UnitSystem.CUSTOMARY));
        for (long number = 1 + method.ordinal(); number < 60; number += 9) {
            Task task = new Task(Task.Kind.TEACH, number);
            DryRun run = task.begin();
            while (run.nextTurn().isPresent()) {
                run.does(Doing.of(Hand.GO_ON));
            }
            said(run, words);
            TakenApart.of(task, run, List.of()).points().forEach(point -> isSaid(words.of(point)));
        }
    }
}
