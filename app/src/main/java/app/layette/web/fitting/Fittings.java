package app.layette.web.fitting;

import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FactCheck;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.FittingRecord.Unit;
import app.layette.core.entry.Sheets;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.fitting.FittingState;
import app.layette.core.practice.Practice;
import app.layette.core.practice.PracticeProfile;
import app.layette.formats.json.LayetteJson;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.practice.Profiles;
import app.layette.web.shelf.Shelf;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
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

    /** What a family begins with. */
    record Begin(String reference, String childName, SheetVersion seat, List<EntryDraft> entries) {}

    private final FamilyRows families;
    private final FittingRows fittings;
    private final EntryRows entries;
    private final Profiles profiles;
    private final Shelf shelf;
    private final Viewing viewing;
    private final FittingPlanner planner = new FittingPlanner();

    Fittings(
            FamilyRows families,
            FittingRows fittings,
            EntryRows entries,
            Profiles profiles,
            Shelf shelf,
            Viewing viewing) {
        this.families = families;
        this.fittings = fittings;
        this.entries = entries;
        this.profiles = profiles;
        this.shelf = shelf;
        this.viewing = viewing;
    }

    /** Begins a fitting; its first entries are stored with it or not at all. */
    @Transactional
    UUID begin(Begin begin, UUID pointId, Author author) {
        Point point = viewing.point(pointId);
        if (families.existsByPointIdAndReference(pointId, begin.reference())) {
            throw RefusedEntryException.fields(
                    List.of(new FieldProblem("reference", begin.reference(), "TAKEN", "", "")));
        }
        PracticeProfile profile = profiles.current(point);
        Family family = families.save(new Family(pointId, begin.reference(), begin.childName()));
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
        for (EntryDraft draft : begin.entries()) {
            store(row, draft, author, point);
        }
        project(row, point);
        return row.id();
    }

    /**
     * Adds an entry. Sending the same one twice is harmless.
     *
     * @return the place of the entry
     * @throws RefusedEntryException when a field is not allowed, the fitting is closed, or the gate is shut
     */
    @Transactional
    public int append(UUID fittingId, EntryDraft draft, UUID pointId, Author author) {
        Point point = viewing.point(pointId);
        FittingRow row = fittings.lock(fittingId, pointId).orElseThrow(NoSuchFittingException::new);
        Optional<EntryRow> held = entries.findById(draft.id());
        if (held.isPresent()) {
            if (!held.get().key().fittingId().equals(fittingId)) {
                throw RefusedEntryException.because("ID_TAKEN");
            }
            return held.get().key().seq();
        }
        if (row.overview().state() != FittingState.OPEN) {
            throw RefusedEntryException.because("CLOSED");
        }
        if (draft.fact() instanceof Fact.Ended ended) {
            checkEnding(ended, row, point, author);
        }
        if (draft.fact() instanceof Fact.Countersigned && author.isTrainee()) {
            throw RefusedEntryException.because("TRAINEE_SIGNS");
        }
        int seq = store(row, draft, author, point);
        project(row, point);
        return seq;
    }

    private void checkEnding(Fact.Ended ended, FittingRow row, Point point, Author author) {
        if (author.isTrainee()) {
            throw RefusedEntryException.because("TRAINEE_SIGNS");
        }
        boolean shut =
                ended.ending() == Fact.Ending.HANDED_OVER && !plan(row, point).mayHandOver();
        if (shut) {
            throw RefusedEntryException.because("GATE_SHUT");
        }
    }

    private int store(FittingRow row, EntryDraft draft, Author author, Point point) {
        List<FieldProblem> problems =
                FactCheck.problems(draft.fact(), plan(row, point).situation());
        if (!problems.isEmpty()) {
            throw RefusedEntryException.fields(problems);
        }
        OffsetDateTime at = draft.at() != null
                ? draft.at()
                : OffsetDateTime.now(viewing.clock().withZone(point.zone())).truncatedTo(ChronoUnit.SECONDS);
        int seq = row.nextSeq();
        int seen = Math.max(0, Math.min(draft.seen(), seq - 1));
        Entry entry = new Entry(draft.id(), seq, seen, at, author, draft.how(), draft.corrects(), draft.fact());
        checkCorrection(row, entry);
        String document = LayetteJson.strict().writeValueAsString(entry);
        entries.saveAndFlush(new EntryRow(new EntryRow.Key(row.id(), seq), entry.id(), at.toInstant(), document));
        return seq;
    }

    /** A correction that no replay could place must not get in. */
    private void checkCorrection(FittingRow row, Entry entry) {
        if (entry.corrects() == null) {
            return;
        }
        boolean sameKind = entriesOf(row).stream()
                .anyMatch(each -> each.id().equals(entry.corrects())
                        && each.fact().getClass().equals(entry.fact().getClass()));
        if (!sameKind) {
            throw RefusedEntryException.because("CORRECTS_NOTHING");
        }
    }

    private void project(FittingRow row, Point point) {
        FittingPlan plan = plan(row, point);
        row.show(
                new FittingRow.Overview(
                        plan.state(),
                        plan.run().current().map(step -> step.key().name()).orElse(null),
                        plan.gate().blocking().size(),
                        plan.dates().stream()
                                .findFirst()
                                .map(event -> event.on())
                                .orElse(null)),
                viewing.clock().instant());
    }

    /** The fitting as it stands today. */
    @Transactional(readOnly = true)
    public Planned planned(UUID id, UUID pointId) {
        FittingRow row = fittings.find(id, pointId).orElseThrow(NoSuchFittingException::new);
        FittingPlan plan = plan(row, viewing.point(pointId));
        return new Planned(row.id(), row.family().reference(), row.family().childName(), plan);
    }

    private FittingPlan plan(FittingRow row, Point point) {
        FittingRow.Beginning beginning = row.beginning();
        PracticeProfile profile =
                profiles.version(beginning.pointId(), beginning.profileId(), beginning.profileVersion());
        Practice practice = new Practice(profile, beginning.lawCountry(), point.zone());
        List<Entry> record = entriesOf(row);
        Sheets sheets = shelf.sheets(beginning.pointId(), sheetIds(beginning.seatSheet(), record));
        FittingRecord fitting =
                new FittingRecord(List.of(RIDER), List.of(new Unit(UNIT, RIDER, beginning.seatSheet())), record);
        return planner.plan(practice, sheets, fitting, viewing.today(point));
    }

    private static List<String> sheetIds(String seat, List<Entry> record) {
        List<String> ids = new ArrayList<>(List.of(seat));
        for (Entry entry : record) {
            if (entry.fact() instanceof Fact.SheetAdopted adopted) {
                ids.add(adopted.of());
            }
        }
        return ids;
    }

    private List<Entry> entriesOf(FittingRow row) {
        return entries.of(row.id()).stream()
                .map(each -> LayetteJson.strict().readValue(each.document(), Entry.class))
                .toList();
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
