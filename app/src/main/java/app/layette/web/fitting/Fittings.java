package app.layette.web.fitting;

import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FactCheck;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.FittingRecord.Unit;
import app.layette.core.entry.How;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.fitting.FittingState;
import app.layette.core.fitting.PlanDifference;
import app.layette.core.look.OneLook;
import app.layette.core.measure.Mass;
import app.layette.core.practice.PracticeProfile;
import app.layette.core.recheck.CarriedOver;
import app.layette.core.recheck.LastSetUp;
import app.layette.core.ride.EarlierClearing;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.practice.Profiles;
import app.layette.web.wall.Turns;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Fittings: beginning one, adding entries, planning. */
@Service
public class Fittings {
    private static final int DAYS_IN_TODAY = 2;
    private static final int MOST_IN_TODAY = 100;
    private static final int MOST_UNITS = 4;
    private static final int REFERENCES_READ = 20;
    private static final int REFERENCES_TRIED = 50;
    private static final Pattern NUMBERED = Pattern.compile("(.*?)(\\d{1,9})");
    private static final int LONGEST_NAME = 80;

    /**
     * An actual seat of a fitting with everything that follows from its entries today.
     *
     * @param others the other seats of the same fitting
     */
    public record Planned(UUID id, String reference, String childName, FittingPlan plan, List<Beside> others) {
        /** One that stands alone. */
        public Planned(UUID id, String reference, String childName, FittingPlan plan) {
            this(id, reference, childName, plan, List.of());
        }
    }

    /**
     * Another seat of the same fitting, or the same seat in another car.
     *
     * @param car the name of that other car; empty where nobody said it yet, and for a seat of its own
     */
    public record Beside(UUID id, String childName, FittingState state, boolean sameSeat, Optional<String> car) {}

    /**
     * Another child with a seat of its own.
     *
     * @param id of the seat's fitting, made by the client: joined twice it is one
     * @param twin whether it was born with the first
     */
    public record Join(UUID id, String childName, SheetVersion seat, boolean twin) {}

    /**
     * The same seat in another car.
     *
     * @param id of its fitting there, made by the client: sent twice it is one
     * @param car the sheet of that car; empty where it is described at the place
     */
    public record AnotherCar(UUID id, Optional<SheetVersion> car) {}

    /**
     * An entry in its place, the fitting after it, and what that changed.
     *
     * @param isNew false where the same entry had come before
     */
    public record Appended(int seq, boolean isNew, Planned after, PlanDifference changed) {}

    /**
     * What a family begins with.
     *
     * @param id of the fitting, made by the client: begun twice it is one
     */
    public record Begin(
            UUID id,
            String reference,
            String childName,
            SheetVersion seat,
            List<EntryDraft> entries,
            boolean comesBack) {
        /** What the first child of a fitting is called in its entries. */
        public static final String RIDER = "r1";
        /** What the first actual seat of a fitting is called in its entries. */
        public static final String UNIT = "u1";

        public Begin(String reference, String childName, SheetVersion seat, List<EntryDraft> entries) {
            this(UUID.randomUUID(), reference, childName, seat, entries, false);
        }
    }

    private final FamilyRows families;
    private final FittingRows fittings;
    private final EntryRows entries;
    private final Profiles profiles;
    private final FittingPlans plans;
    private final Viewing viewing;
    private final EntityManager entities;
    private final Turns turns;
    private final ApplicationEventPublisher events;

    Fittings(
            FamilyRows families,
            FittingRows fittings,
            EntryRows entries,
            Profiles profiles,
            FittingPlans plans,
            Viewing viewing,
            EntityManager entities,
            Turns turns,
            ApplicationEventPublisher events) {
        this.families = families;
        this.fittings = fittings;
        this.entries = entries;
        this.profiles = profiles;
        this.plans = plans;
        this.viewing = viewing;
        this.entities = entities;
        this.turns = turns;
        this.events = events;
    }

