package app.layette.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.entry.Answers;
import app.layette.core.entry.Asked;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.TimeBox;
import app.layette.core.entry.Question;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.step.Ask;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What may be told together, and what may not. */
class OneLookTest {
    @Test
    void whatIsDrawnIsAnAnswerThatHolds() {
        for (Question question : Question.values()) {
            for (Asked.Shown shown : question.asked().looks()) {
                if (!shown.drawn().equals(Asked.Shown.AS_SHEET)) {
                    assertThat(Answers.weight(question, shown.drawn()).orElse(Weight.HOLDS))
                            .as("%s in %s", question, shown)
                            .isEqualTo(Weight.HOLDS);
                }
            }
        }
    }

    @Test
    void whatIsAskedByItselfIsDrawnInNoLook() {
        assertThat(Question.values().stream()
                        .filter(question -> question.asked().byItself())
                        .map(Question::name))
                .containsExactlyInAnyOrder(
                        "CONDITION",
                        "CRASH",
                        "RECALL",
                        "AIRBAG_LAMP",
                        "BACK_ROW",
                        "LOCK_PROOF",
                        "SNUG",
                        "SINCE",
                        "MOVEMENT",
                        "SIDES",
                        "RETRACTOR",
                        "LATCH_PLATE",
                        "OWN_CONDITIONS");
        assertThatThrownBy(() -> Asked.about(Question.SNUG, TimeBox.class)
                        .leftToRule(TimeBox.values())
                        .byItself()
                        .shownIn(LookKey.HARNESSED, 1, TimeBox.FULL)
                        .by(RuleCode.HAR_7))
                .hasMessageContaining("asked by itself");
    }

    @Test
    void eachAnswerIsWeighedOnce() {
        Asked.Builder<TimeBox> one = Asked.about(Question.CLIP, TimeBox.class).leftToRule(TimeBox.FULL);
        assertThatThrownBy(() -> one.by(RuleCode.HAR_8)).hasMessageContaining("CLIP does not say what the answer");
        assertThatThrownBy(() -> one.leftToRule(TimeBox.FULL)).hasMessageContaining("FULL twice");
    }

    @ParameterizedTest
    @ValueSource(strings = {"LEVEL", "ORDER", "WEIGHT", "PLACE", "LABEL", "END"})
    void norIsTheResultOfATestOrASignature(String kind) {
        List<String> row = List.of("FIXED", "10", kind, "", "*", "seen");
        assertThatThrownBy(() -> LookTable.read(List.of(row))).hasMessageContaining("asked by itself");
    }

    @Test
    void aRowThatCannotBeReadStopsTheProgram() {
        assertThatThrownBy(() -> LookTable.read(List.of(List.of("FIXED", "first", "ACT", "X", "DONE", "seen"))))
                .hasMessageContaining("(first)");
        assertThatThrownBy(() -> LookTable.read(List.of(List.of("FIXED", "10", "QUESTION", "CLIP", "ARMPIT", "seen"))))
                .hasMessageContaining("for its rule to say");
    }

    private static FittingBuilder unharnessed() {
        return FittingBuilder.ready()
                .without(Question.SUPPORT)
                .without(Question.CLOTHING)
                .without(Question.CLIP);
    }

    private static Optional<OneLook> harness(FittingBuilder fitting) {
        return OneLook.at(fitting.plan(), StepKey.HARNESS);
    }

    @Test
    void oneLookHoldsWhatIsSeenTogetherAndNoMoreThanSixMarks() {
        OneLook look = harness(unharnessed()).orElseThrow();
        assertThat(look.key()).isEqualTo(LookKey.HARNESSED);
        assertThat(look.marks()).extracting(mark -> mark.ask().key()).containsExactly("SUPPORT", "CLOTHING", "CLIP");
        FittingPlan nothing = FittingBuilder.ready()
                .without(fact ->
                        fact instanceof Fact.Answered || fact instanceof Fact.Taught || fact instanceof Fact.Acted)
                .plan();
        for (StepKey step : StepKey.values()) {
            OneLook.at(nothing, step)
                    .ifPresent(each -> assertThat(each.marks()).as("%s", step).hasSizeBetween(2, OneLook.MOST_MARKS));
        }
    }

    @Test
    void aSingleMarkIsAskedAsAQuestion() {
        assertThat(harness(FittingBuilder.ready().without(Question.CLIP))).isEmpty();
    }

    @Test
    void whatWasToldOtherwiseIsNotAmongTheRest() {
        FittingBuilder fitting = unharnessed().answer(Question.CLOTHING, "COAT_UNDER_STRAPS");
        OneLook look = harness(fitting).orElseThrow();
        assertThat(look.marks()).extracting(mark -> mark.ask().key()).containsExactly("SUPPORT", "CLIP");
        assertThat(OneLook.told(fitting.plan(), LookKey.HARNESSED, Set.of("QUESTION:CLOTHING=THIN")))
                .as("nor taken when it is sent")
                .isEmpty();
    }

    @Test
    void aMarkThatIsDrawnOtherwiseOrAskedNoMoreIsNotTaken() {
        FittingPlan plan = unharnessed().plan();
        assertThat(OneLook.told(plan, LookKey.HARNESSED, Set.of("QUESTION:CLIP=ARMPIT")))
                .isPresent();
        for (Set<String> tokens : List.of(
                Set.<String>of(),
                Set.of("QUESTION:CLIP=HIGHER"),
                Set.of("QUESTION:CLIP=ARMPIT", "QUESTION:SNUG=SNUG"),
                Set.of("QUESTION:GAP=FLAT_HAND"))) {
            assertThat(OneLook.told(plan, LookKey.HARNESSED, tokens))
                    .as("%s", tokens)
                    .isEmpty();
        }
    }

    @Test
    void afterTheLastItemOfTheTeachBackWhatItReopenedIsLookedAtTogether() {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.entries().stream()
                .map(each -> each.fact())
                .filter(Fact.Taught.class::isInstance)
                .toList()
                .forEach(fitting::add);
        OneLook look = OneLook.at(fitting.plan(), StepKey.HARNESS).orElseThrow();
        assertThat(look.key()).isEqualTo(LookKey.AGAIN);
        assertThat(look.marks())
                .extracting(mark -> mark.ask().kind())
                .contains(Ask.Kind.HANDLE, Ask.Kind.GAP, Ask.Kind.QUESTION)
                .doesNotContain(Ask.Kind.LEVEL, Ask.Kind.MOVEMENT);
    }
}
