package app.layette.web.fitting;

import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FactCheck;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.FittingRecord.Unit;
import app.layette.core.entry.How;
import app.layette.core.entry.Sheets;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.fitting.FittingState;
import app.layette.core.fitting.PlanDifference;
import app.layette.core.measure.Mass;
import app.layette.core.practice.Practice;
import app.layette.core.practice.PracticeProfile;
import app.layette.core.rethread.Move;
import app.layette.core.rethread.ShellBack;
import app.layette.core.ride.EarlierClearing;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.practice.Profiles;
import app.layette.web.shelf.Shelf;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Fittings: beginning one, adding entries, planning. */
@Service
public class Fittings {
    static final String RIDER = "r1";
    static final String UNIT = "u1";
    private static final int DAYS_IN_TODAY = 2;
    private static final int MOST_IN_TODAY = 100;

    /** A fitting with everything that follows from its entries today. */
    public record Planned(UUID id, String reference, String childName, FittingPlan plan) {}

    /** An entry in its place, the fitting after it, and what that changed. */
    public record Appended(int seq, Planned after, PlanDifference changed) {}

    /** What a family begins with. */
    record Begin(String reference, String childName, SheetVersion seat, List<EntryDraft> entries, boolean comesBack) {
        Begin(String reference, String childName, SheetVersion seat, List<EntryDraft> entries) {
            this(reference, childName, seat, entries, false);
        }
    }

    private final FamilyRows families;
    private final FittingRows fittings;
    private final EntryRows entries;
    private final EntryLog log;
    private final Profiles profiles;
    private final Shelf shelf;
    private final Viewing viewing;
    private final ApplicationEventPublisher events;
    private final FittingPlanner planner = new FittingPlanner();

    Fittings(
            FamilyRows families,
            FittingRows fittings,
            EntryRows entries,
            EntryLog log,
            Profiles profiles,
            Shelf shelf,
            Viewing viewing,
            ApplicationEventPublisher events) {
        this.families = families;
        this.fittings = fittings;
        this.entries = entries;
        this.log = log;
        this.profiles = profiles;
        this.shelf = shelf;
        this.viewing = viewing;
        this.events = events;
    }

    /** Begins a fitting; its first entries are stored with it or not at all. */
    @Transactional
    UUID begin(Begin begin, UUID pointId, Author author) {
        Point point = viewing.point(pointId);
        Optional<Family> known = families.findByPointIdAndReference(pointId, begin.reference());
        if (known.isPresent() != begin.comesBack()) {
            String reason = known.isPresent() ? "TAKEN" : "UNKNOWN_FAMILY";
            throw RefusedEntryException.fields(
                    List.of(new FieldProblem("reference", begin.reference(), reason, "", "")));
        }
        PracticeProfile profile = profiles.current(point);
        List<EntryDraft> carried =
                known.map(family -> carriedFrom(family, point)).orElse(List.of());
        Family family = known.orElseGet(() -> families.save(new Family(pointId, begin.reference(), begin.childName())));
        FittingRow row = fittings.save(new FittingRow(
                UUID.randomUUID(),
                family,
                new FittingRow.Beginning(
                        pointId,
                        profile.id(),
                        profile.version(),
                        point.lawCountry(),
                        begin.seat().id()),
                viewing.clock().instant()));
        FittingPlan plan = plan(row, point, List.of());
        List<EntryDraft> first = new ArrayList<>(carried);
        first.addAll(begin.entries());
        for (EntryDraft draft : first) {
            Entry entry = store(row, draft, author, point, plan);
            plan = planAfter(row, point, plan, entry);
        }
        project(row, plan);
        if (!first.isEmpty()) {
            Entry last = plan.situation()
                    .everything()
                    .get(plan.situation().everything().size() - 1);
            events.publishEvent(new FittingChanged(row.id(), pointId, last, plan));
        }
        return row.id();
    }

