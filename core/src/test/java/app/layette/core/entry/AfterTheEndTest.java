package app.layette.core.entry;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.coming.DueKind;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.gate.ConclusionState;
import app.layette.core.measure.Mass;
import app.layette.core.rule.Conclusion;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** OUT-3: a trainee enters, a technician signs; after the end too. */
class AfterTheEndTest {
    private static final Mass WAS = Mass.ofKilograms(2.95);
    private static final Mass CORRECTED = Mass.ofKilograms(3.3);

    private final FittingBuilder fitting =
            FittingBuilder.ready().add(new Fact.Ended(UnitId.FIRST, Fact.Ending.HANDED_OVER, null, null, null));

    private Entry correct(Author by, Entry corrected, Fact fact) {
        int seq = fitting.lastSeq() + 1;
        Entry entry =
                new Entry(UUID.randomUUID(), seq, seq - 1, corrected.at(), by, How.MEASURED, corrected.id(), fact);
        fitting.entries().add(entry);
        return entry;
    }

    private Entry weighed() {
        return fitting.entries().stream()
                .filter(entry -> entry.fact() instanceof Fact.Weighed)
                .findFirst()
                .orElseThrow();
    }

    private Mass weight() {
        return fitting.plan().situation().weight().orElseThrow().value();
    }

    private void sign(Author by, Entry correction, boolean taken) {
        fitting.add(
                How.MEASURED, by, fitting.lastSeq(), new Fact.CorrectionSigned(UnitId.FIRST, correction.id(), taken));
    }

    @ParameterizedTest
    @CsvSource({"TRAINEE, true", "TECHNICIAN, false", "LEAD, false"})
    void aTraineesCorrectionWaitsAndNobodyElses(Author.Role role, boolean waits) {
        Entry correction = correct(new Author("x", role), weighed(), new Fact.Weighed(RiderId.FIRST, CORRECTED));
        assertThat(weight()).isEqualTo(waits ? WAS : CORRECTED);
        assertThat(AfterTheEnd.in(fitting.entries()).waits(correction.id())).isEqualTo(waits);
        assertThat(fitting.plan().dates().stream().anyMatch(date -> date.kind() == DueKind.CORRECTION_WAITS))
                .as("it is due to sign for it")
                .isEqualTo(waits);
    }

    @ParameterizedTest
    @CsvSource({"TECHNICIAN, true, true", "LEAD, true, true", "TECHNICIAN, false, false", "TRAINEE, true, false"})
    void itCountsOnceATechnicianSignedForIt(Author.Role role, boolean taken, boolean counts) {
        Entry correction = correct(FittingBuilder.TRAINEE, weighed(), new Fact.Weighed(RiderId.FIRST, CORRECTED));
        sign(new Author("y", role), correction, taken);
        assertThat(weight()).isEqualTo(counts ? CORRECTED : WAS);
        AfterTheEnd after = AfterTheEnd.in(fitting.entries());
        assertThat(after.since(correction).seq())
                .as("a family is told the day of the signature")
                .isEqualTo(role == Author.Role.TRAINEE ? correction.seq() : fitting.lastSeq());
        assertThat(after.isDeclined(correction.id())).isEqualTo(!taken);
    }

    @Test
    void theFirstSignatureDecides() {
        Entry correction = correct(FittingBuilder.TRAINEE, weighed(), new Fact.Weighed(RiderId.FIRST, CORRECTED));
        sign(FittingBuilder.TECHNICIAN, correction, false);
        sign(FittingBuilder.LEAD, correction, true);
        assertThat(weight()).isEqualTo(WAS);
    }

    @Test
    void aWithdrawalWaitsToo() {
        Entry withdrawal = correct(FittingBuilder.TRAINEE, weighed(), new Fact.Withdrawn(RiderId.FIRST));
        assertThat(weight()).isEqualTo(WAS);
        sign(FittingBuilder.TECHNICIAN, withdrawal, true);
        assertThat(fitting.plan().situation().weight()).isEmpty();
    }

    @Test
    void whatWasCorrectedMeanwhileCanOnlyBeDeclined() {
        Entry first = correct(FittingBuilder.TRAINEE, weighed(), new Fact.Withdrawn(RiderId.FIRST));
        Entry second = correct(FittingBuilder.TRAINEE, weighed(), new Fact.Weighed(RiderId.FIRST, CORRECTED));
        assertThat(AfterTheEnd.in(fitting.entries()).isOvertaken(first.id())).isFalse();
        correct(FittingBuilder.TECHNICIAN, weighed(), new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(3.1)));
        AfterTheEnd after = AfterTheEnd.in(fitting.entries());
        assertThat(List.of(after.isOvertaken(first.id()), after.isOvertaken(second.id())))
                .containsOnly(true);
    }

    @Test
    void beforeTheEndItCountsAtOnceAndTheWholeWaitsForACountersign() {
        FittingBuilder open = FittingBuilder.ready();
        Entry weighed = open.entries().stream()
                .filter(entry -> entry.fact() instanceof Fact.Weighed)
                .findFirst()
                .orElseThrow();
        int seq = open.lastSeq() + 1;
        open.entries()
                .add(new Entry(
                        UUID.randomUUID(),
                        seq,
                        seq - 1,
                        weighed.at(),
                        FittingBuilder.TRAINEE,
                        How.MEASURED,
                        weighed.id(),
                        new Fact.Weighed(RiderId.FIRST, CORRECTED)));
        assertThat(open.plan().situation().weight().orElseThrow().value()).isEqualTo(CORRECTED);
        assertThat(open.state(Conclusion.SIGNED_FOR).state()).isEqualTo(ConclusionState.State.OPEN);
    }
}
