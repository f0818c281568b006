package app.layette.web.fitting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.entry.Act;
import app.layette.core.entry.Author;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.How;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.SheetId;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingState;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.formats.Examples;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.web.account.Point;
import app.layette.web.account.Points;
import app.layette.web.account.SignedIn;
import app.layette.web.roll.RollGood;
import app.layette.web.roll.RollGoods;
import app.layette.web.shelf.Shelf;
import app.layette.web.support.DatabaseTest;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
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
import org.springframework.test.context.event.ApplicationEvents;
import org.springframework.test.context.event.RecordApplicationEvents;

/** Entries against the real database: order, once only, and what is refused. */
@RecordApplicationEvents
class FittingsDatabaseTest extends DatabaseTest {
    private static final Author MARIT = new Author("marit", Author.Role.TECHNICIAN);
    private static final Author PIM = new Author("pim", Author.Role.TRAINEE);

    @Autowired
    private Fittings fittings;

    @Autowired
    private FittingLists lists;

    @Autowired
    private Joinings joinings;

    @Autowired
    private Beginnings beginnings;

    @Autowired
    private Shelf shelf;

    @Autowired
    private RollGoods goods;

    @Autowired
    private Replanning replanning;

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

    @Test
    void beginningTwiceIsOnceAndAnotherPointsFittingIsNeverWrittenOver() {
        SheetVersion seat = new SheetVersion("wrenfold-thimble", 3);
        UUID id = UUID.randomUUID();
        String reference = "D-" + id;
        Beginnings.Begin once = new Beginnings.Begin(id, reference, "Dora", seat, List.of(), false);
        assertThat(beginnings.begin(once, point, MARIT)).isEqualTo(id);
        assertThat(beginnings.begin(once, point, MARIT)).isEqualTo(id);
        UUID other = points.save(
                        new Point(UUID.randomUUID(), "Elsewhere", ZoneId.of("UTC"), "US", "north-american-clinic"))
                .id();
        Beginnings.Begin stolen = new Beginnings.Begin(id, "E-" + id, "Eve", seat, List.of(), false);
        assertThatThrownBy(() -> beginnings.begin(stolen, other, MARIT)).hasMessageContaining("ID_TAKEN");
        assertThat(fittings.planned(id, point).childName()).isEqualTo("Dora");
        points.deleteById(other);
    }

    /** A form that is sent again while it is still being taken, and two families that are given one reference. */
    @Test
    void whatIsBegunTwiceAtOnceIsBegunOnceAndNothingElseIsSaid() throws Exception {
        SheetVersion seat = new SheetVersion("wrenfold-thimble", 3);
        for (int round = 0; round < 10; round++) {
            UUID id = UUID.randomUUID();
            Beginnings.Begin same = new Beginnings.Begin(id, "F-" + id, "Dora", seat, List.of(), false);
            assertThat(atOnce(Collections.nCopies(6, () -> beginnings.begin(same, point, MARIT))))
                    .as("one form")
                    .containsOnly(id.toString());
            List<Callable<UUID>> several = new ArrayList<>();
            for (int i = 0; i < 6; i++) {
                Beginnings.Begin own =
                        new Beginnings.Begin(UUID.randomUUID(), "G-" + id, "Eve", seat, List.of(), false);
                several.add(() -> beginnings.begin(own, point, MARIT));
            }
            assertThat(atOnce(several))
                    .as("one reference")
                    .filteredOn(each -> each.contains("TAKEN"))
                    .hasSize(5);
        }
    }