    /**
     * Adds an entry. Sending the same one twice is harmless.
     *
     * @return the place of the entry, and the fitting as it stands after it
     * @throws RefusedEntryException when a field is not allowed, the fitting is closed, or the gate is shut
     */
    @Transactional
    public Appended append(UUID fittingId, EntryDraft draft, UUID pointId, Author author) {
        Point point = viewing.point(pointId);
        FittingRow row = fittings.lock(fittingId, pointId).orElseThrow(NoSuchFittingException::new);
        FittingPlan before = plan(row, point, log.of(row));
        Optional<EntryRow> held = entries.findById(draft.id());
        if (held.isPresent()) {
            if (!held.get().key().fittingId().equals(fittingId)) {
                throw RefusedEntryException.because("ID_TAKEN");
            }
            return new Appended(held.get().key().seq(), planned(row, before), PlanDifference.between(before, before));
        }
        checkAllowed(draft, before, author);
        Entry entry = store(row, draft, author, point, before);
        FittingPlan after = planAfter(row, point, before, entry);
        project(row, after);
        events.publishEvent(new FittingChanged(row.id(), pointId, entry, after));
        return new Appended(entry.seq(), planned(row, after), PlanDifference.between(before, after));
    }

    /**
     * Corrects an entry and says why, both or neither.
     *
     * @throws RefusedEntryException when either is not allowed
     */
    @Transactional
    public Appended correct(UUID fittingId, EntryDraft correction, String reason, UUID pointId, Author author) {
        Fact.Noted why = new Fact.Noted(UNIT, correction.corrects(), reason);
        append(fittingId, EntryDraft.now(How.MEASURED, correction.seen(), why), pointId, author);
        return append(fittingId, correction, pointId, author);
    }

    /**
     * What a family brings back from its latest fitting: the child and its measures, carried from the day on which
     * they were taken, so that a fresh look replaces them and an old weight is asked for again.
     */
    private List<EntryDraft> carriedFrom(Family family, Point point) {
        Optional<FittingRow> latest = fittings.of(family, Limit.of(1)).stream().findFirst();
        if (latest.isEmpty()) {
            return List.of();
        }
        Situation before = plan(latest.get(), point, log.of(latest.get())).situation();
        List<EntryDraft> carried = new ArrayList<>();
        before.newest(Fact.ChildDescribed.class).ifPresent(each -> carried.add(carried(each)));
        before.newest(Fact.Weighed.class).ifPresent(each -> carried.add(carried(each)));
        before.measured(Fact.Dimension.BODY).ifPresent(each -> carried.add(carried(each)));
        return carried;
    }

    private static EntryDraft carried(Stamped<? extends Fact> earlier) {
        How how = new How(How.Kind.CARRIED_FROM, earlier.on().toString());
        return new EntryDraft(UUID.randomUUID(), 0, earlier.at(), how, null, earlier.value());
    }

    private static void checkAllowed(EntryDraft draft, FittingPlan before, Author author) {
        Fact fact = draft.fact();
        // A sealed record takes additions, and corrections beside what they correct; neither touches the seal.
        boolean addition = fact instanceof Fact.Noted || draft.corrects() != null;
        boolean ends = fact instanceof Fact.Ended;
        if (before.state() != FittingState.OPEN && (!addition || ends)) {
            throw RefusedEntryException.because("CLOSED");
        }
        boolean signs = fact instanceof Fact.Ended || fact instanceof Fact.Countersigned;
        if (signs && author.isTrainee()) {
            throw RefusedEntryException.because("TRAINEE_SIGNS");
        }
        boolean leads = fact instanceof Fact.SheetAdopted sheet
                && before.situation().pendingVersions().contains(new SheetVersion(sheet.of(), sheet.version()));
        if (leads && author.role() != Author.Role.LEAD) {
            throw RefusedEntryException.because("LEAD_ADOPTS");
        }
        checkMove(fact, before);
        boolean taught = fact instanceof Fact.Ended ended && ended.ending() == Fact.Ending.TAUGHT;
        if (taught && !before.situation().isBedside()) {
            throw RefusedEntryException.because("NOT_BEDSIDE");
        }
        boolean handsOver = fact instanceof Fact.Ended ended && ended.ending() == Fact.Ending.HANDED_OVER;
        if (handsOver && !before.mayHandOver()) {
            throw RefusedEntryException.because("GATE_SHUT");
        }
    }

