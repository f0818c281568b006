package app.layette.core.gate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.coming.DueKind;
import app.layette.core.entry.Act;
import app.layette.core.entry.Change;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.Situation;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.fitting.DatedEvent;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.fitting.FittingState;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.fixture.SeatSheetBuilder;
import app.layette.core.gate.ConclusionState.State;
import app.layette.core.measure.Length;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Rules;
import app.layette.core.rule.Verdict;
import app.layette.core.run.Step;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.step.Ask;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.Side;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.EnumSource.Mode;
import org.junit.jupiter.params.provider.MethodSource;

class GateTest {
    @Test
    void opensWhenEverythingRequiredIsPresentPassedAndFresh() {
        FittingPlan plan = FittingBuilder.ready().plan();
        assertThat(plan.gate().blocking()).isEmpty();
        assertThat(plan.mayHandOver()).isTrue();
        assertThat(plan.run().current()).map(step -> step.key().name()).contains("HAND_OVER");
    }

    @ParameterizedTest
    @EnumSource(
            value = Act.class,
            mode = Mode.EXCLUDE,
            names = {"PREPARED"})
    void anActReopensExactlyWhatItSpoils(Act act) {
        FittingPlan plan = FittingBuilder.ready().acted(act).plan();
        Gate gate = plan.gate();
        Change change = act.change().orElseThrow();
        Set<Conclusion> looked = new LinkedHashSet<>();
        Spoils.by(change).stream()
                .filter(each -> Spoils.of(each, plan.situation()).contains(change))
                .forEach(looked::add);
        // Without a leg, a bar or a shell that turns, there is nothing to spoil.
        looked.remove(Conclusion.FLOOR_AND_LEG);
        looked.remove(Conclusion.named("REBOUND_BAR"));
        looked.remove(Conclusion.named("TURNED_BACK"));
        looked.retainAll(Required.by(Method.BASE_FLEXIBLE_ANCHORS));
        Set<Conclusion> stale = gate.conclusions().stream()
                .filter(each -> each.state() == State.STALE)
                .map(ConclusionState::conclusion)
                .collect(Collectors.toSet());
        assertThat(stale).isEqualTo(looked);
        assertThat(gate.isOpen()).isFalse();
    }

    /** Every question but those that a ready fitting on a base by anchors does not ask. */
    static Stream<Question> askedOfAReadyFitting() {
        Set<String> notAsked = Set.of(
                "BASE_SET_UP",
                "LEG",
                "HEAD_ROOM",
                "RETRACTOR",
                "LATCH_PLATE",
                "BUCKLE",
                "BELT_ROUTE",
                "LOCK_OFF",
                "LOCK_PROOF",
                "SIDES",
                "REACH",
                "PANEL",
                "END_STRAPS",
                "SIDE_ELEMENT",
                "TURNED_BACK",
                "LIES_FLAT",
                "FEET",
                "LIFTING",
                "REGISTRATION",
                "COVERS",
                "AIRBAG_LAMP",
                "BACK_ROW",
                "BAR",
                "OWN_CONDITIONS",
                "SINCE");
        return Question.values().stream().filter(question -> !notAsked.contains(question.name()));
    }

    @ParameterizedTest
    @MethodSource("askedOfAReadyFitting")
    void eachAnswerIsMissed(Question question) {
        FittingPlan plan = FittingBuilder.ready().without(question).plan();
        assertThat(plan.mayHandOver()).as("without %s", question).isFalse();
        assertThat(plan.gate().blocking()).allMatch(each -> each.state() == State.OPEN);
    }

    @ParameterizedTest
    @EnumSource(Method.class)
    void everyMethodCanBeHandedOverAndMissesEachOfItsAnswers(Method method) {
        FittingPlan ready = FittingBuilder.ready(method).plan();
        assertThat(ready.gate().blocking()).isEmpty();
        assertThat(ready.mayHandOver()).isTrue();
        assertThat(ready.run().current()).map(step -> step.key().name()).contains("HAND_OVER");
        for (Step step : ready.run().steps()) {
            for (Ask ask : step.asks()) {
                boolean needed = ask.kind() == Ask.Kind.QUESTION && ask.answered();
                if (needed) {
                    Question question = Question.valueOf(ask.question());
                    assertThat(FittingBuilder.ready(method)
                                    .without(question)
                                    .plan()
                                    .mayHandOver())
                            .as("%s without %s", method, question)
                            .isFalse();
                }
            }
        }
    }

