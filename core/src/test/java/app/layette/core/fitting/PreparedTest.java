package app.layette.core.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.coming.Preparation;
import app.layette.core.drawing.side.SideView;
import app.layette.core.entry.Act;
import app.layette.core.entry.Author;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.UnitId;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.gate.ConclusionState;
import app.layette.core.gate.Required;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Mass;
import app.layette.core.rule.Conclusion;
import app.layette.core.run.Step;
import app.layette.core.seat.Indicator;
import app.layette.core.step.StepKey;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Before the birth (contract, section 4): what stays in the car is in and tested; nobody is handed anything over. */
class PreparedTest {
    private static final LocalDate DUE = FittingBuilder.TODAY.plusDays(30);

    private static FittingBuilder expecting(Method method) {
        FittingBuilder fitting = FittingBuilder.ready(method).without(Fact.ChildDescribed.class::isInstance);
        fitting.add(How.TOLD, new Fact.Expected(RiderId.FIRST, DUE));
        fitting.add(new Fact.LevelRead(UnitId.FIRST, Fact.Stage.TIGHT, Indicator.Reading.INSIDE));
        return fitting;
    }

    private static FittingBuilder prepared() {
        return expecting(Method.BASE_FLEXIBLE_ANCHORS).add(new Fact.Prepared(UnitId.FIRST));
    }

    @ParameterizedTest
    @EnumSource(Method.class)
    void onlyWhatStaysInTheCarIsPrepared(Method method) {
        FittingPlan plan = expecting(method).plan();
        assertThat(plan.mayHandOver()).isFalse();
        assertThat(plan.mayBePrepared()).as(plan.gate().blocking().toString()).isEqualTo(method.staysInTheCar());
        assertThat(expecting(method).add(new Fact.Prepared(UnitId.FIRST)).plan().state())
                .isEqualTo(method.staysInTheCar() ? FittingState.PREPARED : FittingState.OPEN);
    }

    /** Whatever is asked before the birth keeps it shut, and nothing else does. */
    @Test
    void theChildsChecksWaitAndTheOthersDoNot() {
        FittingPlan plan = expecting(Method.BASE_FLEXIBLE_ANCHORS).plan();
        List<Conclusion> asked = plan.gate().conclusions().stream()
                .map(ConclusionState::conclusion)
                .toList();
        assertThat(asked)
                .contains(
                        Conclusion.named("INCH_TEST"),
                        Conclusion.LEVEL_TIGHT,
                        Conclusion.named("RECALL"),
                        Conclusion.AIRBAG)
                .doesNotContain(
                        Conclusion.WEIGHT, Conclusion.named("SNUG_TEST"), Conclusion.LEVEL, Conclusion.TEACH_BACK)
                .containsExactlyElementsOf(Required.beforeBirth(Method.BASE_FLEXIBLE_ANCHORS));
        assertThat(plan.run().steps())
                .extracting(Step::key)
                .contains(StepKey.CHILD, StepKey.INCH, StepKey.HAND_OVER)
                .doesNotContain(StepKey.SHOULDER, StepKey.HARNESS, StepKey.LEVEL_CHILD, StepKey.TEACH);
        assertThat(expecting(Method.BASE_FLEXIBLE_ANCHORS)
                        .answer(Question.MOVEMENT, "AN_INCH_OR_MORE")
                        .plan()
                        .mayBePrepared())
                .isFalse();
        assertThat(FittingBuilder.ready()
                        .without(Fact.ChildDescribed.class::isInstance)
                        .add(How.TOLD, new Fact.Expected(RiderId.FIRST, DUE))
                        .plan()
                        .mayBePrepared())
                .as("nobody looked at the level without a child")
                .isFalse();
    }

