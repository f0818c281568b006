package app.layette.core.entry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.evidence.SheetVersion;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.gate.ConclusionState;
import app.layette.core.measure.Mass;
import app.layette.core.rule.Conclusion;
import app.layette.core.seat.HandlePosition;
import java.util.List;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ReplayTest {
    @Test
    void aMeasuredValueIsNotReplacedByHearsayAndIsByANewerMeasure() {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.add(How.TOLD, new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(4)));
        assertThat(fitting.plan().situation().weight().orElseThrow().value()).isEqualTo(Mass.ofKilograms(2.95));
        fitting.add(new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(3.1)));
        assertThat(fitting.plan().situation().weight().orElseThrow().value()).isEqualTo(Mass.ofKilograms(3.1));
    }

    @Test
    void anEstimateReplacesNothing() {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.add(new How(How.Kind.ESTIMATED, ""), new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(5)));
        assertThat(fitting.plan().situation().weight().orElseThrow().value()).isEqualTo(Mass.ofKilograms(2.95));
    }

    @Test
    void settingTheSameAgainIsALookAndNoChange() {
        FittingBuilder fitting = FittingBuilder.ready().add(new Fact.HandleSet(UnitId.FIRST, HandlePosition.UP));
        assertThat(fitting.plan().gate().isOpen()).isTrue();
        assertThat(fitting.add(new Fact.HandleSet(UnitId.FIRST, HandlePosition.TOWARDS_HEAD_END))
                        .plan()
                        .gate()
                        .isOpen())
                .isFalse();
    }

    @Test
    void aCorrectionOfNothingOrOfAnotherKindIsRefused() {
        FittingBuilder fitting = FittingBuilder.ready();
        Entry last = fitting.entries().get(fitting.entries().size() - 1);
        for (UUID corrected : List.of(UUID.randomUUID(), last.id())) {
            FittingBuilder spoiled = FittingBuilder.ready();
            spoiled.entries()
                    .add(new Entry(
                            UUID.randomUUID(),
                            spoiled.lastSeq() + 1,
                            0,
                            last.at(),
                            last.by(),
                            How.MEASURED,
                            corrected,
                            new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(3))));
            assertThatThrownBy(spoiled::plan).isInstanceOf(UnusableEntriesException.class);
        }
    }

    @Test
    void whatWasWithdrawnNeverWasSo() {
        FittingBuilder fitting = FittingBuilder.ready().acted(Act.CAR_MOVED);
        assertThat(fitting.plan().gate().isOpen()).isFalse();
        withdraw(fitting, fact -> fact instanceof Fact.Acted acted && acted.act() == Act.CAR_MOVED);
        assertThat(fitting.plan().gate().isOpen())
                .as("the car never moved, so the level read before still counts")
                .isTrue();
        withdraw(fitting, fact -> fact instanceof Fact.Answered clip && clip.question() == Question.CLIP);
        assertThat(fitting.state(Conclusion.named("CLIP")).state())
                .as("a look that never was passes nothing")
                .isEqualTo(ConclusionState.State.OPEN);
    }

    @ParameterizedTest
    @MethodSource("whatStays")
    void signaturesAndWordsCannotBeWithdrawn(Fact fact) {
        FittingBuilder fitting = FittingBuilder.ready().add(fact);
        withdraw(fitting, fact::equals);
        assertThatThrownBy(fitting::plan).isInstanceOf(UnusableEntriesException.class);
    }

    static Stream<Fact> whatStays() {
        return Stream.of(
                new Fact.Ended(UnitId.FIRST, Fact.Ending.HANDED_OVER, null, null, null),
                new Fact.Countersigned(UnitId.FIRST),
                new Fact.Noted(UnitId.FIRST, null, "said so"),
                new Fact.SheetAdopted(new SheetVersion("test-seat", 1), Fact.Adoption.ADOPTED, null),
                new Fact.BoxChosen(UnitId.FIRST, Fact.TimeBox.BEDSIDE));
    }

    @Test
    void whatWasWithdrawnCannotBeCorrectedOrWithdrawnAgain() {
        FittingBuilder fitting = FittingBuilder.ready().acted(Act.CAR_MOVED);
        Entry moved = fitting.entries().get(fitting.entries().size() - 1);
        withdraw(fitting, fact -> fact.equals(moved.fact()));
        withdraw(fitting, fact -> fact.equals(moved.fact()));
        assertThatThrownBy(fitting::plan)
                .isInstanceOf(UnusableEntriesException.class)
                .hasMessageContaining("withdrawn");
    }

    private static void withdraw(FittingBuilder fitting, Predicate<Fact> fits) {
        Entry entry = fitting.entries().stream()
                .filter(each -> fits.test(each.fact()))
                .reduce((first, second) -> second)
                .orElseThrow();
        int seq = fitting.lastSeq() + 1;
        fitting.entries()
                .add(new Entry(
                        UUID.randomUUID(),
                        seq,
                        seq - 1,
                        entry.at(),
                        FittingBuilder.TECHNICIAN,
                        entry.how(),
                        entry.id(),
                        new Fact.Withdrawn(UnitId.FIRST)));
    }

    @Test
    void twoEntriesInOnePlaceAreRefused() {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.entries().add(fitting.entries().get(3));
        assertThatThrownBy(fitting::plan)
                .isInstanceOf(UnusableEntriesException.class)
                .hasMessageContaining("place 4");
    }

    @Test
    void nobodyHasSeenTheFuture() {
        Entry entry = FittingBuilder.ready().entries().get(0);
        assertThatThrownBy(() ->
                        new Entry(UUID.randomUUID(), 5, 5, entry.at(), entry.by(), How.MEASURED, null, entry.fact()))
                .hasMessageContaining("allowed 0 to 4");
    }

    @Test
    void factsAreCheckedFieldByField() {
        Situation situation = FittingBuilder.ready().plan().situation();
        assertThat(FactCheck.problems(new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(45)), situation))
                .singleElement()
                .satisfies(problem -> {
                    assertThat(problem.field()).isEqualTo("mass");
                    assertThat(problem.value()).isEqualTo("45 kg");
                    assertThat(problem.highest()).startsWith("30 kg");
                });
        assertThat(FactCheck.problems(new Fact.SlotsSet(UnitId.FIRST, 1, 4, 0, 3, null), situation))
                .extracting(FieldProblem::field)
                .containsExactly("rightShell", "leftPad");
        assertThat(FactCheck.problems(
                        new Fact.ChildDescribed(
                                RiderId.FIRST, FittingBuilder.TODAY.plusDays(1), 100, null, Mass.ofKilograms(9)),
                        situation))
                .extracting(FieldProblem::field)
                .containsExactly("born", "gestationDays", "birthWeight");
        assertThat(FactCheck.problems(
                        new Fact.SheetAdopted(new SheetVersion("test-seat", 2), Fact.Adoption.DECLINED, " "),
                        situation))
                .extracting(FieldProblem::field)
                .containsExactly("reason");
        for (String initials : new String[] {null, " ", "a whole name"}) {
            assertThat(FactCheck.problems(new Fact.CaregiverSigned(UnitId.FIRST, initials), situation))
                    .extracting(FieldProblem::field)
                    .containsExactly("initials");
        }
        assertThat(FactCheck.problems(new Fact.CaregiverSigned(UnitId.FIRST, "O.B."), situation))
                .isEmpty();
        assertThat(FactCheck.problems(new Fact.Answered(UnitId.FIRST, Question.SNUG, "ROUGHLY"), situation))
                .extracting(FieldProblem::reason)
                .containsExactly("NOT_AMONG");
        assertThat(FactCheck.problems(
                        new Fact.Taught(UnitId.FIRST, TeachItem.CLIP, Fact.TeachOutcome.DECLINED, " "), situation))
                .extracting(FieldProblem::field)
                .containsExactly("reason");
    }
}