    /** HAR-4: a move that would lose the way back is not made. */
    private static void checkMove(Fact fact, FittingPlan before) {
        if (fact instanceof Fact.WebbingMoved moved) {
            ShellBack back = ShellBack.in(before.situation())
                    .orElseThrow(() -> RefusedEntryException.because("RETHREAD_NO_SLOTS"));
            // Which webbing has to be named is the fact check's business.
            boolean named = FactCheck.problems(fact, before.situation()).isEmpty();
            if (named) {
                back.refuses(Move.from(moved)).ifPresent(refusal -> {
                    throw RefusedEntryException.because("RETHREAD_" + refusal);
                });
            }
        }
    }

    private Entry store(FittingRow row, EntryDraft draft, Author author, Point point, FittingPlan before) {
        List<FieldProblem> problems = FactCheck.problems(draft.fact(), before.situation());
        if (!problems.isEmpty()) {
            throw RefusedEntryException.fields(problems);
        }
        checkCorrection(draft, before);
        OffsetDateTime at = draft.at() != null
                ? draft.at()
                : OffsetDateTime.now(viewing.clock().withZone(point.zone())).truncatedTo(ChronoUnit.SECONDS);
        int seq = row.nextSeq();
        int seen = Math.max(0, Math.min(draft.seen(), seq - 1));
        Entry entry = new Entry(draft.id(), seq, seen, at, author, draft.how(), draft.corrects(), draft.fact());
        String document = LayetteJson.strict().writeValueAsString(entry);
        entries.saveAndFlush(new EntryRow(new EntryRow.Key(row.id(), seq), entry.id(), at.toInstant(), document));
        return entry;
    }

    /** A correction that no replay could place must not get in. */
    private static void checkCorrection(EntryDraft draft, FittingPlan before) {
        if (draft.corrects() == null) {
            return;
        }
        boolean sameKind = before.situation().everything().stream()
                .anyMatch(each -> each.id().equals(draft.corrects())
                        && each.fact().getClass().equals(draft.fact().getClass()));
        if (!sameKind) {
            throw RefusedEntryException.because("CORRECTS_NOTHING");
        }
    }

    private void project(FittingRow row, FittingPlan plan) {
        row.show(
                new FittingRow.Overview(
                        plan.state(),
                        plan.run().current().map(step -> step.key().name()).orElse(null),
                        plan.gate().blocking().size(),
                        plan.dates().stream()
                                .map(event -> event.earliest().orElse(event.on()))
                                .min(LocalDate::compareTo)
                                .orElse(null)),
                viewing.clock().instant());
    }

    /** The fitting as it stands today. */
    @Transactional(readOnly = true)
    public Planned planned(UUID id, UUID pointId) {
        FittingRow row = fittings.find(id, pointId).orElseThrow(NoSuchFittingException::new);
        return planned(row, plan(row, viewing.point(pointId), log.of(row)));
    }