    @ParameterizedTest
    @EnumSource(Method.class)
    void aChangeOfPlaceReopensEverythingOfSecuring(Method method) {
        FittingBuilder fitting = FittingBuilder.ready(method);
        fitting.car.more.add(fitting.car.another(new PositionId(2, Side.LEFT)));
        fitting.car.more.add(fitting.car.another(new PositionId(2, Side.MIDDLE)));
        fitting.add(new Fact.Placed(UnitId.FIRST, new PositionId(2, Side.LEFT), method));
        Gate gate = fitting.plan().gate();
        Set<Conclusion> securing = new LinkedHashSet<>(List.of(
                Conclusion.named("ANCHORS_CLICKED"),
                Conclusion.named("STRAP"),
                Conclusion.named("BELT_PATH"),
                Conclusion.named("BUCKLE"),
                Conclusion.named("LOCK_PROOF"),
                Conclusion.named("INCH_TEST"),
                Conclusion.LEVEL));
        securing.retainAll(Required.by(method));
        assertThat(securing)
                .isNotEmpty()
                .allSatisfy(conclusion ->
                        assertThat(gate.state(conclusion).orElseThrow().state()).isEqualTo(State.STALE));
    }

    @Test
    void neverBothSystemsWithoutPermission() {
        Random random = new Random(41);
        for (int i = 0; i < 200; i++) {
            Method method = Method.values()[random.nextInt(Method.values().length)];
            FittingBuilder fitting = FittingBuilder.ready(method).answer(Question.SYSTEMS, "ANCHORS_AND_BELT");
            int said = random.nextInt(4);
            if (said == 0) {
                fitting.seat.says(PermissionKey.BOTH_SYSTEMS, Said.ALLOWED);
            } else if (said == 1) {
                fitting.seat.says(PermissionKey.BOTH_SYSTEMS, Said.NOT_ALLOWED);
            } else if (said == 2) {
                fitting.seat.permissions.put(PermissionKey.BOTH_SYSTEMS, SeatSheetBuilder.silent());
            }
            if (Required.by(method).contains(Conclusion.named("ONE_SYSTEM"))) {
                assertThat(fitting.plan().mayHandOver()).isEqualTo(said == 0);
            }
        }
    }

    @Test
    void everyKindOfFactIsMissed() {
        List<Class<?>> needed = List.of(
                Fact.ChildDescribed.class,
                Fact.Weighed.class,
                Fact.LengthMeasured.class,
                Fact.LabelRead.class,
                Fact.InsertSet.class,
                Fact.SlotsSet.class,
                Fact.CrotchSet.class,
                Fact.HandleSet.class,
                Fact.Placed.class,
                Fact.LevelRead.class,
                Fact.Taught.class,
                Fact.Ordered.class,
                Fact.SheetAdopted.class);
        for (Class<?> kind : needed) {
            assertThat(FittingBuilder.ready().without(kind::isInstance).plan().mayHandOver())
                    .as("without %s", kind.getSimpleName())
                    .isFalse();
        }
    }

    @Test
    void aRuleThatThrowsClosesTheGate() {
        for (Conclusion conclusion : Required.by(Method.BASE_FLEXIBLE_ANCHORS)) {
            List<Rule> rules = allRules();
            rules.removeIf(rule -> rule.conclusion() == conclusion);
            rules.add(new Broken(conclusion));
            assertThat(planWith(rules).gate().state(conclusion).orElseThrow().state())
                    .isEqualTo(State.BROKEN);
            assertThat(planWith(rules).mayHandOver()).isFalse();
        }
    }

    @Test
    void aMissingRuleClosesTheGate() {
        for (Conclusion conclusion : Required.by(Method.BASE_FLEXIBLE_ANCHORS)) {
            List<Rule> rules = allRules();
            rules.removeIf(rule -> rule.conclusion() == conclusion);
            assertThat(planWith(rules).mayHandOver())
                    .as("without %s", conclusion)
                    .isFalse();
        }
    }

    @Test
    void aGateThatRequiresNothingCannotBeMade() {
        assertThatThrownBy(() -> new Gate(List.of())).isInstanceOf(IllegalArgumentException.class);
        for (Method method : Method.values()) {
            assertThat(Required.by(method)).isNotEmpty();
        }
    }

    @Test
    void forgettingNeverMakesAnythingPass() {
        Random random = new Random(7);
        List<String> answers = List.of("OVERHANGS", "WHOLE");
        for (int i = 0; i < 400; i++) {
            long seed = random.nextLong();
            boolean overhangs = answers.get(random.nextInt(2)).equals("OVERHANGS");
            Map<Conclusion, State> before = states(fitting(seed, overhangs, false));
            Map<Conclusion, State> after = states(fitting(seed, overhangs, true));
            after.forEach((conclusion, state) -> {
                if (before.get(conclusion) != State.PASSED) {
                    assertThat(state).as("%s, seed %s", conclusion, seed).isNotEqualTo(State.PASSED);
                }
            });
        }
    }