    /**
     * Begins a fitting; its first entries are stored with it or not at all. Beginning it twice is harmless.
     *
     * @throws RefusedEntryException when the reference is taken or not known, or an entry is not allowed
     */
    @Transactional
    public UUID begin(Begin begin, UUID pointId, Author author) {
        // The same form may arrive twice at once, and two may give one family's reference: the second sees the first.
        turns.take("fitting " + begin.id());
        turns.take("family " + pointId + " " + begin.reference());
        if (fittings.find(begin.id(), pointId).isPresent()) {
            return begin.id();
        }
        if (fittings.existsById(begin.id())) {
            // Somebody else's: saving under its id would write over it.
            throw RefusedEntryException.because("ID_TAKEN");
        }
        Point point = viewing.point(pointId);
        Optional<Family> known = families.findByPointIdAndReference(pointId, begin.reference());
        if (known.isPresent() != begin.comesBack()) {
            String reason = known.isPresent() ? "TAKEN" : "UNKNOWN_FAMILY";
            throw RefusedEntryException.fields(
                    List.of(new FieldProblem("reference", begin.reference(), reason, "", "")));
        }
        PracticeProfile profile = profiles.current(point);
        Optional<FittingRow> earlier = known.flatMap(family -> latest(family, begin.childName()));
        List<EntryDraft> carried =
                earlier.map(row -> carriedFrom(row, point, begin.seat().id())).orElse(List.of());
        Family family = known.orElseGet(() -> families.save(new Family(pointId, begin.reference(), begin.childName())));
        FittingRow row = new FittingRow(
                begin.id(),
                family,
                new FittingRow.Beginning(
                        pointId,
                        profile.id(),
                        profile.version(),
                        point.lawCountry(),
                        begin.seat().id()),
                viewing.clock().instant());
        earlier.ifPresent(row::isForTheChildOf);
        entities.persist(row);
        FittingPlan plan = plans.of(row, point, List.of());
        List<EntryDraft> first = new ArrayList<>(carried);
        Unit own = row.firstUnit();
        begin.entries().forEach(draft -> first.add(draft.about(own)));
        for (EntryDraft draft : first) {
            Admission.check(draft, plan, author);
            Entry entry = store(row, draft, author, point, plan);
            plan = plans.after(row, point, plan, entry);
        }
        project(row, plan);
        // Whoever hears of it writes beside it: its row has to be there.
        entities.flush();
        if (!first.isEmpty()) {
            Entry last = plan.situation()
                    .everything()
                    .get(plan.situation().everything().size() - 1);
            events.publishEvent(new FittingChanged(row.id(), pointId, last, plan));
        }
        return row.id();
    }

    /**
     * Takes in another child with a seat of its own. Joining it twice is harmless.
     *
     * @return the fitting of that seat
     * @throws RefusedEntryException when the fitting is closed or the name is missing or too long
     */
    @Transactional
    public UUID join(UUID fittingId, Join join, UUID pointId, Author author) {
        Locked beside = lock(fittingId, pointId);
        if (fittings.find(join.id(), pointId).isPresent()) {
            return join.id();
        }
        if (fittings.existsById(join.id())) {
            throw RefusedEntryException.because("ID_TAKEN");
        }
        checkName(join.childName());
        if (!beside.plan().state().isUnderWay()) {
            throw RefusedEntryException.because("CLOSED");
        }
        FittingRow first = first(beside);
        Situation now = beside.plan().situation();
        if (now.neighbours().units().size() + 2 > MOST_UNITS) {
            throw RefusedEntryException.because("TOO_MANY_UNITS");
        }
        if (!now.neighbours().inOtherCars().isEmpty() || now.unit().isInAnotherCar()) {
            throw RefusedEntryException.because("SEVERAL_CARS");
        }
        Fact.UnitJoined joined = joined(first, join);
        List<EntryDraft> drafts = new ArrayList<>();
        drafts.add(EntryDraft.now(How.MEASURED, now.lastSeq(), joined));
        boolean adopted = now.everything().stream()
                .anyMatch(entry -> entry.fact() instanceof Fact.SheetAdopted sheet
                        && sheet.of().equals(join.seat().id()));
        if (!adopted) {
            drafts.add(EntryDraft.now(
                    How.MEASURED,
                    now.lastSeq(),
                    new Fact.SheetAdopted(join.seat().id(), join.seat().version(), Fact.Adoption.ADOPTED, null)));
        }
        now.child()
                .filter(child -> join.twin())
                .ifPresent(child -> drafts.add(EntryDraft.now(
                        child.how(),
                        now.lastSeq(),
                        new Fact.ChildDescribed(
                                joined.rider(),
                                child.value().born(),
                                child.value().gestationDays().isPresent()
                                        ? child.value().gestationDays().getAsInt()
                                        : null,
                                null,
                                null))));
        return joinedWith(
                beside,
                new FittingRow(
                        join.id(),
                        first,
                        joined.unit(),
                        join.childName().strip(),
                        viewing.clock().instant()),
                drafts,
                author);
    }

    private FittingRow first(Locked beside) {
        FittingRow row = beside.row();
        return row.id().equals(row.recordId())
                ? row
                : fittings.find(row.recordId(), row.pointId()).orElseThrow(NoSuchFittingException::new);
    }

    /**
     * Fixes the same carrier in another car, in one visit: child, seat and harness stay judged, place and securing are
     * judged there. Sent twice it is one.
     *
     * @return the fitting in that car
     * @throws RefusedEntryException when it is no carrier, several children are fitted together, there are too many cars, or
     *     it was closed on another day
     */
    @Transactional
    public UUID inAnotherCar(UUID fittingId, AnotherCar other, UUID pointId, Author author) {
        Locked beside = lock(fittingId, pointId);
        if (fittings.find(other.id(), pointId).isPresent()) {
            return other.id();
        }
        if (fittings.existsById(other.id())) {
            throw RefusedEntryException.because("ID_TAKEN");
        }
        Situation now = beside.plan().situation();
        if (!now.neighbours().units().isEmpty()) {
            throw RefusedEntryException.because("SEVERAL_CHILDREN");
        }
        if (now.neighbours().inOtherCars().size() + 2 > MOST_UNITS) {
            throw RefusedEntryException.because("TOO_MANY_CARS");
        }
        if (!isCarrier(now)) {
            throw RefusedEntryException.because("NO_CARRIER");
        }
        if (!beside.plan().state().isUnderWay() && !endedToday(now)) {
            throw RefusedEntryException.because("ANOTHER_VISIT");
        }
        FittingRow first = first(beside);
        String unit = unused(fittings.of(first.family(), Limit.unlimited())).id();
        Fact.UnitJoined joined = new Fact.UnitJoined(
                unit, now.unit().rider(), now.unit().sheet(), now.unit().seat());
        List<EntryDraft> drafts = new ArrayList<>();
        drafts.add(EntryDraft.now(How.MEASURED, now.lastSeq(), joined));
        other.car()
                .ifPresent(car -> drafts.add(EntryDraft.now(
                        How.MEASURED,
                        now.lastSeq(),
                        new Fact.SheetAdopted(car.id(), car.version(), Fact.Adoption.ADOPTED, null, unit))));
        FittingRow row = new FittingRow(
                other.id(),
                first,
                joined.unit(),
                beside.row().childName(),
                viewing.clock().instant());
        return joinedWith(beside, row, drafts, author);
    }

