package app.layette.web.fitting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.entry.Act;
import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.How;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.fitting.FittingState;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.formats.Examples;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.web.account.Points;
import app.layette.web.account.SignedIn;
import app.layette.web.roll.RollGood;
import app.layette.web.roll.RollGoods;
import app.layette.web.shelf.Shelf;
import app.layette.web.support.DatabaseTest;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.transaction.support.TransactionTemplate;

/** Entries against the real database: order, once only, and what is refused. */
class FittingsDatabaseTest extends DatabaseTest {
    private static final Author MARIT = new Author("marit", Author.Role.TECHNICIAN);
    private static final Author PIM = new Author("pim", Author.Role.TRAINEE);

    @Autowired
    private Fittings fittings;

    @Autowired
    private Shelf shelf;

    @Autowired
    private RollGoods goods;

    @Autowired
    private Replanning replanning;

    @Autowired
    private Erasing erasing;

    @Autowired
    private FittingRows rows;

    @Autowired
    private TransactionTemplate transactions;

    @Autowired
    private UserDetailsService users;

    @Autowired
    private Points points;

    @Autowired
    private JdbcTemplate jdbc;

    private UUID point;
    private UUID fitting;

    @BeforeEach
    void beginOne() {
        point = points.findAll().get(0).id();
        SheetVersion seat = new SheetVersion("wrenfold-thimble", 3);
        EntryDraft adopted = EntryDraft.now(
                How.MEASURED, 0, new Fact.SheetAdopted(seat.id(), seat.version(), Fact.Adoption.ADOPTED, null));
        fitting = fittings.begin(
                new Fittings.Begin("T-" + UUID.randomUUID().toString().substring(0, 8), "Ada", seat, List.of(adopted)),
                point,
                MARIT);
    }

    private static EntryDraft draft(Fact fact) {
        return EntryDraft.now(How.MEASURED, 1, fact);
    }

    private List<Integer> places() {
        return jdbc.queryForList("select seq from entry where fitting_id = ? order by seq", Integer.class, fitting);
    }

    @Test
    void sendingAnEntryTwiceKeepsItOnce() {
        EntryDraft weight = draft(new Fact.Weighed("r1", Mass.ofPoundsAndOunces(6, 8)));
        assertThat(fittings.append(fitting, weight, point, MARIT).seq()).isEqualTo(2);
        assertThat(fittings.append(fitting, weight, point, MARIT).seq()).isEqualTo(2);
        assertThat(places()).containsExactly(1, 2);
    }