    /** A fitting with some random settings, the same for the same seed, and on demand with some sheet values forgotten. */
    private static FittingBuilder fitting(long seed, boolean overhangs, boolean forget) {
        Random random = new Random(seed);
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.height(Fact.Dimension.SHOULDER, 170 + random.nextInt(120));
        fitting.answer(Question.SITS_WHOLE, overhangs ? "OVERHANGS" : "WHOLE");
        fitting.answer(Question.GAP, List.of("FLAT_HAND", "LESS", "TOUCHES").get(random.nextInt(3)));
        fitting.answer(Question.SUPPORT, List.of("NONE", "ROLLS_BESIDE").get(random.nextInt(2)));
        fitting.answer(Question.CRASH, List.of("NONE", "MINOR").get(random.nextInt(2)));
        if (random.nextBoolean()) {
            fitting.add(new Fact.LengthMeasured(
                    RiderId.FIRST,
                    Fact.Dimension.SHOULDER,
                    Length.ofMillimetres(180 + random.nextInt(90)),
                    Fact.InsertState.BARE));
        }
        if (forget) {
            fitting.seat.forgetSome(random);
            fitting.car.forgetSome(random);
        }
        return fitting;
    }

    private static Map<Conclusion, State> states(FittingBuilder fitting) {
        Map<Conclusion, State> states = new LinkedHashMap<>();
        fitting.plan().gate().conclusions().forEach(each -> states.put(each.conclusion(), each.state()));
        return states;
    }

    @Test
    void aLevelReadBeforeAColleagueTightenedDoesNotCountAfterwards() {
        FittingBuilder fitting = FittingBuilder.ready();
        int seenOffline = fitting.lastSeq();
        fitting.acted(Act.TIGHTENED);
        fitting.answer(Question.MOVEMENT, "UNDER_AN_INCH").answer(Question.WINDOWS, "ALL_LOCKED");
        fitting.add(
                How.MEASURED,
                FittingBuilder.TECHNICIAN,
                seenOffline,
                new Fact.LevelRead(UnitId.FIRST, Fact.Stage.CHILD, Reading.INSIDE));
        assertThat(fitting.state(Conclusion.LEVEL).state()).isEqualTo(State.STALE);
        assertThat(fitting.level(Reading.INSIDE).state(Conclusion.LEVEL).state())
                .isEqualTo(State.PASSED);
    }

    @Test
    void aCorrectionKeepsThePlaceOfWhatItCorrects() {
        FittingBuilder fitting =
                FittingBuilder.ready().level(Reading.PART_UPRIGHT).acted(Act.TIGHTENED);
        fitting.correct(new Fact.LevelRead(UnitId.FIRST, Fact.Stage.CHILD, Reading.INSIDE));
        assertThat(fitting.state(Conclusion.LEVEL).state()).isEqualTo(State.STALE);
    }

    @Test
    void aTraineesWorkWaitsForATechnician() {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.add(
                How.MEASURED,
                FittingBuilder.TRAINEE,
                fitting.lastSeq(),
                new Fact.Answered(UnitId.FIRST, Question.SNUG, "SNUG"));
        assertThat(fitting.state(Conclusion.SIGNED_FOR).state()).isEqualTo(State.OPEN);
        fitting.add(How.MEASURED, FittingBuilder.TRAINEE, fitting.lastSeq(), new Fact.Countersigned(UnitId.FIRST));
        assertThat(fitting.state(Conclusion.SIGNED_FOR).state()).isEqualTo(State.OPEN);
        fitting.add(new Fact.Countersigned(UnitId.FIRST));
        assertThat(fitting.plan().mayHandOver()).isTrue();
    }

    @Test
    void estimatesAnswerNothing() {
        FittingBuilder fitting = FittingBuilder.ready().without(Question.SNUG);
        for (How.Kind kind : List.of(How.Kind.ESTIMATED, How.Kind.SIMULATED)) {
            fitting.add(new How(kind, ""), new Fact.Answered(UnitId.FIRST, Question.SNUG, "SNUG"));
            assertThat(fitting.state(Conclusion.named("SNUG_TEST")).state()).isEqualTo(State.OPEN);
        }
    }

    @Test
    void aRecallLookUpGoesStaleWithTheDays() {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.today = FittingBuilder.TODAY.plusDays(30);
        assertThat(fitting.state(Conclusion.named("RECALL")).state()).isEqualTo(State.PASSED);
        fitting.today = FittingBuilder.TODAY.minusDays(1);
        assertThat(fitting.state(Conclusion.named("RECALL")).state())
                .as("dated in the future")
                .isEqualTo(State.NOT_KNOWN);
        fitting.today = FittingBuilder.TODAY.plusDays(31);
        assertThat(fitting.state(Conclusion.named("RECALL")).state()).isEqualTo(State.NOT_KNOWN);
        assertThat(fitting.state(Conclusion.named("RECALL")).findings().get(0).reason())
                .isEqualTo("lookUpTooOld");
    }