    /** Whether the carrier may go on into another car: it is one, with one child, and was seen in this visit. */
    public static boolean mayGoOn(Planned fitting) {
        Situation now = fitting.plan().situation();
        return isCarrier(now)
                && now.neighbours().units().isEmpty()
                && (fitting.plan().state().isUnderWay() || endedToday(now));
    }

    private static boolean isCarrier(Situation now) {
        return now.seat()
                .filter(seat -> seat.kind() == SeatKind.REAR_FACING_ONLY)
                .isPresent();
    }

    /** Handed over, or left, on this very day: the seat and the child in it were seen in this visit. */
    private static boolean endedToday(Situation now) {
        return now.own().stream()
                .filter(entry -> entry.fact() instanceof Fact.Ended ended
                        && ended.of().equals(now.unit().id()))
                .anyMatch(entry -> entry.at()
                        .atZoneSameInstant(now.practice().zone())
                        .toLocalDate()
                        .equals(now.today()));
    }

    private UUID joinedWith(Locked beside, FittingRow row, List<EntryDraft> drafts, Author author) {
        UUID pointId = beside.row().pointId();
        FittingRow first = first(beside);
        Situation now = beside.plan().situation();
        entities.persist(row);
        List<Entry> record = new ArrayList<>(now.everything());
        record.add(store(first, drafts.get(0), author, beside.point(), beside.plan()));
        FittingPlan plan = plans.of(row, beside.point(), record);
        for (EntryDraft draft : drafts.subList(1, drafts.size())) {
            Admission.check(draft, plan, author);
            plan = plans.after(row, beside.point(), plan, store(row, draft, author, beside.point(), plan));
        }
        project(row, plan);
        // Whoever hears of it writes beside it: its row has to be there.
        entities.flush();
        List<Entry> all = plan.situation().everything();
        events.publishEvent(new FittingChanged(row.id(), pointId, all.get(all.size() - 1), plan));
        refreshBeside(row, beside.point(), plan);
        return row.id();
    }

    /**
     * What the child and its seat are called in the entries: as at an earlier fitting of the same child, else by a number
     * that nobody in this family has had. A child that came back may have brought any number with it.
     */
    private Fact.UnitJoined joined(FittingRow first, Join join) {
        Set<String> here = fittings.together(first.pointId(), first.id()).stream()
                .map(FittingRow::unit)
                .collect(Collectors.toSet());
        List<FittingRow> theirs = fittings.of(first.family(), Limit.unlimited());
        Unit unit = theirs.stream()
                .filter(row -> row.childName().equalsIgnoreCase(join.childName().strip()))
                .map(FittingRow::ownUnit)
                .filter(each -> !here.contains(each.id()))
                .findFirst()
                .orElseGet(() -> unused(theirs));
        return new Fact.UnitJoined(unit.id(), unit.rider(), join.seat().id());
    }

    private static Unit unused(List<FittingRow> theirs) {
        Set<String> had = theirs.stream().map(FittingRow::unit).collect(Collectors.toSet());
        int number = 2;
        while (had.contains("u" + number)) {
            number++;
        }
        return new Unit("u" + number, "r" + number, "");
    }

    private static void checkName(String name) {
        if (name.isBlank()) {
            throw RefusedEntryException.fields(List.of(new FieldProblem("childName", "", "NEEDED", "", "")));
        }
        if (name.length() > LONGEST_NAME) {
            throw RefusedEntryException.fields(
                    List.of(new FieldProblem("childName", name, "TOO_LONG", "1", String.valueOf(LONGEST_NAME))));
        }
    }

    /** What keeps it from being handed over; before a birth, and at the bedside, at least that. */
    private static int blocking(FittingPlan plan) {
        int shut = plan.gate().blocking().size();
        return plan.mayHandOver() ? shut : Math.max(1, shut);
    }

