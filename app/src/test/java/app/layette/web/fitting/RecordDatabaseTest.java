package app.layette.web.fitting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.entry.Act;
import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.fitting.FittingState;
import app.layette.core.measure.Mass;
import app.layette.formats.Examples;
import app.layette.web.account.Points;
import app.layette.web.shelf.Shelf;
import app.layette.web.support.DatabaseTest;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

/** The record over the real database: corrections, withdrawals, erasing, and planning again. */
class RecordDatabaseTest extends DatabaseTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 28);

    private static final Author MARIT = new Author("marit", Author.Role.TECHNICIAN);

    @Autowired
    private Fittings fittings;

    @Autowired
    private Beginnings beginnings;

    @Autowired
    private Shelf shelf;

    @Autowired
    private Replanning replanning;

    @Autowired
    private Erasing erasing;

    @Autowired
    private FittingRows rows;

    @Autowired
    private TransactionTemplate transactions;

    @Autowired
    private Points points;

    @Autowired
    private JdbcTemplate jdbc;

    private UUID point;
    private UUID fitting;

    @BeforeEach
    void beginOne() {
        point = points.findAllByOrderByOpenedAt().get(0).id();
        SheetVersion seat = new SheetVersion("wrenfold-thimble", 3);
        EntryDraft adopted = EntryDraft.now(How.MEASURED, 0, new Fact.SheetAdopted(seat, Fact.Adoption.ADOPTED, null));
        fitting = beginnings.begin(
                new Beginnings.Begin(
                        "T-" + UUID.randomUUID().toString().substring(0, 8), "Ada", seat, List.of(adopted)),
                point,
                MARIT);
    }

    private static EntryDraft draft(Fact fact) {
        return EntryDraft.now(How.MEASURED, 1, fact);
    }

    private List<Integer> places() {
        return jdbc.queryForList("select seq from entry where fitting_id = ? order by seq", Integer.class, fitting);
    }

    /** What was read before the lock was waited for is read again: another may have added meanwhile. */
    @Test
    void anEntryAddedWhileALongTransactionWaitsIsNotOverwritten() throws Exception {
        ExecutorService other = Executors.newSingleThreadExecutor();
        transactions.executeWithoutResult(status -> {
            rows.find(fitting, point).orElseThrow();
            try {
                other.submit(() -> fittings.append(
                                fitting, draft(new Fact.Acted(UnitId.FIRST, Act.PRESSED_OR_ROCKED)), point, MARIT))
                        .get();
            } catch (InterruptedException | ExecutionException e) {
                throw new IllegalStateException(e);
            }
            fittings.refresh(point, fitting);
            assertThat(fittings.append(fitting, draft(new Fact.Acted(UnitId.FIRST, Act.CAR_MOVED)), point, MARIT)
                            .seq())
                    .isEqualTo(3);
        });
        other.shutdown();
        assertThat(places()).containsExactly(1, 2, 3);
        assertThat(jdbc.queryForObject("select last_seq from fitting where id = ?", Integer.class, fitting))
                .isEqualTo(3);
    }

    /** A guess that is corrected is still a guess, however exact it is typed. */
    @Test
    void aCorrectionIsKnownNoBetterThanWhatItCorrects() {
        EntryDraft guess = EntryDraft.now(
                new How(How.Kind.ESTIMATED, ""), 1, new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(3)));
        List<Entry> before = fittings.append(fitting, guess, point, MARIT)
                .after()
                .plan()
                .situation()
                .everything();
        EntryDraft correction = fittings.correctionOf(
                Map.of(
                        "kind",
                        "weighed",
                        "of",
                        "r1",
                        "mass",
                        "3.2 kg",
                        "corrects",
                        guess.id().toString()),
                before,
                TODAY);
        assertThat(correction.how().isEstimate()).isTrue();
        assertThat(fittings.correct(fitting, correction, "misheard", point, MARIT)
                        .after()
                        .plan()
                        .situation()
                        .weight())
                .as("an estimate is never the weight, corrected or not")
                .isEmpty();
        assertThatThrownBy(() ->
                        fittings.correctionOf(Map.of("kind", "weighed", "of", "r1", "mass", "3.2 kg"), before, TODAY))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class, e -> assertThat(e.reason()).isEqualTo("CORRECTS_NOTHING"));
    }

    /** Once a fitting is sealed a newer sheet blocks nothing any more, but somebody has to be told. */
    @Test
    void aNewerSheetAfterTheSealComesDue() {
        UUID sealed = jdbc.queryForObject(
                "select f.id from fitting f join family a on a.id = f.family_id where a.child_name = 'Ottilie'",
                UUID.class);
        replanning.planAgain();
        assertThat(due(sealed)).doesNotContain("date.NEWER_SHEET");
        String car = Examples.text("sheets/corvane-estate.json");
        shelf.takeIn(point, car.replace("\"version\": 2", "\"version\": 8"), new Author("ilse", Author.Role.LEAD));
        replanning.planAgain();
        assertThat(due(sealed)).contains("date.NEWER_SHEET");
        assertThat(fittings.planned(sealed, point).plan().state()).isEqualTo(FittingState.HANDED_OVER);
    }

    private List<String> due(UUID id) {
        return jdbc.queryForList("select what from due_item where fitting_id = ?", String.class, id);
    }

    /** What an older version of the program had stored, and what the day alone changes, is planned again. */
    @Test
    void whatNobodyTouchedIsPlannedAgainAndStaysUntouched() {
        fittings.append(fitting, draft(new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(3.2))), point, MARIT);
        Object touched = jdbc.queryForObject("select touched_at from fitting where id = ?", Object.class, fitting);
        jdbc.update("update fitting set blocking = 0, next_change_on = current_date - 3 where id = ?", fitting);
        replanning.planAgain();
        assertThat(jdbc.queryForMap(
                        "select blocking > 0 as blocks, touched_at, next_change_on > current_date - 2 or next_change_on is"
                                + " null as moved from fitting where id = ?",
                        fitting))
                .containsEntry("blocks", true)
                .containsEntry("touched_at", touched)
                .containsEntry("moved", true);
        assertThat(jdbc.queryForObject("select count(*) from fitting_stale", Integer.class))
                .isZero();
    }

    @Test
    void whatIsWithdrawnStaysInTheRecordAndCountsNoLonger() {
        EntryDraft wrong = draft(new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(4.1)));
        fittings.append(fitting, wrong, point, MARIT);
        EntryDraft withdrawal =
                new EntryDraft(UUID.randomUUID(), 2, null, How.MEASURED, wrong.id(), new Fact.Withdrawn(RiderId.FIRST));
        assertThat(fittings.correct(fitting, withdrawal, "another baby's", point, MARIT)
                        .after()
                        .plan()
                        .situation()
                        .weight())
                .isEmpty();
        assertThat(places()).containsExactly(1, 2, 3, 4);
        EntryDraft again =
                new EntryDraft(UUID.randomUUID(), 4, null, How.MEASURED, wrong.id(), new Fact.Withdrawn(RiderId.FIRST));
        assertThatThrownBy(() -> fittings.correct(fitting, again, "once more", point, MARIT))
                .hasMessageContaining("WITHDRAWN");
        assertThat(fittings.correct(fitting, withdrawal, "another baby's", point, MARIT)
                        .seq())
                .as("sent twice it is one")
                .isEqualTo(4);
        assertThat(places()).containsExactly(1, 2, 3, 4);
        EntryDraft nothing = draft(new Fact.Withdrawn(RiderId.FIRST));
        assertThatThrownBy(() -> fittings.append(fitting, nothing, point, MARIT))
                .hasMessageContaining("CORRECTS_NOTHING");
        UUID note = UUID.randomUUID();
        fittings.append(
                fitting,
                new EntryDraft(note, 4, null, How.MEASURED, null, new Fact.Noted(UnitId.FIRST, null, "said")),
                point,
                MARIT);
        EntryDraft words =
                new EntryDraft(UUID.randomUUID(), 5, null, How.MEASURED, note, new Fact.Withdrawn(UnitId.FIRST));
        assertThatThrownBy(() -> fittings.correct(fitting, words, "unsaid", point, MARIT))
                .hasMessageContaining("NOT_WITHDRAWN");
    }

    /** A refused correction leaves nothing that a later reader could take for stored. */
    @Test
    void aRefusedCorrectionLeavesNoTraceInWhatIsReadLater() {
        EntryDraft weight = draft(new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(3.2)));
        fittings.append(fitting, weight, point, MARIT);
        EntryDraft tooHeavy = new EntryDraft(
                UUID.randomUUID(),
                2,
                null,
                How.MEASURED,
                weight.id(),
                new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(99)));
        assertThatThrownBy(() -> fittings.correct(fitting, tooHeavy, "misread", point, MARIT))
                .isInstanceOf(RefusedEntryException.class);
        jdbc.update("update fitting set last_seq = 3 where id = ?", fitting);
        jdbc.update(
                "insert into entry (fitting_id, seq, id, at, document) select fitting_id, 3, gen_random_uuid(), at,"
                        + " jsonb_set(jsonb_set(document, '{seq}', '3'), '{id}', to_jsonb(gen_random_uuid()::text))"
                        + " from entry where fitting_id = ? and seq = 2",
                fitting);
        assertThat(fittings.planned(fitting, point).plan().situation().everything())
                .as("another process wrote the third entry meanwhile")
                .last()
                .satisfies(entry -> assertThat(entry.fact()).isInstanceOf(Fact.Weighed.class));
    }

    @Test
    void onlyALeadErasesAndNothingIsLeftThatTellsWhoItWas() {
        String reference = fittings.planned(fitting, point).reference();
        assertThatThrownBy(() -> erasing.erase(fitting, "erased", point, MARIT)).hasMessageContaining("LEAD_ERASES");
        assertThat(beginnings.knowsFamily(point, reference)).isTrue();
        jdbc.update(
                "insert into simulated_mail values (gen_random_uuid(), ?, now(), ?, 'About Ada', 'Ada')",
                point,
                reference);
        List<Integer> before = places();
        erasing.erase(fitting, "erased", point, new Author("ilse", Author.Role.LEAD));
        assertThat(beginnings.knowsFamily(point, reference)).isFalse();
        assertThat(places()).hasSize(before.size() + 1);
        assertThat(jdbc.queryForObject(
                        "select count(*) from simulated_mail where subject = 'About Ada'", Integer.class))
                .isZero();
        assertThat(jdbc.queryForList("select document::text from entry where fitting_id = ?", String.class, fitting))
                .noneMatch(document -> document.contains(reference) || document.contains("Ada"));
    }
}
