package app.layette.core.fitting;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.coming.Coming;
import app.layette.core.coming.DueKind;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Ending;
import app.layette.core.entry.Question;
import app.layette.core.entry.UnitId;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.gate.ConclusionState;
import app.layette.core.ride.EarlierClearing;
import app.layette.core.rule.Conclusion;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
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
        return FittingBuilder.ready().add(new Fact.Ended(UnitId.FIRST, ending, "said", "offered", "told"));
    }

    private static Optional<DatedEvent> event(FittingBuilder fitting, DueKind kind) {
        return fitting.plan().dates().stream()
                .filter(each -> each.kind() == kind)
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
    void eachEndingHasItsFollowUps(Ending ending, DueKind kind, LocalDate day) {
        assertThat(event(ended(ending), kind).map(DatedEvent::on)).isEqualTo(Optional.ofNullable(day));
    }

    /** CND-4: not known to be sent is still to be sent. */
    @ParameterizedTest
    @CsvSource({"NOT_YET, true", "SENT, false", "NO_CARD, false"})
    void aCardThatWasSentDoesNotComeDue(String answer, boolean due) {
        FittingBuilder fitting = FittingBuilder.ready()
                .answer(Question.REGISTRATION, answer)
                .add(new Fact.Ended(UnitId.FIRST, Ending.HANDED_OVER, null, null, null));
        assertThat(event(fitting, DueKind.REGISTRATION_CARD).isPresent()).isEqualTo(due);
    }

    /** CND-3: a crash after the end is a call, and puts an end to everything else that would come due. */
    @Test
    void aCrashSinceIsTheOnlyThingThatIsDue() {
        FittingBuilder fitting = ended(Ending.HANDED_OVER).add(new Fact.CrashedSince(UnitId.FIRST, TODAY));
        assertThat(fitting.plan().dates()).containsExactly(DatedEvent.once(DueKind.CRASHED_SINCE, TODAY));
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
        DatedEvent inch =
                event(ended(Ending.HANDED_OVER), DueKind.MONTHLY_INCH_TEST).orElseThrow();
        LocalDate last = LocalDate.of(2027, 1, 31);
        assertThat(inch.after(List.of())).isEqualTo(inch.on());
        assertThat(inch.after(List.of(last.minusDays(40), last))).isEqualTo(LocalDate.of(2027, 2, 28));
        assertThat(inch.after(List.of(inch.on().minusYears(1))))
                .as("done long before it was due")
                .isEqualTo(inch.on());
        DatedEvent recall =
                event(ended(Ending.HANDED_OVER), DueKind.RECALL_AGAIN).orElseThrow();
        assertThat(recall.after(List.of(TODAY.plusDays(3)))).isEqualTo(TODAY.plusDays(33));
        DatedEvent expiry = event(ended(Ending.HANDED_OVER), DueKind.EXPIRY).orElseThrow();
        assertThat(expiry.after(List.of(TODAY))).isEqualTo(expiry.on());
    }

    /** What a point knows besides the record comes due too: nothing for what was never fitted, a sheet only afterwards. */
    @ParameterizedTest
    @CsvSource({
        "HANDED_OVER, SEAT_BACK LENT_SHEET RECALL_OPEN NEWER_SHEET",
        "LEFT_WITH_OPEN_FINDINGS, SEAT_BACK LENT_SHEET RECALL_OPEN NEWER_SHEET",
        "NOT_FITTED, ''",
        ", SEAT_BACK LENT_SHEET RECALL_OPEN"
    })
    void whatIsKnownElsewhereComesDue(Ending ending, String kinds) {
        FittingPlan plan = (ending == null ? FittingBuilder.ready() : ended(ending)).plan();
        Elsewhere elsewhere = new Elsewhere(
                Optional.of(TODAY.plusDays(1)),
                Optional.of(TODAY),
                Optional.of(TODAY.minusDays(1)),
                List.of(TODAY.minusDays(5), TODAY.minusDays(2)));
        List<DatedEvent> all = FollowUps.of(plan, elsewhere);
        Set<DueKind> more = all.stream()
                .filter(each -> !plan.dates().contains(each))
                .map(DatedEvent::kind)
                .collect(Collectors.toSet());
        assertThat(more)
                .isEqualTo(Arrays.stream(kinds.split(" "))
                        .filter(each -> !each.isEmpty())
                        .map(DueKind::valueOf)
                        .collect(Collectors.toSet()));
        assertThat(all)
                .filteredOn(each -> each.kind() == DueKind.NEWER_SHEET)
                .allSatisfy(each -> assertThat(each.on()).isEqualTo(TODAY.minusDays(2)));
        if (ending != Ending.NOT_FITTED) {
            assertThat(FollowUps.of(plan, Elsewhere.NOTHING)).isEqualTo(plan.dates());
        }
    }

    @Test
    void aFamilyIsNotToldOfWorkThatIsThePointsOwnAndUseEndsWithTheRestraint() {
        assertThat(DueKind.values())
                .filteredOn(each -> !each.isForTheFamily())
                .containsExactly(DueKind.RULES_DIFFER, DueKind.CORRECTION_WAITS);
        assertThat(DueKind.values())
                .filteredOn(DueKind::isEndOfUse)
                .containsExactly(
                        DueKind.EXPIRY,
                        DueKind.OUTGROWN_BY_WEIGHT,
                        DueKind.OUTGROWN_BY_LENGTH,
                        DueKind.OUTGROWN_BY_HEAD_ROOM);
        assertThat(Coming.What.values())
                .allSatisfy(what -> assertThat(DueKind.of(what).name()).isEqualTo(what.name()));
        assertThat(DueKind.values())
                .allSatisfy(each -> assertThat(DueKind.ofKey(each.key())).isEqualTo(each));
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