    /** What is of the car is of every seat in it: the lists and what comes due follow for all of them. */
    private void refreshBeside(FittingRow changed, Point point, FittingPlan after) {
        if (after.situation().neighbours().isAlone()) {
            return;
        }
        for (FittingRow other : fittings.together(changed.pointId(), changed.recordId())) {
            if (other != changed) {
                FittingPlan plan = plans.of(other, point, after.situation().everything());
                project(other, plan);
                events.publishEvent(new FittingPlannedAgain(other.id(), point.id(), plan));
            }
        }
    }

    /** A fitting whose next entry waits: nobody else adds to it until the transaction is over. */
    private record Locked(FittingRow row, Point point, FittingPlan plan) {}

    private Locked lock(UUID fittingId, UUID pointId) {
        Point point = viewing.point(pointId);
        FittingRow row = fittings.find(fittingId, pointId).orElseThrow(NoSuchFittingException::new);
        FittingRow first = fittings.lock(row.recordId(), pointId).orElseThrow(NoSuchFittingException::new);
        // One that was read earlier in this transaction is still as it was then: whoever held the lock may have added.
        entities.refresh(first);
        if (first != row) {
            entities.refresh(row);
        }
        return new Locked(row, point, plans.of(row, point));
    }

    /**
     * Adds an entry. Sending the same one twice is harmless.
     *
     * @return the place of the entry, and the fitting as it stands after it
     * @throws RefusedEntryException when a field is not allowed, the fitting is closed, the gate is shut, or it corrects
     *     something and says not why
     */
    @Transactional
    public Appended append(UUID fittingId, EntryDraft draft, UUID pointId, Author author) {
        if (draft.corrects() != null) {
            throw RefusedEntryException.because("NO_REASON");
        }
        Locked fitting = lock(fittingId, pointId);
        List<EntryDraft> carried = carriedBy(draft, fitting);
        return carried.isEmpty() ? add(fitting, draft, author) : addTogether(fitting, carried, author);
    }

    /** Nothing was done to the seat since: with that answer comes what the earlier fitting says, as one whole. */
    private List<EntryDraft> carriedBy(EntryDraft draft, Locked fitting) {
        boolean asBefore = draft.fact() instanceof Fact.Answered answered
                && answered.question() == Question.SINCE
                && answered.answer().equals("NOTHING");
        Situation now = fitting.plan().situation();
        Optional<FittingRow> earlier = now.cameBack()
                .filter(back -> asBefore && now.label(Fact.Part.CARRIER).isEmpty())
                .flatMap(back ->
                        fittings.find(back.value().fitting(), fitting.point().id()))
                .filter(row -> row.family().equals(fitting.row().family()));
        if (earlier.isEmpty()) {
            return List.of();
        }
        List<EntryDraft> drafts = new ArrayList<>();
        drafts.add(new EntryDraft(
                draft.id(), draft.seen(), draft.at(), draft.how(), null, draft.fact(), draft.waited(), draft.id()));
        for (CarriedOver each :
                CarriedOver.of(plans.of(earlier.get(), fitting.point()).situation(), now)) {
            UUID own = UUID.nameUUIDFromBytes((draft.id() + " " + drafts.size()).getBytes(StandardCharsets.UTF_8));
            drafts.add(new EntryDraft(
                    own, draft.seen(), draft.at(), each.how(), null, each.fact(), draft.waited(), draft.id()));
        }
        return drafts;
    }

    /**
     * Adds what one press told, all of it or nothing. Each is an entry of its own; a later one has seen the earlier ones,
     * unless somebody else's came between the look and its arrival. Sending them twice is harmless.
     *
     * @param drafts at least one, in the order in which they are kept
     * @throws RefusedEntryException as for a single entry
     */
    @Transactional
    public Appended appendTogether(UUID fittingId, List<EntryDraft> drafts, UUID pointId, Author author) {
        return addTogether(lock(fittingId, pointId), drafts, author);
    }

    /**
     * Adds the marks of a look that are as drawn. What is drawn is computed from the fitting as it stands.
     *
     * @param tokens of the marks, as the look named them
     * @throws RefusedEntryException when one of them is not asked any more or is drawn otherwise by now; none is kept then
     */
    @Transactional
    public Appended appendLook(
            UUID fittingId, EntryForm form, LookKey look, Set<String> tokens, UUID pointId, Author author) {
        Locked fitting = lock(fittingId, pointId);
        FittingPlan before = fitting.plan();
        boolean had = before.situation().everything().stream()
                .anyMatch(each -> form.id().equals(each.look()));
        if (had) {
            int seq = fitting.row().lastSeq();
            return new Appended(seq, false, planned(fitting.row(), before), PlanDifference.between(before, before));
        }
        List<EntryDraft> drafts =
                OneLook.told(before, look, tokens)
                        .orElseThrow(() -> RefusedEntryException.because("LOOK_CHANGED"))
                        .stream()
                        .map(mark -> form.markOfLook(mark.token(), mark.fact(), mark.how()))
                        .toList();
        return addTogether(fitting, drafts, author);
    }