    /** One id, sent for two fittings from two devices: one of them gets the child, and nobody an error. */
    @Test
    void whatIsJoinedWithOneIdIsJoinedOnce() throws Exception {
        SheetVersion seat = new SheetVersion("wrenfold-thimble", 3);
        for (int round = 0; round < 5; round++) {
            UUID here = beginnings.begin(
                    new Beginnings.Begin("H-" + UUID.randomUUID(), "Ada", seat, List.of()), point, MARIT);
            UUID there = beginnings.begin(
                    new Beginnings.Begin("I-" + UUID.randomUUID(), "Eve", seat, List.of()), point, MARIT);
            UUID id = UUID.randomUUID();
            Joinings.Join join = new Joinings.Join(id, "Bela", seat, true);
            List<Callable<UUID>> both = new ArrayList<>();
            for (int i = 0; i < 3; i++) {
                both.add(() -> joinings.join(here, join, point, MARIT));
                both.add(() -> joinings.join(there, join, point, MARIT));
            }
            assertThat(atOnce(both)).containsOnly(id.toString());
            assertThat(fittings.planned(here, point)
                                    .plan()
                                    .situation()
                                    .neighbours()
                                    .units()
                                    .size()
                            + fittings.planned(there, point)
                                    .plan()
                                    .situation()
                                    .neighbours()
                                    .units()
                                    .size())
                    .isOne();
        }
    }

    /** What comes of each: an id, or why it was refused. */
    private static List<String> atOnce(List<Callable<UUID>> work) throws InterruptedException {
        ExecutorService hands = Executors.newFixedThreadPool(work.size());
        List<String> come = new ArrayList<>();
        for (Future<UUID> each : hands.invokeAll(work)) {
            try {
                come.add(each.get().toString());
            } catch (ExecutionException refused) {
                come.add(refused.getCause().getMessage());
            }
        }
        hands.shutdown();
        return come;
    }

    @Test
    void afterTheEndATraineesCorrectionWaitsAndATechniciansDoesNot() {
        EntryDraft weight = draft(new Fact.Weighed(RiderId.FIRST, Mass.ofPoundsAndOunces(6, 8)));
        fittings.append(fitting, weight, point, PIM);
        fittings.append(
                fitting,
                draft(new Fact.Ended(UnitId.FIRST, Fact.Ending.NOT_FITTED, "no place", null, null)),
                point,
                MARIT);
        EntryDraft withdrawal = withdrawal(weight.id());
        fittings.correct(fitting, withdrawal, "a slip", point, PIM);
        assertThat(weight()).isPresent();
        assertThatThrownBy(() -> fittings.append(fitting, signature(withdrawal.id(), true), point, PIM))
                .hasMessageContaining("TRAINEE_SIGNS");
        assertThatThrownBy(() -> fittings.append(fitting, signature(weight.id(), true), point, MARIT))
                .hasMessageContaining("NOTHING_WAITS");
        assertThatThrownBy(() -> fittings.correct(fitting, withdrawal(withdrawal.id()), "no", point, MARIT))
                .hasMessageContaining("CORRECTION_WAITS");
        fittings.correct(fitting, withdrawal(weight.id()), "a slip", point, MARIT);
        assertThat(weight()).isEmpty();
        int before = places().size();
        assertThatThrownBy(() -> fittings.append(fitting, signature(withdrawal.id(), true), point, MARIT))
                .hasMessageContaining("CORRECTION_OVERTAKEN");
        assertThat(places()).as("nothing is kept of it").hasSize(before);
        fittings.append(fitting, signature(withdrawal.id(), false), point, MARIT);
        assertThat(weight()).isEmpty();
    }

    private Optional<?> weight() {
        return fittings.planned(fitting, point).plan().situation().weight();
    }

    private static EntryDraft withdrawal(UUID of) {
        return new EntryDraft(UUID.randomUUID(), 3, null, How.MEASURED, of, new Fact.Withdrawn(RiderId.FIRST));
    }

    private static EntryDraft signature(UUID correction, boolean taken) {
        return draft(new Fact.CorrectionSigned(UnitId.FIRST, correction, taken));
    }