    @Test
    void entriesOfManyAtOnceGetPlacesWithoutAGap() throws Exception {
        ExecutorService hands = Executors.newFixedThreadPool(8);
        List<Callable<Integer>> work = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            EntryDraft act = draft(new Fact.Acted("u1", Act.PRESSED_OR_ROCKED));
            work.add(() -> fittings.append(fitting, act, point, MARIT).seq());
        }
        List<Integer> given = new ArrayList<>();
        for (Future<Integer> each : hands.invokeAll(work)) {
            given.add(each.get());
        }
        hands.shutdown();
        assertThat(given).doesNotHaveDuplicates();
        assertThat(places()).hasSize(41).isSorted().endsWith(41);
    }

    /** What was read before the lock was waited for is read again: another may have added meanwhile. */
    @Test
    void anEntryAddedWhileALongTransactionWaitsIsNotOverwritten() throws Exception {
        ExecutorService other = Executors.newSingleThreadExecutor();
        transactions.executeWithoutResult(status -> {
            rows.find(fitting, point).orElseThrow();
            try {
                other.submit(() -> fittings.append(
                                fitting, draft(new Fact.Acted("u1", Act.PRESSED_OR_ROCKED)), point, MARIT))
                        .get();
            } catch (InterruptedException | ExecutionException e) {
                throw new IllegalStateException(e);
            }
            fittings.refresh(fitting);
            assertThat(fittings.append(fitting, draft(new Fact.Acted("u1", Act.CAR_MOVED)), point, MARIT)
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
        EntryDraft guess =
                EntryDraft.now(new How(How.Kind.ESTIMATED, ""), 1, new Fact.Weighed("r1", Mass.ofKilograms(3)));
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
                before);
        assertThat(correction.how().isEstimate()).isTrue();
        assertThat(fittings.correct(fitting, correction, "misheard", point, MARIT)
                        .after()
                        .plan()
                        .situation()
                        .weight())
                .as("an estimate is never the weight, corrected or not")
                .isEmpty();
        assertThatThrownBy(() -> fittings.correctionOf(Map.of("kind", "weighed", "of", "r1", "mass", "3.2 kg"), before))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class, e -> assertThat(e.reason()).isEqualTo("CORRECTS_NOTHING"));
    }

    @Test
    void whatIsRefusedLeavesNothingBehind() {
        assertThatThrownBy(() ->
                        fittings.append(fitting, draft(new Fact.Weighed("r1", Mass.ofKilograms(99))), point, MARIT))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class,
                        e -> assertThat(e.problems())
                                .extracting(problem -> problem.field())
                                .containsExactly("mass"));
        EntryDraft correction = new EntryDraft(
                UUID.randomUUID(), 1, null, How.MEASURED, UUID.randomUUID(), new Fact.Acted("u1", Act.CAR_MOVED));
        assertThatThrownBy(() -> fittings.append(fitting, correction, point, MARIT))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class, e -> assertThat(e.reason()).isEqualTo("NO_REASON"));
        assertThatThrownBy(() -> fittings.correct(fitting, correction, "mistaken", point, MARIT))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class, e -> assertThat(e.reason()).isEqualTo("CORRECTS_NOTHING"));
        assertThatThrownBy(() -> fittings.correct(fitting, correction, " ", point, MARIT))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class,
                        e -> assertThat(e.problems())
                                .extracting(FieldProblem::field)
                                .containsExactly("text"));
        assertThat(places()).containsExactly(1);
    }

    @Test
    void theGateStaysShutAndTraineesDoNotSign() {
        Fact handOver = new Fact.Ended("u1", Fact.Ending.HANDED_OVER, null, null, null);
        assertThatThrownBy(() -> fittings.append(fitting, draft(handOver), point, MARIT))
                .hasMessageContaining("GATE_SHUT");
        Fact left = new Fact.Ended("u1", Fact.Ending.LEFT_WITH_OPEN_FINDINGS, "said", "", "");
        assertThatThrownBy(() -> fittings.append(fitting, draft(left), point, PIM))
                .hasMessageContaining("TRAINEE_SIGNS");
        fittings.append(fitting, draft(left), point, MARIT);
        assertThat(fittings.planned(fitting, point).plan().state()).isEqualTo(FittingState.LEFT_WITH_OPEN_FINDINGS);
        assertThatThrownBy(() -> fittings.append(fitting, draft(new Fact.Acted("u1", Act.CAR_MOVED)), point, MARIT))
                .hasMessageContaining("CLOSED");
    }

    @Test
    void aFamilyThatComesBackBringsItsMeasuresWithTheirDay() {
        fittings.append(fitting, draft(new Fact.Weighed("r1", Mass.ofKilograms(3.2))), point, MARIT);
        String reference = fittings.planned(fitting, point).reference();
        SheetVersion seat = new SheetVersion("wrenfold-thimble", 3);
        assertThatThrownBy(() -> fittings.begin(new Fittings.Begin(reference, "Ada", seat, List.of()), point, MARIT))
                .hasMessageContaining("TAKEN");
        UUID again = fittings.begin(new Fittings.Begin(reference, "", seat, List.of(), true), point, MARIT);
        Fittings.Planned planned = fittings.planned(again, point);
        assertThat(planned.childName()).isEqualTo("Ada");
        assertThat(planned.plan().situation().weight()).hasValueSatisfying(weight -> {
            assertThat(weight.value()).isEqualTo(Mass.ofKilograms(3.2));
            assertThat(weight.how().kind()).isEqualTo(How.Kind.CARRIED_FROM);
            assertThat(weight.how().place()).startsWith("20");
        });
        fittings.append(again, draft(new Fact.Weighed("r1", Mass.ofKilograms(3.3))), point, MARIT);
        assertThat(fittings.planned(again, point)
                        .plan()
                        .situation()
                        .weight()
                        .orElseThrow()
                        .value())
                .isEqualTo(Mass.ofKilograms(3.3));
        assertThatThrownBy(() -> fittings.begin(new Fittings.Begin("nobody", "", seat, List.of(), true), point, MARIT))
                .hasMessageContaining("UNKNOWN_FAMILY");
    }

    @Test
    void aNewerSheetIsForALeadToAdoptOrDecline() {
        Author ilse = new Author("ilse", Author.Role.LEAD);
        String thimble = Examples.text("sheets/wrenfold-thimble.json");
        shelf.takeIn(point, thimble.replace("\"version\": 3", "\"version\": 9"), ilse);
        SheetVersion newer = new SheetVersion("wrenfold-thimble", 9);
        assertThat(pending()).containsExactly(newer);
        Fact adopted = new Fact.SheetAdopted(newer.id(), 9, Fact.Adoption.ADOPTED, null);
        assertThatThrownBy(() -> fittings.append(fitting, draft(adopted), point, MARIT))
                .hasMessageContaining("LEAD_ADOPTS");
        assertThatThrownBy(() -> fittings.append(
                        fitting, draft(new Fact.SheetAdopted(newer.id(), 9, Fact.Adoption.DECLINED, " ")), point, ilse))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class,
                        e -> assertThat(e.problems())
                                .extracting(FieldProblem::field)
                                .containsExactly("reason"));
        assertThat(pending()).containsExactly(newer);
        fittings.append(
                fitting,
                draft(new Fact.SheetAdopted(newer.id(), 9, Fact.Adoption.DECLINED, "belongs to the later model")),
                point,
                ilse);
        assertThat(pending()).isEmpty();
    }

    private Collection<SheetVersion> pending() {
        return List.copyOf(fittings.planned(fitting, point).plan().situation().pendingVersions());
    }

    /** Once a fitting is sealed a newer sheet blocks nothing any more, but somebody has to be told. */
    @Test
    void aNewerSheetAfterTheSealComesDue() {
        UUID sealed = jdbc.queryForObject(
                "select f.id from fitting f join family a on a.id = f.family_id where a.child_name = 'Ottilie'",
                UUID.class);
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
        fittings.append(fitting, draft(new Fact.Weighed("r1", Mass.ofKilograms(3.2))), point, MARIT);
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
        EntryDraft wrong = draft(new Fact.Weighed("r1", Mass.ofKilograms(4.1)));
        fittings.append(fitting, wrong, point, MARIT);
        EntryDraft withdrawal =
                new EntryDraft(UUID.randomUUID(), 2, null, How.MEASURED, wrong.id(), new Fact.Withdrawn("r1"));
        assertThat(fittings.correct(fitting, withdrawal, "another baby's", point, MARIT)
                        .after()
                        .plan()
                        .situation()
                        .weight())
                .isEmpty();
        assertThat(places()).containsExactly(1, 2, 3, 4);
        EntryDraft again =
                new EntryDraft(UUID.randomUUID(), 4, null, How.MEASURED, wrong.id(), new Fact.Withdrawn("r1"));
        assertThatThrownBy(() -> fittings.correct(fitting, again, "once more", point, MARIT))
                .hasMessageContaining("WITHDRAWN");
        assertThat(fittings.correct(fitting, withdrawal, "another baby's", point, MARIT)
                        .seq())
                .as("sent twice it is one")
                .isEqualTo(4);
        assertThat(places()).containsExactly(1, 2, 3, 4);
        EntryDraft nothing = draft(new Fact.Withdrawn("r1"));
        assertThatThrownBy(() -> fittings.append(fitting, nothing, point, MARIT))
                .hasMessageContaining("CORRECTS_NOTHING");
        UUID note = UUID.randomUUID();
        fittings.append(
                fitting,
                new EntryDraft(note, 4, null, How.MEASURED, null, new Fact.Noted("u1", null, "said")),
                point,
                MARIT);
        EntryDraft words = new EntryDraft(UUID.randomUUID(), 5, null, How.MEASURED, note, new Fact.Withdrawn("u1"));
        assertThatThrownBy(() -> fittings.correct(fitting, words, "unsaid", point, MARIT))
                .hasMessageContaining("NOT_WITHDRAWN");
    }

    /** A refused correction leaves nothing that a later reader could take for stored. */
    @Test
    void aRefusedCorrectionLeavesNoTraceInWhatIsReadLater() {
        EntryDraft weight = draft(new Fact.Weighed("r1", Mass.ofKilograms(3.2)));
        fittings.append(fitting, weight, point, MARIT);
        EntryDraft tooHeavy = new EntryDraft(
                UUID.randomUUID(), 2, null, How.MEASURED, weight.id(), new Fact.Weighed("r1", Mass.ofKilograms(99)));
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
        assertThat(fittings.knowsFamily(point, reference)).isTrue();
        jdbc.update(
                "insert into simulated_mail values (gen_random_uuid(), ?, now(), ?, 'About Ada', 'Ada')",
                point,
                reference);
        List<Integer> before = places();
        erasing.erase(fitting, "erased", point, new Author("ilse", Author.Role.LEAD));
        assertThat(fittings.knowsFamily(point, reference)).isFalse();
        assertThat(places()).hasSize(before.size() + 1);
        assertThat(jdbc.queryForObject(
                        "select count(*) from simulated_mail where subject = 'About Ada'", Integer.class))
                .isZero();
        assertThat(jdbc.queryForList("select document::text from entry where fitting_id = ?", String.class, fitting))
                .noneMatch(document -> document.contains(reference) || document.contains("Ada"));
    }

    @ParameterizedTest
    @CsvSource({"Ottil, 1", "1031, 1", "w-1031 ott, 1", "OTTILIE, 1", "100%, 0", "_, 0", "\\, 0"})
    void anyPartOfAReferenceOrNameIsFoundHoweverLongAgo(String part, int howMany) {
        jdbc.update("update fitting set touched_at = touched_at - interval '5 years' where family_id in"
                + " (select id from family where reference = 'W-1031')");
        SignedIn user = users.loadUserByUsername("marit") instanceof SignedIn signedIn ? signedIn : null;
        assertThat(fittings.find(user, part)).hasSize(howMany);
    }

    @Test
    void whatIsKeptForRollsStaysWithItsFittingPoint() {
        RollGood noodle = new RollGood.OfNoodle("Thin noodle", Length.ofMillimetres(50), Fact.Softness.SOFT);
        int before = goods.of(point).size();
        goods.keep(point, noodle);
        assertThat(goods.of(point))
                .hasSize(before + 1)
                .extracting(RollGoods.Kept::good)
                .contains(noodle);
        UUID kept = goods.of(point).stream()
                .filter(each -> each.good().equals(noodle))
                .findFirst()
                .orElseThrow()
                .id();
        goods.drop(UUID.randomUUID(), kept);
        assertThat(goods.of(point)).hasSize(before + 1);
        goods.drop(point, kept);
        assertThat(goods.of(point)).hasSize(before);
        assertThat(goods.of(UUID.randomUUID())).isEmpty();
    }

    @Test
    void anotherFittingPointSeesNothing() {
        assertThatThrownBy(() -> fittings.planned(fitting, UUID.randomUUID()))
                .isInstanceOf(NoSuchFittingException.class);
    }

    @Test
    void theDemoHasOneReadyAndOneHandedOverAmongTheOthers() {
        List<String> blocking = jdbc.queryForList(
                "select f.child_name || ' ' || case when g.blocking = 0 then 'ready' else 'blocked' end"
                        + " from fitting g join family f on f.id = g.family_id where f.reference like 'W-%' order by 1",
                String.class);
        assertThat(blocking)
                .hasSize(19)
                .contains("Tamsin ready", "Ottilie ready", "Caspian blocked")
                .filteredOn(each -> each.endsWith("ready"))
                .hasSize(2);
    }

    @Test
    void aSheetVersionIsNeverOverwrittenAndATechniciansIsADraft() {
        String thimble = Examples.text("sheets/wrenfold-thimble.json");
        Author ilse = new Author("ilse", Author.Role.LEAD);
        assertThat(shelf.takeIn(point, thimble, ilse)).hasToString("wrenfold-thimble 3");
        assertThatThrownBy(() -> shelf.takeIn(point, thimble.replace("\"30 lb\"", "\"35 lb\""), ilse))
                .isInstanceOf(RefusedDocumentException.class)
                .hasMessageContaining("higher");
        shelf.takeIn(point, thimble.replace("\"wrenfold-thimble\"", "\"walk-in-seat\""), MARIT);
        assertThat(shelf.seats(point))
                .filteredOn(sheet -> sheet.id().equals("walk-in-seat"))
                .singleElement()
                .satisfies(sheet -> assertThat(sheet.confirmed()).isFalse());
    }
}