    private Appended addTogether(Locked locked, List<EntryDraft> drafts, Author author) {
        Locked fitting = locked;
        FittingPlan before = fitting.plan();
        boolean alone = drafts.get(0).seen() >= fitting.row().lastSeq();
        Appended last = null;
        for (EntryDraft draft : drafts) {
            if (draft.corrects() != null) {
                throw RefusedEntryException.because("NO_REASON");
            }
            EntryDraft next = alone ? draft.seeing(fitting.row().lastSeq()) : draft;
            last = add(fitting, next, author);
            fitting = new Locked(fitting.row(), fitting.point(), last.after().plan());
        }
        FittingPlan after = last.after().plan();
        return new Appended(last.seq(), last.isNew(), last.after(), PlanDifference.between(before, after));
    }

    private Appended add(Locked fitting, EntryDraft sent, Author author) {
        FittingRow row = fitting.row();
        FittingPlan before = fitting.plan();
        EntryDraft draft = sent.inTheCarOf(before.situation());
        Optional<EntryRow> held = entries.findByPointIdAndId(fitting.point().id(), draft.id());
        if (held.isPresent()) {
            if (!held.get().key().fittingId().equals(row.recordId())) {
                throw RefusedEntryException.because("ID_TAKEN");
            }
            return new Appended(
                    held.get().key().seq(), false, planned(row, before), PlanDifference.between(before, before));
        }
        FittingPlan then = asOfItsDay(fitting, draft);
        Admission.check(draft, then, author);
        Entry entry = store(row, draft, author, fitting.point(), then);
        FittingPlan after = plans.after(row, fitting.point(), before, entry);
        row.touch(viewing.clock().instant());
        project(row, after);
        events.publishEvent(new FittingChanged(row.id(), fitting.point().id(), entry, after));
        refreshBeside(row, fitting.point(), after);
        plans.keep(row, fitting.point(), after);
        if (Bedside.isAllTaught(after, author)) {
            EntryDraft taught = EntryDraft.now(
                    How.MEASURED, entry.seq(), new Fact.Ended(row.unit(), Fact.Ending.TAUGHT, null, null, null));
            Appended ended = add(new Locked(row, fitting.point(), after), taught, author);
            return new Appended(
                    entry.seq(),
                    true,
                    ended.after(),
                    PlanDifference.between(before, ended.after().plan()));
        }
        return new Appended(entry.seq(), true, planned(row, after), PlanDifference.between(before, after));
    }

    /** What waited for a connection is judged as of the day on which it was made: the family has gone since. */
    private FittingPlan asOfItsDay(Locked fitting, EntryDraft draft) {
        if (!draft.waited() || draft.at() == null) {
            return fitting.plan();
        }
        LocalDate day = draft.at().atZoneSameInstant(fitting.point().zone()).toLocalDate();
        Situation now = fitting.plan().situation();
        return day.isBefore(now.today())
                ? plans.of(fitting.row(), fitting.point(), now.everything(), day)
                : fitting.plan();
    }

    /**
     * Corrects an entry and says why, both or neither. Sending the same correction twice is harmless.
     *
     * @throws RefusedEntryException when either is not allowed
     */
    @Transactional
    public Appended correct(UUID fittingId, EntryDraft correction, String reason, UUID pointId, Author author) {
        Locked fitting = lock(fittingId, pointId);
        Fact.Noted why = new Fact.Noted(fitting.row().unit(), correction.corrects(), reason);
        UUID whyId = UUID.nameUUIDFromBytes(("why " + correction.id()).getBytes(StandardCharsets.UTF_8));
        EntryDraft said = new EntryDraft(whyId, correction.seen(), null, How.MEASURED, null, why);
        Appended reasoned = add(fitting, said, author);
        // What is stored and not yet certain is handed on, never read back: a reader might keep it.
        return add(new Locked(fitting.row(), fitting.point(), reasoned.after().plan()), correction, author);
    }

    /**
     * Takes the last answer back as a slip of the hand: an entry, or all that one look told. Sending the same twice is
     * harmless.
     *
     * @param draft the withdrawal; which entries it corrects is found here
     * @throws RefusedEntryException when something came after it, somebody else made it, or it cannot be withdrawn
     */
    @Transactional
    public Appended undo(UUID fittingId, EntryDraft draft, UUID pointId, Author author) {
        Locked fitting = lock(fittingId, pointId);
        FittingPlan before = fitting.plan();
        List<Entry> record = before.situation().own();
        boolean done = record.stream().anyMatch(each -> each.id().equals(draft.id()));
        List<Entry> whole = Undoing.whole(record, author.id());
        if (done) {
            int seq = fitting.row().lastSeq();
            return new Appended(seq, false, planned(fitting.row(), before), PlanDifference.between(before, before));
        }
        if (whole.isEmpty()) {
            throw RefusedEntryException.because("NOTHING_TO_UNDO");
        }
        Appended last = null;
        for (Entry undone : whole) {
            boolean first = undone == whole.get(0);
            UUID id = first
                    ? draft.id()
                    : UUID.nameUUIDFromBytes((draft.id() + " " + undone.id()).getBytes(StandardCharsets.UTF_8));
            EntryDraft withdrawal = new EntryDraft(
                    id, draft.seen(), draft.at(), draft.how(), undone.id(), draft.fact(), draft.waited());
            last = correct(fittingId, withdrawal, Undoing.REASON, pointId, author);
        }
        return new Appended(
                last.seq(),
                last.isNew(),
                last.after(),
                PlanDifference.between(before, last.after().plan()));
    }

