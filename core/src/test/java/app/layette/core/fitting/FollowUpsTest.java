package app.layette.core.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Ending;
import app.layette.core.entry.Question;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.gate.ConclusionState;
import app.layette.core.ride.EarlierClearing;
import app.layette.core.rule.Conclusion;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What comes due after a fitting. */
class FollowUpsTest {
    private static final LocalDate TODAY = FittingBuilder.TODAY;

    private static FittingBuilder ended(Ending ending) {
        return FittingBuilder.ready().add(new Fact.Ended("u1", ending, "said", "offered", "told"));
    }

    private static Optional<DatedEvent> event(FittingBuilder fitting, String key) {
        return fitting.plan().dates().stream()
                .filter(each -> each.key().equals("date." + key))
                .findFirst();
    }

    @ParameterizedTest
    @CsvSource({
        "HANDED_OVER, MONTHLY_INCH_TEST, 2026-04-10",
        "HANDED_OVER, REGISTRATION_CARD, 2026-03-24",
        "HANDED_OVER, RECALL_AGAIN, 2026-04-09",
        "LEFT_WITH_OPEN_FINDINGS, LEFT_OPEN, 2026-03-17",
        "LEFT_WITH_OPEN_FINDINGS, MONTHLY_INCH_TEST,",
        "LEFT_WITH_OPEN_FINDINGS, REGISTRATION_CARD,",
        "NOT_FITTED, MONTHLY_INCH_TEST,",
        "NOT_FITTED, LEFT_OPEN,"
    })
    void eachEndingHasItsFollowUps(Ending ending, String key, LocalDate day) {
        assertThat(event(ended(ending), key).map(DatedEvent::on)).isEqualTo(Optional.ofNullable(day));
    }

    /** CND-4: not known to be sent is still to be sent. */
    @ParameterizedTest
    @CsvSource({"NOT_YET, true", "SENT, false", "NO_CARD, false"})
    void aCardThatWasSentDoesNotComeDue(String answer, boolean due) {
        FittingBuilder fitting = FittingBuilder.ready()
                .answer(Question.REGISTRATION, answer)
                .add(new Fact.Ended("u1", Ending.HANDED_OVER, null, null, null));
        assertThat(event(fitting, "REGISTRATION_CARD").isPresent()).isEqualTo(due);
    }

    /** CND-3: a crash after the end is a call, and puts an end to everything else that would come due. */
    @Test
    void aCrashSinceIsTheOnlyThingThatIsDue() {
        FittingBuilder fitting = ended(Ending.HANDED_OVER).add(new Fact.CrashedSince("u1", TODAY));
        assertThat(fitting.plan().dates()).containsExactly(DatedEvent.once("date.CRASHED_SINCE", TODAY));
        assertThat(fitting.plan().state()).isEqualTo(FittingState.HANDED_OVER);
        assertThat(EarlierClearing.in(fitting.plan()).orElseThrow().failed())
                .extracting(ConclusionState::conclusion)
                .contains(Conclusion.CRASH);
        assertThat(EarlierClearing.in(ended(Ending.HANDED_OVER).plan())
                        .orElseThrow()
                        .failed())
                .isEmpty();
    }

    @Test
    void whatComesAgainCountsFromTheDayOnWhichItWasDone() {
        DatedEvent inch = event(ended(Ending.HANDED_OVER), "MONTHLY_INCH_TEST").orElseThrow();
        assertThat(inch.after(LocalDate.of(2027, 1, 31))).contains(LocalDate.of(2027, 2, 28));
        DatedEvent recall = event(ended(Ending.HANDED_OVER), "RECALL_AGAIN").orElseThrow();
        assertThat(recall.after(TODAY)).contains(TODAY.plusDays(30));
        assertThat(event(ended(Ending.HANDED_OVER), "EXPIRY").orElseThrow().after(TODAY))
                .isEmpty();
    }

    @Test
    void everyDateIsInOrderNamedOnceAndInsideItsOwnRange() {
        FittingPlan plan = ended(Ending.HANDED_OVER).plan();
        assertThat(plan.dates()).isSortedAccordingTo(Comparator.comparing(DatedEvent::on));
        Set<String> keys = plan.dates().stream().map(DatedEvent::key).collect(Collectors.toSet());
        assertThat(keys).hasSameSizeAs(plan.dates());
        assertThat(plan.dates()).allSatisfy(each -> {
            each.earliest().ifPresent(day -> assertThat(day).isBeforeOrEqualTo(each.on()));
            each.latest().ifPresent(day -> assertThat(day).isAfterOrEqualTo(each.on()));
        });
    }
}
