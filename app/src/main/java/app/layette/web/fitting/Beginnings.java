package app.layette.web.fitting;

import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.FittingRecord.Unit;
import app.layette.core.entry.How;
import app.layette.core.entry.SheetId;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.measure.Mass;
import app.layette.core.practice.PracticeProfile;
import app.layette.core.ride.EarlierClearing;
import app.layette.core.seat.SeatSheet;
import app.layette.web.account.Point;
import app.layette.web.account.Viewing;
import app.layette.web.practice.Profiles;
import app.layette.web.wall.Turns;
import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How a fitting begins: a family that walks in, or that comes back with what its earlier fitting says. */
@Service
public class Beginnings {
    private static final int REFERENCES_READ = 20;
    private static final int REFERENCES_TRIED = 50;
    private static final Pattern NUMBERED = Pattern.compile("(.*?)(\\d{1,9})");

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
        public Begin(String reference, String childName, SheetVersion seat, List<EntryDraft> entries) {
            this(UUID.randomUUID(), reference, childName, seat, entries, false);
        }
    }

    private final FamilyRows families;
    private final FittingRows fittings;
    private final Profiles profiles;
    private final FittingPlans plans;
    private final FittingWriter writer;
    private final Viewing viewing;
    private final EntityManager entities;
    private final Turns turns;

    Beginnings(
            FamilyRows families,
            FittingRows fittings,
            Profiles profiles,
            FittingPlans plans,
            FittingWriter writer,
            Viewing viewing,
            EntityManager entities,
            Turns turns) {
        this.families = families;
        this.fittings = fittings;
        this.profiles = profiles;
        this.plans = plans;
        this.writer = writer;
        this.viewing = viewing;
        this.entities = entities;
        this.turns = turns;
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
        if (writer.isHere(begin.id(), pointId)) {
            return begin.id();
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
        List<EntryDraft> carried = earlier.map(row -> carriedFrom(row, point, SheetId.of(begin.seat())))
                .orElse(List.of());
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
            Entry entry = writer.store(row, draft, author, point, plan);
            plan = plans.after(row, point, plan, entry);
        }
        writer.begun(row, point, plan);
        return row.id();
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
    private List<EntryDraft> carriedFrom(FittingRow latest, Point point, SheetId seat) {
        Situation before = plans.of(latest, point).situation();
        List<EntryDraft> carried = new ArrayList<>();
        before.newest(
                        Fact.ChildDescribed.class,
                        fact -> fact.of().is(before.unit().rider()))
                .ifPresent(each -> carried.add(carried(each)));
        before.newest(Fact.Weighed.class, fact -> fact.of().is(before.unit().rider()))
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

    /** Whether a family with this reference is known at a fitting point. */
    @Transactional(readOnly = true)
    public boolean knowsFamily(UUID pointId, String reference) {
        return families.findByPointIdAndReference(pointId, reference).isPresent();
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
}