    @Test
    void handedOverCountsOnlyIfTheGateWasOpen() {
        Fact handOver = new Fact.Ended(UnitId.FIRST, Fact.Ending.HANDED_OVER, null, null, null);
        assertThat(FittingBuilder.ready().add(handOver).plan().state()).isEqualTo(FittingState.HANDED_OVER);
        assertThat(FittingBuilder.ready()
                        .acted(Act.TIGHTENED)
                        .add(handOver)
                        .plan()
                        .state())
                .isEqualTo(FittingState.OPEN);
        FittingBuilder byTrainee = FittingBuilder.ready();
        byTrainee.add(How.MEASURED, FittingBuilder.TRAINEE, byTrainee.lastSeq(), handOver);
        assertThat(byTrainee.plan().state()).isEqualTo(FittingState.OPEN);
        FittingBuilder yearsLater = FittingBuilder.ready().add(handOver);
        yearsLater.today = FittingBuilder.TODAY.plusYears(9);
        assertThat(yearsLater.plan().state()).isEqualTo(FittingState.HANDED_OVER);
    }

    @Test
    void aNewerSheetDoesNotUndoASignedHandOverButBlocksAnOpenOne() {
        SeatSheetBuilder newer = new SeatSheetBuilder();
        newer.sheet = new SheetVersion("test-seat", 2);
        Fact.Ended ended = new Fact.Ended(UnitId.FIRST, Fact.Ending.HANDED_OVER, null, null, null);
        FittingBuilder signed = FittingBuilder.ready();
        signed.add(ended.decidedBy(FittingPlanner.decision(signed.plan())));
        signed.moreSeats.add(newer.build());
        assertThat(signed.plan().state()).isEqualTo(FittingState.HANDED_OVER);
        FittingBuilder nobodyKept = FittingBuilder.ready().add(ended);
        nobodyKept.moreSeats.add(newer.build());
        assertThat(nobodyKept.plan().state())
                .as("whether the newer sheet waited is not known")
                .isEqualTo(FittingState.OPEN);
        FittingBuilder open = FittingBuilder.ready();
        open.moreSeats.add(newer.build());
        assertThat(open.plan().mayHandOver()).isFalse();
    }

    @Test
    void aDecisionOfAnEarlierEditionStandsAndItsDifferenceIsDue() {
        Fact.Ended ended = new Fact.Ended(UnitId.FIRST, Fact.Ending.HANDED_OVER, null, null, null);
        FittingBuilder spoiled = FittingBuilder.ready().acted(Act.TIGHTENED);
        Fact.Decision before = new Fact.Decision("0.1.0", List.of("WEIGHT"));
        FittingPlan plan = spoiled.add(ended.decidedBy(before)).plan();
        assertThat(plan.state()).isEqualTo(FittingState.HANDED_OVER);
        assertThat(plan.dates()).extracting(DatedEvent::kind).contains(DueKind.RULES_DIFFER);
        FittingPlan alike = FittingBuilder.ready().add(ended.decidedBy(before)).plan();
        assertThat(alike.dates()).extracting(DatedEvent::kind).doesNotContain(DueKind.RULES_DIFFER);
        FittingPlan forged = FittingBuilder.ready()
                .acted(Act.TIGHTENED)
                .add(ended.decidedBy(new Fact.Decision(FittingPlanner.ENGINE_VERSION, List.of("WEIGHT"))))
                .plan();
        assertThat(forged.state()).as("of this edition, and not so").isEqualTo(FittingState.OPEN);
    }

    @Test
    void leavingAllTheSameIsNeverShownAsHandedOver() {
        Fact left = new Fact.Ended(UnitId.FIRST, Fact.Ending.LEFT_WITH_OPEN_FINDINGS, "said", "offered", "told");
        assertThat(FittingBuilder.ready().acted(Act.TIGHTENED).add(left).plan().state())
                .isEqualTo(FittingState.LEFT_WITH_OPEN_FINDINGS);
    }

    @Test
    void everyChangeSpoilsSomething() {
        for (Change change : Change.values()) {
            assertThat(Spoils.by(change)).as("%s", change).isNotEmpty();
        }
    }

    private static List<Rule> allRules() {
        return new ArrayList<>(Rules.all());
    }

    private static FittingPlan planWith(List<Rule> rules) {
        FittingBuilder ready = FittingBuilder.ready();
        return new FittingPlanner(new RuleBook(rules))
                .plan(ready.practice(), ready.sheets(), ready.record(), ready.today);
    }

    private record Broken(Conclusion conclusion) implements Rule {
        @Override
        public RuleCard card() {
            return Rules.card(conclusion);
        }

        @Override
        public Verdict judge(Situation situation) {
            throw new IllegalStateException("broken on purpose");
        }
    }
}