    /**
     * Plans a fitting again because the day or a sheet changed, not because anybody entered anything: what lists show
     * and what comes due follow.
     */
    @Transactional
    public void refresh(UUID pointId, UUID fittingId) {
        Locked fitting = lock(fittingId, pointId);
        project(fitting.row(), fitting.plan());
        events.publishEvent(new FittingPlannedAgain(fittingId, pointId, fitting.plan()));
    }

    /**
     * The latest fitting of a family; where several children were fitted together, of the one that is named.
     *
     * @throws RefusedEntryException when it cannot be told which child comes back
     */
    private Optional<FittingRow> latest(Family family, String child) {
        Optional<FittingRow> last = fittings.of(family, Limit.of(1)).stream().findFirst();
        List<FittingRow> together = last.map(row -> fittings.together(row.pointId(), row.recordId()))
                .orElse(List.of());
        if (together.stream().map(FittingRow::childName).distinct().count() < 2) {
            return last;
        }
        return Optional.of(together.stream()
                .filter(row -> row.childName().equalsIgnoreCase(child.strip()))
                .findFirst()
                .orElseThrow(() -> RefusedEntryException.fields(List.of(FieldProblem.notAmong(
                        "childName",
                        child,
                        together.stream().map(FittingRow::childName).toList())))));
    }

    /**
     * What a child brings back from its latest fitting: itself and its measures, carried from the day on which they were
     * taken, so that a fresh look replaces them and an old weight is asked for again.
     */
    private List<EntryDraft> carriedFrom(FittingRow latest, Point point, String seat) {
        Situation before = plans.of(latest, point).situation();
        List<EntryDraft> carried = new ArrayList<>();
        before.newest(
                        Fact.ChildDescribed.class,
                        fact -> fact.of().equals(before.unit().rider()))
                .ifPresent(each -> carried.add(carried(each)));
        before.newest(Fact.Weighed.class, fact -> fact.of().equals(before.unit().rider()))
                .ifPresent(each -> carried.add(carried(each)));
        before.measured(Fact.Dimension.BODY).ifPresent(each -> carried.add(carried(each)));
        if (seat.equals(before.unit().sheet())) {
            cameBack(latest, before).ifPresent(back -> carried.add(EntryDraft.now(How.MEASURED, 0, back)));
        }
        return carried;
    }

    /** The earlier fitting, where it was handed over. */
    private static Optional<Fact> cameBack(FittingRow earlier, Situation before) {
        Optional<Fact.LabelRead> label = before.label(Fact.Part.CARRIER).map(Stamped::value);
        return before.ended()
                .filter(ended -> ended.value().ending() == Fact.Ending.HANDED_OVER)
                // CND-3: whatever a family says, a seat of which a crash is known is looked at anew.
                .filter(ended -> before.newest(Fact.CrashedSince.class).isEmpty())
                .map(ended -> new Fact.CameBack(
                        earlier.unit(),
                        earlier.id(),
                        ended.on(),
                        label.map(Fact.LabelRead::model).orElse(null),
                        label.map(Fact.LabelRead::made).orElse(null)));
    }

    private static EntryDraft carried(Stamped<? extends Fact> earlier) {
        How how = new How(How.Kind.CARRIED_FROM, earlier.on().toString());
        // It is entered now; the day on which it was taken stands in how it is known.
        return new EntryDraft(UUID.randomUUID(), 0, null, how, null, earlier.value());
    }

    private Entry store(FittingRow row, EntryDraft draft, Author author, Point point, FittingPlan before) {
        List<FieldProblem> problems = FactCheck.problems(draft.fact(), before.situation());
        if (!problems.isEmpty()) {
            throw RefusedEntryException.fields(problems);
        }
        OffsetDateTime arrived =
                OffsetDateTime.now(viewing.clock().withZone(point.zone())).truncatedTo(ChronoUnit.SECONDS);
        OffsetDateTime at = draft.at() == null ? arrived : draft.at();
        int seq = row.nextSeq();
        int seen = Math.max(0, Math.min(draft.seen(), seq - 1));
        Fact fact = draft.fact() instanceof Fact.Ended ended && ended.ending() == Fact.Ending.HANDED_OVER
                ? ended.decidedBy(FittingPlanner.decision(before))
                : draft.fact();
        Entry entry = new Entry(
                draft.id(),
                seq,
                seen,
                at,
                author,
                draft.how(),
                draft.corrects(),
                fact,
                arrived,
                draft.waited() ? Boolean.TRUE : null,
                draft.look());
        String document = LayetteJson.strict().writeValueAsString(entry);
        // Persisted, never merged: an entry is new. It is written with its fitting's own row.
        entities.persist(
                new EntryRow(point.id(), new EntryRow.Key(row.recordId(), seq), entry.id(), at.toInstant(), document));
        return entry;
    }

