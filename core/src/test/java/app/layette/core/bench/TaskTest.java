package app.layette.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.act.Hand;
import app.layette.core.bench.choose.Chosen;
import app.layette.core.bench.fault.Staging;
import app.layette.core.bench.hands.Sensed;
import app.layette.core.bench.lesson.Caregiver;
import app.layette.core.bench.progress.Skill;
import app.layette.core.bench.run.BenchCar;
import app.layette.core.bench.run.DryRun;
import app.layette.core.bench.run.PlannersHands;
import app.layette.core.bench.run.TakenApart;
import app.layette.core.bench.run.TakenApart.Point;
import app.layette.core.bench.run.TakenApart.Sort;
import app.layette.core.bench.run.Task;
import app.layette.core.bench.scene.Shelf;
import app.layette.core.choice.SeatAnswer;
import app.layette.core.choice.WhichRestraint;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.Question;
import app.layette.core.evidence.Permission;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.PlaceAnswer;
import app.layette.core.recline.learn.SettingChoice;
import app.layette.core.rule.Conclusion;
import app.layette.core.step.Phase;
import app.layette.core.trial.Advised;
import app.layette.core.trial.Comparison;
import app.layette.core.trial.Search;
import app.layette.core.trial.TrialAndError;
import app.layette.core.trial.TrialBand;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Dry runs of the four kinds, begun, done, replayed and taken apart. */
class TaskTest {
    private static final LocalDate TODAY = FittingBuilder.TODAY;

    private static List<Long> everyTenSeconds(DryRun run) {
        return run.moments().stream()
                .map(each -> 10L * (run.moments().indexOf(each) + 1))
                .toList();
    }

    private static TakenApart apart(Task task, DryRun run) {
        return TakenApart.of(task, run, everyTenSeconds(run));
    }

    @Test
    void aNumberIsTheSameRunForEverybody() {
        Task task = new Task(Task.Kind.FIT, 417);
        DryRun one = task.begin();
        PlannersHands.finish(one);
        DryRun other = new Task(Task.Kind.FIT, 417).begin();
        one.moments().forEach(each -> other.does(Doing.parse(each.doing().text())));
        assertThat(other.now()).isEqualTo(one.now());
        assertThat(other.moments())
                .extracting(each -> each.outcome().sensed())
                .containsExactlyElementsOf(one.moments().stream()
                        .map(each -> each.outcome().sensed())
                        .toList());
        assertThat(new Task(Task.Kind.FIND, 417).staged()).hasSizeGreaterThanOrEqualTo(1);
        assertThat(new Task(Task.Kind.FIND, 11).staged()).isEqualTo(new Task(Task.Kind.FIND, 11).staged());
    }

    @Test
    void thePlannersOwnRunHasNothingToSayAgainstIt() {
        Task task = new Task(Task.Kind.FIT, 12);
        DryRun run = task.begin();
        PlannersHands.finish(run);
        TakenApart apart = apart(task, run);
        assertThat(apart.isClean()).isTrue();
        assertThat(apart.goes()).isEqualTo(apart.plannersGoes()).isPositive();
        assertThat(apart.looks()).isEqualTo(apart.plannersLooks()).isPositive();
        assertThat(apart.points()).extracting(Point::sort).contains(Sort.AGAIN_IN_TIME);
        assertThat(apart.seconds()).containsKeys(Phase.SEAT_AND_CHILD, Phase.BASE, Phase.CHILD, Phase.FAMILY);
    }

    @Test
    void whatWasNeverLookedAtAndWhatWasSpoiledIsSaid() {
        Task task = new Task(Task.Kind.FIT, 12);
        assertThat(apart(task, task.begin()).points()).extracting(Point::sort).contains(Sort.MISSED, Sort.LEFT_IN);
        DryRun run = task.begin();
        PlannersHands.finish(run);
        run.does(Doing.of(Hand.LET_OUT));
        assertThat(apart(task, run).points())
                .contains(new Point(
                        Sort.SPOILED,
                        Conclusion.named("SNUG_TEST").name(),
                        false,
                        Conclusion.named("SNUG_TEST").code(),
                        run.moments().size()))
                .anyMatch(point -> point.about().equals(Misuse.HARNESS_LOOSE.name()) && point.sort() == Sort.LEFT_IN);
    }

