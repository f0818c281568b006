package app.layette.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.entry.Answers;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Question;
import app.layette.core.finding.Weight;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.run.Ask;
import app.layette.core.run.StepKey;
import app.layette.core.table.CsvTable;
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
        for (List<String> row : CsvTable.read("looks.csv", 5)) {
            boolean question = row.get(1).equals("QUESTION") && !row.get(3).equals("*");
            if (question) {
                Question asked = Question.valueOf(row.get(2));
                assertThat(Answers.to(asked)).as("%s", row).contains(row.get(3));
                assertThat(Answers.weight(asked, row.get(3)).orElse(Weight.HOLDS))
                        .as("%s", row)
                        .isEqualTo(Weight.HOLDS);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"CRASH", "RECALL", "AIRBAG_LAMP", "LOCK_PROOF", "SNUG", "MOVEMENT", "SINCE", "SIDES"})
    void whatIsAskedByItselfIsDrawnInNoLook(String question) {
        List<String> row = List.of("FIXED", "QUESTION", question, "X", "seen");
        assertThatThrownBy(() -> LookTable.read(List.of(row))).hasMessageContaining("asked by itself");
    }

    @ParameterizedTest
    @ValueSource(strings = {"LEVEL", "ORDER", "WEIGHT", "PLACE", "LABEL", "END"})
    void norIsTheResultOfATestOrASignature(String kind) {
        List<String> row = List.of("FIXED", kind, "", "*", "seen");
        assertThatThrownBy(() -> LookTable.read(List.of(row))).hasMessageContaining("asked by itself");
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