    /** A child and a seat as an earlier fitting left them, and how that stands today. */
    public record ClearedBefore(String childName, SeatSheet seat, Optional<Mass> weight, EarlierClearing clearing) {}

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
        if (latest.isEmpty()) {
            return Optional.empty();
        }
        List<Entry> record = new ArrayList<>(log.of(latest.get()));
        weight.ifPresent(mass -> record.add(new Entry(
                UUID.randomUUID(),
                record.size() + 1,
                record.size(),
                OffsetDateTime.now(viewing.clock().withZone(point.zone())),
                author,
                How.MEASURED,
                null,
                new Fact.Weighed(RIDER, mass))));
        FittingPlan plan = plan(latest.get(), point, record);
        Situation then = plan.situation();
        return EarlierClearing.in(plan)
                .flatMap(clearing -> then.seat()
                        .map(seat -> new ClearedBefore(
                                latest.get().family().childName(),
                                seat,
                                then.weight().map(Stamped::value),
                                clearing)));
    }

    /** The fitting point that a fitting belongs to, for whoever comes by another way than signing in. */
    @Transactional(readOnly = true)
    public UUID pointOf(UUID fittingId) {
        return fittings.findById(fittingId)
                .map(row -> row.beginning().pointId())
                .orElseThrow(NoSuchFittingException::new);
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

    private static Planned planned(FittingRow row, FittingPlan plan) {
        return new Planned(row.id(), row.family().reference(), row.family().childName(), plan);
    }

    private FittingPlan planAfter(FittingRow row, Point point, FittingPlan before, Entry entry) {
        List<Entry> all = new ArrayList<>(before.situation().everything());
        all.add(entry);
        return plan(row, point, all);
    }

    private FittingPlan plan(FittingRow row, Point point, List<Entry> record) {
        FittingRow.Beginning beginning = row.beginning();
        PracticeProfile profile =
                profiles.version(beginning.pointId(), beginning.profileId(), beginning.profileVersion());
        Practice practice = new Practice(profile, beginning.lawCountry(), point.zone());
        Sheets sheets = shelf.sheets(beginning.pointId(), sheetIds(beginning.seatSheet(), record));
        FittingRecord fitting =
                new FittingRecord(List.of(RIDER), List.of(new Unit(UNIT, RIDER, beginning.seatSheet())), record);
        return planner.plan(practice, sheets, fitting, viewing.today(point));
    }

    private static List<String> sheetIds(String seat, List<Entry> record) {
        List<String> ids = new ArrayList<>(List.of(seat));
        for (Entry entry : record) {
            if (entry.fact() instanceof Fact.SheetAdopted adopted && !ids.contains(adopted.of())) {
                ids.add(adopted.of());
            }
        }
        return ids;
    }

    /** An open fitting in a list to choose from. */
    public record OpenOne(UUID id, String child, String reference, boolean chosen) {}

    /** The open fittings of a point, newest first. */
    @Transactional(readOnly = true)
    public List<OpenOne> openOnes(SignedIn user, List<UUID> chosen) {
        return recent(user).stream()
                .filter(row -> row.overview().state() == FittingState.OPEN)
                .map(row -> new OpenOne(
                        row.id(), row.family().childName(), row.family().reference(), chosen.contains(row.id())))
                .toList();
    }

    /**
     * Reads a correction from the fields of a form. It is known no better than what it corrects: an estimate that is
     * corrected stays an estimate, and a page stays a page.
     *
     * @param before the entries of the fitting
     * @throws RefusedEntryException with every problem found, or when it corrects nothing
     */
    public EntryDraft correctionOf(Map<String, String> fields, List<Entry> before) {
        Fact fact = FactForm.read(fields);
        Entry corrected = before.stream()
                .filter(each -> each.id().toString().equals(fields.get("corrects")))
                .findFirst()
                .orElseThrow(() -> RefusedEntryException.because("CORRECTS_NOTHING"));
        String last = fields.getOrDefault("seen", "0");
        int seen = last.matches("\\d{1,9}") ? Integer.parseInt(last) : 0;
        return new EntryDraft(UUID.randomUUID(), seen, null, corrected.how(), corrected.id(), fact);
    }

    /** Says why an entry was refused, a sentence for each problem. */
    public static List<String> say(RefusedEntryException refused, Wording words) {
        return refused.reason().isEmpty()
                ? refused.problems().stream()
                        .map(each -> Problems.say(each, words))
                        .toList()
                : List.of(words.say("refused." + refused.reason()));
    }

    /** Fittings that are open or were touched since yesterday, newest first. */
    @Transactional(readOnly = true)
    List<FittingRow> recent(SignedIn user) {
        return fittings.recent(
                user.pointId(),
                viewing.clock().instant().minus(DAYS_IN_TODAY, ChronoUnit.DAYS),
                Limit.of(MOST_IN_TODAY));
    }
}