    /** REC-1 and REC-3 before the birth: by the seat's own indicator, as it passes, on level ground. */
    @ParameterizedTest
    @CsvSource({
        "INSIDE, LEVEL, true, PASSED",
        "OUTSIDE_UPRIGHT, LEVEL, true, FAILED",
        "OUTSIDE_RECLINED, LEVEL, true, FAILED",
        "INSIDE, LEAN, true, FAILED",
        "INSIDE, LEVEL, false, NOT_KNOWN"
    })
    void theLevelWithoutAChild(
            Indicator.Reading reading, String ground, boolean indicatorKnown, ConclusionState.State state) {
        FittingBuilder fitting = expecting(Method.BASE_FLEXIBLE_ANCHORS);
        if (!indicatorKnown) {
            fitting.seat.indicator = null;
        }
        if (ground.equals("LEAN")) {
            fitting.add(new Fact.LeanMeasured(UnitId.FIRST, Angle.ofDegrees(6)));
        }
        fitting.add(new Fact.LevelRead(UnitId.FIRST, Fact.Stage.TIGHT, reading));
        FittingPlan plan = fitting.plan();
        assertThat(plan.gate().state(Conclusion.LEVEL_TIGHT).orElseThrow().state())
                .isEqualTo(state);
        assertThat(plan.mayBePrepared()).isEqualTo(state == ConclusionState.State.PASSED);
    }

    @Test
    void whatIsTouchedAfterwardsOpensItAgain() {
        assertThat(prepared().plan().state()).isEqualTo(FittingState.PREPARED);
        assertThat(prepared().acted(Act.TIGHTENED).plan().state()).isEqualTo(FittingState.OPEN);
    }

    @Test
    void timeAloneDoesNotUndoASignature() {
        FittingBuilder fitting = prepared();
        fitting.today = DUE.minusDays(1);
        assertThat(fitting.plan().state()).isEqualTo(FittingState.PREPARED);
    }

    @Test
    void aTraineesSignatureIsNone() {
        FittingBuilder fitting = expecting(Method.BASE_FLEXIBLE_ANCHORS);
        fitting.add(
                How.MEASURED,
                new Author("pim", Author.Role.TRAINEE),
                fitting.lastSeq(),
                new Fact.Prepared(UnitId.FIRST));
        assertThat(fitting.plan().state()).isEqualTo(FittingState.OPEN);
    }

    @Test
    void nobodyIsDrawnInASeatBeforeTheBirth() {
        assertThat(skin(prepared().plan())).isZero();
        assertThat(skin(prepared()
                        .add(new Fact.ChildDescribed(
                                RiderId.FIRST, FittingBuilder.TODAY, 266, null, Mass.ofGrams(2900)))
                        .plan()))
                .isPositive();
    }

    private static long skin(FittingPlan plan) {
        return SideView.of(plan.situation()).shapes().stream()
                .filter(shape -> shape.toString().contains("SKIN"))
                .count();
    }

    /** With the birth the same record goes on: everything that needs a child is asked, and the level is looked at anew. */
    @Test
    void theBirthGoesOnInTheSameRecord() {
        FittingPlan plan = prepared()
                .without(Fact.Weighed.class::isInstance)
                .add(new Fact.ChildDescribed(RiderId.FIRST, FittingBuilder.TODAY, 266, null, Mass.ofGrams(2900)))
                .plan();
        assertThat(plan.state()).isEqualTo(FittingState.OPEN);
        assertThat(plan.mayBePrepared()).isFalse();
        assertThat(plan.mayHandOver()).isFalse();
        assertThat(plan.gate().blocking())
                .extracting(ConclusionState::conclusion)
                .contains(Conclusion.WEIGHT, Conclusion.LEVEL)
                .doesNotContain(Conclusion.named("INCH_TEST"), Conclusion.named("PARTS"));
        assertThat(plan.run().steps()).extracting(Step::key).contains(StepKey.HARNESS, StepKey.LEVEL_CHILD);
    }

    @ParameterizedTest
    @CsvSource({
        "2027-02-01, false, , 2026-12-14, 2026-12-28",
        "2027-02-01, true, , 2026-12-01, 2026-12-07",
        "2027-02-01, false, 2026-12-10, 2026-12-01, 2026-12-10",
        "2027-02-01, false, 2027-01-20, 2026-12-14, 2026-12-28",
        "2026-12-20, false, , 2026-12-01, 2026-12-01"
    })
    void aDueDateProposesItsDays(LocalDate due, boolean several, LocalDate sooner, LocalDate from, LocalDate by) {
        Preparation proposed = Preparation.of(due, several, Optional.ofNullable(sooner), LocalDate.of(2026, 12, 1));
        assertThat(proposed).isEqualTo(new Preparation(from, by));
        assertThat(Preparation.weeksNow(LocalDate.of(2027, 2, 1), LocalDate.of(2026, 12, 28)))
                .isEqualTo(35);
    }
}