    @Test
    void twinsShareTheRecordAndNothingElse() {
        SheetVersion seat = new SheetVersion("wrenfold-thimble", 3);
        Joinings.Join join = new Joinings.Join(UUID.randomUUID(), "Bela", seat, true);
        UUID twin = joinings.join(fitting, join, point, PIM);
        assertThat(joinings.join(fitting, join, point, PIM)).as("joined twice").isEqualTo(twin);
        fittings.append(fitting, draft(new Fact.Weighed(RiderId.FIRST, Mass.ofGrams(3000))), point, MARIT);
        fittings.append(twin, draft(new Fact.Weighed(new RiderId("r2"), Mass.ofGrams(2600))), point, MARIT);
        assertThat(fittings.planned(fitting, point).plan().situation().weight())
                .map(each -> each.value())
                .contains(Mass.ofGrams(3000));
        Fittings.Planned second = fittings.planned(twin, point);
        assertThat(second.childName()).isEqualTo("Bela");
        assertThat(second.plan().situation().weight()).map(each -> each.value()).contains(Mass.ofGrams(2600));
        assertThat(second.others()).extracting(Fittings.Beside::childName).containsExactly("Ada");
        assertThatThrownBy(
                        () -> fittings.append(twin, draft(new Fact.Acted(UnitId.FIRST, Act.TIGHTENED)), point, MARIT))
                .hasMessageContaining("OTHER_UNIT");
        assertThatThrownBy(() -> fittings.append(
                        twin, draft(new Fact.Weighed(new RiderId("u1"), Mass.ofGrams(2600))), point, MARIT))
                .as("whose it is goes by the name, whatever a form took it for")
                .hasMessageContaining("OTHER_UNIT");
        assertThat(fittings.documents(point, twin)).isEqualTo(fittings.documents(point, fitting));
        assertThat(places()).hasSize(4);
        assertThat(jdbc.queryForObject("select count(*) from entry where fitting_id = ?", Integer.class, twin))
                .isZero();
    }