    @ParameterizedTest
    @ValueSource(longs = {5, 6, 7, 8, 9, 10})
    void whatIsFoundAndPutRightIsSaidAndWhatIsNotToo(long number) {
        Task task = new Task(Task.Kind.FIND, number);
        List<Misuse> staged = task.staged();
        assertThat(staged).isNotEmpty();
        DryRun untouched = task.begin();
        assertThat(apart(task, untouched).points())
                .extracting(Point::about)
                .containsAll(staged.stream().map(Misuse::name).toList());
        DryRun run = task.begin();
        run.does(Doing.of(Hand.LATCH));
        run.does(Doing.of(Hand.LET_OUT));
        run.does(Doing.of(Hand.LIFT_AT_HIPS));
        run.does(Doing.tail(75));
        run.does(Doing.make(Question.CLIP, "ARMPIT"));
        assertThat(new Staging(run.scene()).there(run.now()))
                .doesNotContain(Misuse.HARNESS_LOOSE, Misuse.CLIP_LOW, Misuse.HIP_SLACK, Misuse.CLIP_OPEN);
        assertThat(apart(task, run).points().stream().filter(Point::isGood).map(Point::about))
                .allMatch(about -> staged.contains(Misuse.valueOf(about)));
    }

    /** What is missing is not to be had beside the car: the restraint is ruled out; what was added is taken away. */
    @Test
    void missingPartsAreNotPutRightByHand() {
        long number = 6;
        while (!new Task(Task.Kind.FIND, number).staged().equals(List.of(Misuse.PARTS_MISSING))) {
            number += 6;
        }
        Task task = new Task(Task.Kind.FIND, number);
        DryRun run = task.begin();
        run.does(Doing.make(Question.PARTS, "COMPLETE"));
        assertThat(run.moments().get(0).outcome().sensed()).containsExactly(new Sensed("MAKE", "NOT_TO_BE_HAD"));
        assertThat(apart(task, run).isClean()).isFalse();
        run.does(Doing.of(Hand.RULE_OUT, Misuse.PARTS_MISSING));
        assertThat(apart(task, run).isClean()).isTrue();
    }

    /** Every slip that a caregiver makes is one that they may be stopped for, and the other way round. */
    @Test
    void everySlipCanBeStopped() {
        Set<Misuse> made = EnumSet.noneOf(Misuse.class);
        for (long number = 1; number <= 150; number++) {
            DryRun run = new Task(Task.Kind.TEACH, number).begin();
            while (run.nextTurn().isPresent()) {
                run.nextTurn().get().slip().ifPresent(made::add);
                run.does(Doing.of(Hand.GO_ON));
            }
        }
        assertThat(made).containsExactlyInAnyOrderElementsOf(Caregiver.SLIPS);
    }