    private static void project(FittingRow row, FittingPlan plan) {
        row.show(new FittingRow.Overview(
                plan.state(),
                plan.run().current().map(step -> step.key().name()).orElse(null),
                // What was handed over is not held up by what time has done since: that comes due instead.
                plan.state() == FittingState.HANDED_OVER ? 0 : blocking(plan),
                plan.dates().stream()
                        .map(event -> event.earliest().orElse(event.on()))
                        .filter(day -> day.isAfter(plan.situation().today()))
                        .min(LocalDate::compareTo)
                        .orElse(null),
                plan.situation().car().map(VehicleSheet::fullName).orElse(null)));
    }

    /** The fitting as it stands today. */
    @Transactional(readOnly = true)
    public Planned planned(UUID id, UUID pointId) {
        FittingRow row = fittings.find(id, pointId).orElseThrow(NoSuchFittingException::new);
        return planned(row, plans.of(row, viewing.point(pointId)));
    }

    /** What the seat of a fitting needed in its car the last time here, in whichever family. */
    @Transactional(readOnly = true)
    public Optional<LastSetUp> lastSetUp(Planned fitting, UUID pointId) {
        Situation now = fitting.plan().situation();
        return now.car()
                .flatMap(car ->
                        fittings
                                .handedOver(pointId, now.unit().sheet(), car.fullName(), fitting.id(), Limit.of(1))
                                .stream()
                                .findFirst()
                                .flatMap(row -> LastSetUp.of(
                                        plans.of(row, viewing.point(pointId)).situation(), now)));
    }

    /** The documents of a fitting's entries as they are stored, in their order; for the seal, which is over these. */
    @Transactional(readOnly = true)
    public List<String> documents(UUID pointId, UUID id) {
        UUID record = fittings.recordOf(pointId, id).orElseThrow(NoSuchFittingException::new);
        return entries.documents(pointId, record);
    }

    /** A child and a seat as an earlier fitting left them, and how that stands today. */
    public record ClearedBefore(
            String childName, SeatSheet seat, Optional<Mass> weight, EarlierClearing clearing, FittingPlan plan) {}

    /**
     * What the latest fitting of a family says about child and seat today.
     *
     * @param weight a weight taken just now; it is not kept
     */
    @Transactional(readOnly = true)
    public Optional<ClearedBefore> clearedBefore(UUID pointId, String reference, Optional<Mass> weight, Author author) {
        Point point = viewing.point(pointId);
        Optional<FittingRow> latest = families.findByPointIdAndReference(pointId, reference)
                .flatMap(family -> fittings.of(family, Limit.of(1)).stream().findFirst());
        // Of twins nobody said which is meant.
        if (latest.isEmpty()
                || fittings.together(pointId, latest.get().recordId()).stream()
                                .map(FittingRow::childName)
                                .distinct()
                                .count()
                        > 1) {
            return Optional.empty();
        }
        List<Entry> record =
                new ArrayList<>(plans.of(latest.get(), point).situation().everything());
        weight.ifPresent(mass -> record.add(new Entry(
                UUID.randomUUID(),
                record.size() + 1,
                record.size(),
                OffsetDateTime.now(viewing.clock().withZone(point.zone())),
                author,
                How.MEASURED,
                null,
                new Fact.Weighed(
                        plans.of(latest.get(), point).situation().unit().rider(), mass))));
        FittingPlan plan = plans.of(latest.get(), point, record);
        Situation then = plan.situation();
        return EarlierClearing.in(plan)
                .flatMap(clearing -> then.seat()
                        .map(seat -> new ClearedBefore(
                                latest.get().childName(), seat, then.weight().map(Stamped::value), clearing, plan)));
    }

    /** The fittings of all seats that are fitted together with this one, itself among them. */
    @Transactional(readOnly = true)
    public List<UUID> together(UUID pointId, UUID fitting) {
        return fittings
                .recordOf(pointId, fitting)
                .map(record -> fittings.together(pointId, record))
                .orElse(List.of())
                .stream()
                .map(FittingRow::id)
                .toList();
    }

    /** What the actual seat of a fitting is called in its entries. */
    @Transactional(readOnly = true)
    public String unit(UUID id, UUID pointId) {
        return fittings.find(id, pointId)
                .orElseThrow(NoSuchFittingException::new)
                .unit();
    }

    /** Whether a family with this reference is known at a fitting point. */
    @Transactional(readOnly = true)
    public boolean knowsFamily(UUID pointId, String reference) {
        return families.findByPointIdAndReference(pointId, reference).isPresent();
    }

    /** The last place of a fitting, for asking whether anybody added to it. */
    @Transactional(readOnly = true)
    public int lastSeq(UUID id, UUID pointId) {
        return fittings.find(id, pointId)
                .orElseThrow(NoSuchFittingException::new)
                .lastSeq();
    }

    private static Beside beside(Situation here, FittingRow other) {
        boolean sameSeat = here.neighbours().inOtherCars().stream()
                .anyMatch(each -> each.id().equals(other.unit()));
        FittingRow.Overview overview = other.overview();
        return new Beside(
                other.id(),
                other.childName(),
                overview.state(),
                sameSeat,
                Optional.ofNullable(overview.car()).filter(car -> sameSeat && !car.isBlank()));
    }