    @Test
    void whichTwinComesBackHasToBeSaid() {
        SheetVersion seat = new SheetVersion("wrenfold-thimble", 3);
        UUID twin = joinings.join(fitting, new Joinings.Join(UUID.randomUUID(), "Bela", seat, true), point, MARIT);
        fittings.append(twin, draft(new Fact.Weighed(new RiderId("r2"), Mass.ofGrams(2600))), point, MARIT);
        String reference = fittings.planned(fitting, point).reference();
        assertThatThrownBy(() -> beginnings.begin(
                        new Beginnings.Begin(UUID.randomUUID(), reference, "", seat, List.of(), true), point, MARIT))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class,
                        refused -> assertThat(refused.problems())
                                .singleElement()
                                .matches(problem -> problem.field().equals("childName")));
        UUID back = beginnings.begin(
                new Beginnings.Begin(UUID.randomUUID(), reference, "bela", seat, List.of(), true), point, MARIT);
        Fittings.Planned planned = fittings.planned(back, point);
        assertThat(planned.childName()).isEqualTo("Bela");
        assertThat(planned.plan().situation().weight())
                .map(each -> each.value())
                .contains(Mass.ofGrams(2600));
        assertThat(beginnings.clearedBefore(point, reference, Optional.empty(), MARIT))
                .as("the latest is one of Bela alone; it was never cleared")
                .isEmpty();
    }

    /** The second twin came back first: who joins then is called as before, or as nobody was. */
    @ParameterizedTest
    @CsvSource({"Ada, u1, r1", "ada, u1, r1", "Carl, u3, r3"})
    void whoJoinsATwinThatCameBackIsNotTakenForIt(String name, String unit, String rider) {
        SheetVersion seat = new SheetVersion("wrenfold-thimble", 3);
        UUID twin = joinings.join(fitting, new Joinings.Join(UUID.randomUUID(), "Bela", seat, true), point, MARIT);
        fittings.append(twin, draft(new Fact.Weighed(new RiderId("r2"), Mass.ofGrams(2600))), point, MARIT);
        String reference = fittings.planned(fitting, point).reference();
        UUID back = beginnings.begin(
                new Beginnings.Begin(UUID.randomUUID(), reference, "Bela", seat, List.of(), true), point, MARIT);
        UUID other = joinings.join(back, new Joinings.Join(UUID.randomUUID(), name, seat, false), point, MARIT);
        FittingPlan joined = fittings.planned(other, point).plan();
        assertThat(joined.situation().unit())
                .isEqualTo(
                        new FittingRecord.Unit(new UnitId(unit), new RiderId(rider), new SheetId("wrenfold-thimble")));
        assertThat(joined.situation().weight()).isEmpty();
        assertThat(fittings.planned(back, point).plan().situation().neighbours().units())
                .extracting(FittingRecord.Unit::id)
                .containsExactly(new UnitId(unit));
    }

    @ParameterizedTest
    @CsvSource({
        "'',NEEDED",
        "xxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxx,TOO_LONG"
    })
    void aTwinHasAName(String name, String reason) {
        Joinings.Join join = new Joinings.Join(UUID.randomUUID(), name, new SheetVersion("wrenfold-thimble", 3), true);
        assertThatThrownBy(() -> joinings.join(fitting, join, point, MARIT))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class,
                        refused -> assertThat(refused.problems())
                                .singleElement()
                                .matches(problem -> problem.reason().equals(reason)));
        assertThat(places()).hasSize(1);
    }

    /** One carrier, two cars, one visit: what is of the seat and the child is of both, what is of a car of that one. */
    @Test
    void theSameCarrierGoesOnIntoAnotherCar() {
        fittings.append(fitting, draft(new Fact.Weighed(RiderId.FIRST, Mass.ofGrams(3100))), point, MARIT);
        Joinings.AnotherCar other =
                new Joinings.AnotherCar(UUID.randomUUID(), Optional.of(new SheetVersion("corvane-estate", 2)));
        UUID there = joinings.inAnotherCar(fitting, other, point, MARIT);
        assertThat(joinings.inAnotherCar(fitting, other, point, MARIT))
                .as("sent twice it is one")
                .isEqualTo(there);
        SignedIn user = (SignedIn) users.loadUserByUsername("marit");
        assertThat(lists.openOnes(user, List.of()))
                .as("a child to choose is there once")
                .filteredOn(each -> each.id().equals(fitting) || each.id().equals(there))
                .hasSize(1);
        assertThat(lists.openOnes(user, List.of(fitting)))
                .as("as it was chosen")
                .filteredOn(FittingLists.OpenOne::chosen)
                .extracting(FittingLists.OpenOne::id)
                .containsExactly(fitting);
        Fittings.Planned here = fittings.planned(fitting, point);
        Fittings.Planned planned = fittings.planned(there, point);
        assertThat(planned.childName()).isEqualTo(here.childName());
        assertThat(planned.plan().situation().weight()).isPresent();
        assertThat(planned.plan().situation().car()).isPresent();
        assertThat(here.plan().situation().car()).isEmpty();
        assertThat(here.others())
                .singleElement()
                .matches(each -> each.sameSeat() && each.car().isPresent());
        assertThatThrownBy(() -> fittings.append(
                        fitting,
                        draft(new Fact.Acted(new UnitId("u2"), app.layette.core.entry.Act.TIGHTENED)),
                        point,
                        MARIT))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class,
                        refused -> assertThat(refused.reason()).contains("OTHER_UNIT"));
        fittings.append(
                fitting,
                draft(new Fact.SheetAdopted(
                        new SheetId("pallander-dray"), 1, Fact.Adoption.ADOPTED, null, new UnitId("u2"))),
                point,
                MARIT);
        assertThat(fittings.planned(there, point)
                        .plan()
                        .situation()
                        .car()
                        .orElseThrow()
                        .sheet()
                        .id())
                .as("what is sent for one car is not taken for another")
                .isEqualTo("corvane-estate");
        assertThat(fittings.planned(fitting, point)
                        .plan()
                        .situation()
                        .car()
                        .orElseThrow()
                        .sheet()
                        .id())
                .isEqualTo("pallander-dray");
        SheetVersion seat = new SheetVersion("wrenfold-thimble", 3);
        assertThatThrownBy(() ->
                        joinings.join(there, new Joinings.Join(UUID.randomUUID(), "Bela", seat, true), point, MARIT))
                .isInstanceOf(RefusedEntryException.class);
    }

    @Test
    void sendingAnEntryTwiceKeepsItOnce() {
        EntryDraft weight = draft(new Fact.Weighed(RiderId.FIRST, Mass.ofPoundsAndOunces(6, 8)));
        assertThat(fittings.append(fitting, weight, point, MARIT).seq()).isEqualTo(2);
        assertThat(fittings.append(fitting, weight, point, MARIT).seq()).isEqualTo(2);
        assertThat(places()).containsExactly(1, 2);
    }

    @Test
    void whatFollowsFromOnePressIsWrittenOnceForAllThatItTold(@Autowired ApplicationEvents events) {
        List<EntryDraft> told = List.of(
                draft(new Fact.Weighed(RiderId.FIRST, Mass.ofGrams(3100))),
                draft(new Fact.LengthMeasured(RiderId.FIRST, Fact.Dimension.BODY, Length.ofMillimetres(500), null)));
        events.clear();
        assertThat(fittings.appendTogether(fitting, told, point, MARIT).seq()).isEqualTo(3);
        assertThat(fittings.appendTogether(fitting, told, point, MARIT).isNew())
                .as("sent twice")
                .isFalse();
        assertThat(events.stream(FittingChanged.class).map(each -> each.entry().seq()))
                .containsExactly(2, 3);
        assertThat(events.stream(FittingPlanned.class)
                        .map(each -> each.plan().situation().everything().size()))
                .containsExactly(3);
        EntryDraft back = EntryDraft.now(How.MEASURED, 3, new Fact.Withdrawn(UnitId.FIRST));
        events.clear();
        fittings.undo(fitting, back, point, MARIT);
        assertThat(events.stream(FittingPlanned.class)).hasSize(1);
        assertThat(places()).containsExactly(1, 2, 3, 4, 5);
    }

    @Test
    void entriesOfManyAtOnceGetPlacesWithoutAGap() throws Exception {
        ExecutorService hands = Executors.newFixedThreadPool(8);
        List<Callable<Integer>> work = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            EntryDraft act = draft(new Fact.Acted(UnitId.FIRST, Act.PRESSED_OR_ROCKED));
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

    @Test
    void whatIsRefusedLeavesNothingBehind() {
        assertThatThrownBy(() -> fittings.append(
                        fitting, draft(new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(99))), point, MARIT))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class,
                        e -> assertThat(e.problems())
                                .extracting(problem -> problem.field())
                                .containsExactly("mass"));
        EntryDraft correction = new EntryDraft(
                UUID.randomUUID(),
                1,
                null,
                How.MEASURED,
                UUID.randomUUID(),
                new Fact.Acted(UnitId.FIRST, Act.CAR_MOVED));
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
        Fact handOver = new Fact.Ended(UnitId.FIRST, Fact.Ending.HANDED_OVER, null, null, null);
        assertThatThrownBy(() -> fittings.append(fitting, draft(handOver), point, MARIT))
                .hasMessageContaining("GATE_SHUT");
        Fact left = new Fact.Ended(UnitId.FIRST, Fact.Ending.LEFT_WITH_OPEN_FINDINGS, "said", "", "");
        assertThatThrownBy(() -> fittings.append(fitting, draft(left), point, PIM))
                .hasMessageContaining("TRAINEE_SIGNS");
        fittings.append(fitting, draft(left), point, MARIT);
        assertThat(fittings.planned(fitting, point).plan().state()).isEqualTo(FittingState.LEFT_WITH_OPEN_FINDINGS);
        assertThatThrownBy(() ->
                        fittings.append(fitting, draft(new Fact.Acted(UnitId.FIRST, Act.CAR_MOVED)), point, MARIT))
                .hasMessageContaining("CLOSED");
    }

    @Test
    void aFamilyThatComesBackBringsItsMeasuresWithTheirDay() {
        fittings.append(fitting, draft(new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(3.2))), point, MARIT);
        String reference = fittings.planned(fitting, point).reference();
        SheetVersion seat = new SheetVersion("wrenfold-thimble", 3);
        assertThatThrownBy(
                        () -> beginnings.begin(new Beginnings.Begin(reference, "Ada", seat, List.of()), point, MARIT))
                .hasMessageContaining("TAKEN");
        UUID again = beginnings.begin(
                new Beginnings.Begin(UUID.randomUUID(), reference, "", seat, List.of(), true), point, MARIT);
        Fittings.Planned planned = fittings.planned(again, point);
        assertThat(planned.childName()).isEqualTo("Ada");
        assertThat(planned.plan().situation().weight()).hasValueSatisfying(weight -> {
            assertThat(weight.value()).isEqualTo(Mass.ofKilograms(3.2));
            assertThat(weight.how().kind()).isEqualTo(How.Kind.CARRIED_FROM);
            assertThat(weight.how().place()).startsWith("20");
        });
        fittings.append(again, draft(new Fact.Weighed(RiderId.FIRST, Mass.ofKilograms(3.3))), point, MARIT);
        assertThat(fittings.planned(again, point)
                        .plan()
                        .situation()
                        .weight()
                        .orElseThrow()
                        .value())
                .isEqualTo(Mass.ofKilograms(3.3));
        assertThatThrownBy(() -> beginnings.begin(
                        new Beginnings.Begin(UUID.randomUUID(), "nobody", "", seat, List.of(), true), point, MARIT))
                .hasMessageContaining("UNKNOWN_FAMILY");
    }

    @Test
    void aNewerSheetIsForALeadToAdoptOrDecline() {
        Author ilse = new Author("ilse", Author.Role.LEAD);
        String thimble = Examples.text("sheets/wrenfold-thimble.json");
        shelf.takeIn(point, thimble.replace("\"version\": 3", "\"version\": 9"), ilse);
        SheetVersion newer = new SheetVersion("wrenfold-thimble", 9);
        assertThat(pending()).containsExactly(newer);
        Fact adopted = new Fact.SheetAdopted(newer, Fact.Adoption.ADOPTED, null);
        assertThatThrownBy(() -> fittings.append(fitting, draft(adopted), point, MARIT))
                .hasMessageContaining("LEAD_ADOPTS");
        assertThatThrownBy(() -> fittings.append(
                        fitting, draft(new Fact.SheetAdopted(newer, Fact.Adoption.DECLINED, " ")), point, ilse))
                .isInstanceOfSatisfying(
                        RefusedEntryException.class,
                        e -> assertThat(e.problems())
                                .extracting(FieldProblem::field)
                                .containsExactly("reason"));
        assertThat(pending()).containsExactly(newer);
        fittings.append(
                fitting,
                draft(new Fact.SheetAdopted(newer, Fact.Adoption.DECLINED, "belongs to the later model")),
                point,
                ilse);
        assertThat(pending()).isEmpty();
    }

    private Collection<SheetVersion> pending() {
        return List.copyOf(fittings.planned(fitting, point).plan().situation().pendingVersions());
    }

    @ParameterizedTest
    @CsvSource({"Ottil, 1", "1031, 1", "w-1031 ott, 1", "OTTILIE, 1", "100%, 0", "_, 0", "\\, 0"})
    void anyPartOfAReferenceOrNameIsFoundHoweverLongAgo(String part, int howMany) {
        jdbc.update("update fitting set touched_at = touched_at - interval '5 years' where family_id in"
                + " (select id from family where reference = 'W-1031')");
        SignedIn user = users.loadUserByUsername("marit") instanceof SignedIn signedIn ? signedIn : null;
        assertThat(lists.find(user, part)).hasSize(howMany);
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
        replanning.planAgain();
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
        assertThatThrownBy(() -> shelf.takeIn(point, thimble.replace("\"29 lb\"", "\"35 lb\""), ilse))
                .isInstanceOf(RefusedDocumentException.class)
                .hasMessageContaining("higher");
        assertThat(shelf.takeIn(point, thimble, PIM))
                .as("the same words are the same sheet")
                .hasToString("wrenfold-thimble 3");
        String ahead = thimble.replace("\"29 lb\"", "\"35 lb\"").replace("\"version\": 3", "\"version\": 900");
        assertThat(shelf.takeIn(point, ahead, PIM)).as("numbers are given").hasToString("wrenfold-thimble 4");
        assertThat(shelf.takeIn(point, ahead, PIM)).hasToString("wrenfold-thimble 4");
        shelf.drop(point, "wrenfold-thimble", 4, PIM);
        assertThatThrownBy(() -> shelf.takeIn(point, ahead, ilse))
                .isInstanceOf(RefusedDocumentException.class)
                .hasMessageContaining("103");
        shelf.takeIn(point, thimble.replace("\"wrenfold-thimble\"", "\"walk-in-seat\""), MARIT);
        assertThat(shelf.seats(point))
                .filteredOn(sheet -> sheet.id().equals("walk-in-seat"))
                .singleElement()
                .satisfies(sheet -> assertThat(sheet.confirmed()).isFalse());
    }
}