    @ParameterizedTest
    @ValueSource(longs = {3, 40, 101, 502})
    void aCaregiversSlipsAreStoppedOrMissed(long number) {
        Task task = new Task(Task.Kind.TEACH, number);
        DryRun watched = task.begin();
        DryRun slept = task.begin();
        int slips = 0;
        while (watched.nextTurn().isPresent()) {
            var turn = watched.nextTurn().get();
            watched.does(Doing.of(Hand.GO_ON));
            slept.does(Doing.of(Hand.GO_ON));
            if (turn.slip().isPresent()) {
                slips++;
                watched.does(Doing.of(Hand.STOP, turn.slip().get()));
            }
        }
        assertThat(slips).isPositive();
        assertThat(apart(task, watched).isClean()).isTrue();
        assertThat(apart(task, watched).points()).hasSize(slips);
        assertThat(apart(task, slept).points())
                .hasSize(slips)
                .extracting(Point::sort)
                .containsOnly(Sort.LEFT_IN);
        watched.does(Doing.of(Hand.STOP, Misuse.EXPIRED));
        assertThat(watched.moments().get(watched.moments().size() - 1).outcome().sensed())
                .containsExactly(new Sensed("STOP", "NOTHING_OF_THE_KIND"));
        assertThat(apart(task, watched).points()).extracting(Point::sort).contains(Sort.FALSE_ALARM);
        assertThatThrownBy(() -> watched.does(Doing.of(Hand.GO_ON))).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void oneOfThreeSuitsAndTheArgumentsAreJudged() {
        for (long number = 1; number <= 60; number++) {
            Shelf shelf = Shelf.of(number, TODAY);
            List<SeatAnswer> answers = WhichRestraint.among(shelf.seats(), shelf.present());
            assertThat(answers.stream().filter(each -> each.answer() == Permission.NOT_ALLOWED))
                    .as("%d", number)
                    .hasSize(2);
            SeatAnswer best = answers.get(0);
            PlaceAnswer place = CabinAnswers.of(best.there()).answers().get(0);
            Map<String, String> arguments = new HashMap<>();
            for (SeatAnswer each : answers) {
                String why = each.answer() == Permission.NOT_ALLOWED
                        ? Chosen.ARGUMENTS.stream()
                                .filter(one -> one.code()
                                        == each.deciding().orElseThrow().code())
                                .map(Conclusion::name)
                                .findFirst()
                                .orElse("none of the arguments: " + each.deciding())
                        : Chosen.SUITS;
                arguments.put(each.seat().sheet().id(), why);
            }
            Chosen chosen = Chosen.of(shelf, best.seat().sheet().id(), place.place(), place.method(), arguments);
            assertThat(chosen.points()).as("%d %s", number, arguments).allMatch(Point::isGood);
            String wrong = answers.get(2).seat().sheet().id();
            assertThat(Chosen.of(shelf, wrong, place.place(), place.method(), Map.of())
                            .points())
                    .extracting(Point::sort)
                    .contains(Sort.LEFT_IN, Sort.MISSED);
        }
    }

    /** Goes and looks on the bench are those of the recline comparison, within three standard errors. */
    @Test
    void whoeverSearchesOnTheBenchNeedsAsManyGoesAndLooks() {
        int cars = 1500;
        for (Search search :
                List.of(new TrialAndError(), new Advised(Advised.Reads.ZONES, true, SettingChoice.NEWBORN_SLACK))) {
            Comparison comparison = new Comparison(3, cars);
            TrialBand band = TrialBand.of(35, 45);
            double there = comparison.run(search, band, 1).meanCycles();
            Random random = new Random(4);
            double here = comparison
                    .run(search, band, 1, car -> new BenchCar(car, random))
                    .meanCycles();
            assertThat(Math.abs(there - here)).isLessThan(3 * Math.sqrt(2.0 / cars));
        }
    }

    @ParameterizedTest
    @CsvSource({"1,1,6", "1,6,5", "100,3,104", "417,4,417"})
    void howHardItIsFollowsFromTheNumber(long from, int level, long number) {
        assertThat(Task.ofLevel(from, level)).isEqualTo(number);
        assertThat(new Task(Task.Kind.FIND, number).level()).isEqualTo(level);
        assertThatThrownBy(() -> new Task(Task.Kind.FIT, 0)).hasMessageContaining("1 to 999999");
    }

    @Test
    void whatWasWrongComesBackTomorrowAndWhatWasRightLater() {
        Skill skill = Skill.fresh("HAR", TODAY);
        long before = 0;
        for (int i = 0; i < 8; i++) {
            skill = skill.after(true, TODAY);
            long days = TODAY.until(skill.due()).getDays()
                    + 30L * TODAY.until(skill.due()).getMonths();
            assertThat(days).isGreaterThanOrEqualTo(before);
            before = days;
        }
        assertThat(skill.right()).isEqualTo(Skill.KNOWN);
        assertThat(skill.after(false, TODAY)).isEqualTo(new Skill("HAR", 0, TODAY.plusDays(1)));
        assertThat(Skill.next(List.of(skill, new Skill("CAB", 2, TODAY), new Skill("REC", 1, TODAY)), TODAY))
                .map(Skill::area)
                .contains("REC");
        assertThat(Skill.level(List.of())).isEqualTo(1);
        assertThat(Skill.level(List.of(skill))).isEqualTo(6);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "PRESS", "PRESS MIDDLE 1 2 3", "PRESS MIDDLE -1 0", "PRESS MIDDLE NaN 0", "FLY - 0 0"})
    void whatIsNoDoingIsRefused(String text) {
        assertThatThrownBy(() -> Doing.parse(text)).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "PRESS SOMEWHERE 1 1",
                "MAKE MOVEMENT=UNDER_AN_INCH 0 0",
                "MAKE LEG=FLYING 0 0",
                "MAKE X 0 0",
                "SET_DEVICE 99 0 0",
                "SET_DEVICE - 0 0",
                "INSERT body 0 0",
                "THREAD 0 0 0",
                "HANDLE SIDEWAYS 0 0",
                "LOOK MOON 0 0",
                "LEVEL ROOF 0 0",
                "MOVE_FRONT_SEAT 1e9 0 0",
                "GO_ON - 0 0",
                "TEACH X 0 0",
                "INSERT body=MAYBE 0 0",
                "CARRIER_ON GENTLY 0 0",
                "LATCH TWICE 0 0",
                "TUG ROOF 0 0",
                "MEASURE SHOE 0 0",
                "SET_DEVICE 00000000000000000000000000000000000000001 0 0",
                "THREAD 1.0 0 0",
                "MAKE RECALL=NONE_OPEN 0 0",
                "MAKE HISTORY=OWNED_FROM_NEW 0 0",
                "MAKE GROUND=STEEP 0 0",
                "RULE_OUT HANDLE_WRONG 0 0"
            })
    void whatCannotBeDoneHereIsRefusedAndNothingIsDone(String text) {
        DryRun run = new Task(Task.Kind.FIT, 12).begin();
        assertThatThrownBy(() -> run.does(Doing.parse(text))).isInstanceOf(IllegalArgumentException.class);
        assertThat(run.moments()).isEmpty();
    }
}