    private Planned planned(FittingRow row, FittingPlan plan) {
        boolean one = plan.situation().neighbours().isAlone();
        List<Beside> others = one
                ? List.of()
                : fittings.together(row.pointId(), row.recordId()).stream()
                        .filter(each -> each != row)
                        .map(each -> beside(plan.situation(), each))
                        .toList();
        return new Planned(row.id(), row.family().reference(), row.childName(), plan, others);
    }

    /**
     * A fitting as lists show it.
     *
     * @param car its name; {@code null} where nobody said it
     * @param nextStep {@code null} where nothing is left to do
     */
    public record Listed(
            UUID id,
            String child,
            String reference,
            String car,
            FittingState state,
            StepKey nextStep,
            int blocking,
            Instant touchedAt) {}

    private static Listed listed(FittingRow row) {
        FittingRow.Overview overview = row.overview();
        return new Listed(
                row.id(),
                row.childName(),
                row.family().reference(),
                overview.car(),
                overview.state(),
                overview.nextStep() == null ? null : StepKey.valueOf(overview.nextStep()),
                overview.blocking(),
                row.touchedAt());
    }

    /** A fitting of this point as lists show it; empty where it is another's. */
    @Transactional(readOnly = true)
    public Optional<Listed> listed(UUID id, UUID pointId) {
        return fittings.find(id, pointId).map(Fittings::listed);
    }

    /**
     * A reference for the next family: the newest one's number and one, as far on as it takes to be free; empty where
     * references here have no numbers.
     */
    @Transactional(readOnly = true)
    public String nextReference(UUID pointId) {
        Optional<Matcher> newest = fittings.newestReferences(pointId, Limit.of(REFERENCES_READ)).stream()
                .map(NUMBERED::matcher)
                .filter(Matcher::matches)
                .max(Comparator.comparingLong(each -> Long.parseLong(each.group(2))));
        if (newest.isEmpty()) {
            return "";
        }
        long number = Long.parseLong(newest.get().group(2));
        String prefix = newest.get().group(1);
        for (int i = 1; i <= REFERENCES_TRIED; i++) {
            String next = prefix + (number + i);
            if (families.findByPointIdAndReference(pointId, next).isEmpty()) {
                return next;
            }
        }
        return "";
    }

    /** An open fitting in a list to choose from. */
    public record OpenOne(UUID id, String child, String reference, boolean chosen) {}

    /** The open fittings of a point and those that were chosen before, newest first. */
    @Transactional(readOnly = true)
    public List<OpenOne> openOnes(SignedIn user, List<UUID> chosen) {
        return recent(user).stream()
                .filter(each -> each.state().isUnderWay() || chosen.contains(each.id()))
                .map(each -> new OpenOne(each.id(), each.child(), each.reference(), chosen.contains(each.id())))
                .toList();
    }

    /**
     * Reads a correction from the fields of a form. It is known no better than what it corrects: an estimate that is
     * corrected stays an estimate, and a page stays a page.
     *
     * @param before the entries of the fitting
     * @param today the fitting point's day
     * @throws RefusedEntryException with every problem found, or when it corrects nothing
     */
    public EntryDraft correctionOf(Map<String, String> fields, List<Entry> before, LocalDate today) {
        Fact fact = FactForm.read(fields, today);
        Entry corrected = before.stream()
                .filter(each -> each.id().toString().equals(fields.get("corrects")))
                .findFirst()
                .orElseThrow(() -> RefusedEntryException.because("CORRECTS_NOTHING"));
        String last = fields.getOrDefault("seen", "0");
        int seen = last.matches("\\d{1,9}") ? Integer.parseInt(last) : 0;
        String id = fields.getOrDefault("entry", "");
        UUID own = id.matches("[0-9a-fA-F-]{36}") ? UUID.fromString(id) : UUID.randomUUID();
        return new EntryDraft(own, seen, null, corrected.how(), corrected.id(), fact);
    }

    /** Says why an entry was refused, a sentence for each problem. */
    public static List<String> say(RefusedEntryException refused, Wording words) {
        return refused.reason().isEmpty()
                ? refused.problems().stream().map(each -> words.say(each)).toList()
                : List.of(words.say("refused." + refused.reason()));
    }

    /** Every fitting whose child or reference has this in it, however long ago, the last touched first. */
    @Transactional(readOnly = true)
    public List<Listed> find(SignedIn user, String part) {
        String pattern = "%"
                + part.toLowerCase(Locale.ROOT)
                        .replace("\\", "\\\\")
                        .replace("%", "\\%")
                        .replace("_", "\\_") + "%";
        return fittings.find(user.pointId(), fittings.like(user.pointId(), pattern, MOST_IN_TODAY)).stream()
                .map(Fittings::listed)
                .toList();
    }

    /** Fittings that are open or were touched since yesterday, newest first. */
    @Transactional(readOnly = true)
    public List<Listed> recent(SignedIn user) {
        return fittings
                .recent(
                        user.pointId(),
                        viewing.clock().instant().minus(DAYS_IN_TODAY, ChronoUnit.DAYS),
                        Limit.of(MOST_IN_TODAY))
                .stream()
                .map(Fittings::listed)
                .toList();
    }
}
