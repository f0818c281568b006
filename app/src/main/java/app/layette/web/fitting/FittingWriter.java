package app.layette.web.fitting;

import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.EntryParts;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FactCheck;
import app.layette.core.entry.FieldProblem;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.fitting.FittingState;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.json.LayetteJson;
import app.layette.web.account.Point;
import app.layette.web.account.Viewing;
import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** The rows that a fitting is kept in: locked for whoever adds to it, and what follows from an entry beside it. */
@Component
class FittingWriter {
    private final FittingRows fittings;
    private final FittingPlans plans;
    private final Viewing viewing;
    private final EntityManager entities;
    private final ApplicationEventPublisher events;

    FittingWriter(
            FittingRows fittings,
            FittingPlans plans,
            Viewing viewing,
            EntityManager entities,
            ApplicationEventPublisher events) {
        this.fittings = fittings;
        this.plans = plans;
        this.viewing = viewing;
        this.entities = entities;
        this.events = events;
    }

    /** A fitting whose next entry waits: nobody else adds to it until the transaction is over. */
    record Locked(FittingRow row, Point point, FittingPlan plan) {
        /** The same after an entry. */
        Locked with(FittingPlan after) {
            return new Locked(row, point, after);
        }
    }

    Locked lock(UUID fittingId, UUID pointId) {
        Point point = viewing.point(pointId);
        FittingRow row = fittings.find(fittingId, pointId).orElseThrow(NoSuchFittingException::new);
        // One that was read before it was locked is still as it was then: whoever held the lock may have added.
        if (row.isFirst()) {
            entities.refresh(row, LockModeType.PESSIMISTIC_WRITE);
        } else {
            FittingRow first = fittings.lock(row.recordId(), pointId).orElseThrow(NoSuchFittingException::new);
            entities.refresh(first);
            entities.refresh(row);
        }
        return new Locked(row, point, plans.of(row, point));
    }

    /**
     * Whether the fitting of a seat is there already; with an id that somebody else has it is refused, because saving it
     * would write over theirs.
     */
    boolean isHere(UUID id, UUID pointId) {
        if (fittings.find(id, pointId).isPresent()) {
            return true;
        }
        if (fittings.existsById(id)) {
            throw RefusedEntryException.because("ID_TAKEN");
        }
        return false;
    }

    Entry store(FittingRow row, EntryDraft draft, Author author, Point point, FittingPlan before) {
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
        Entry entry = EntryParts.builder()
                .id(draft.id())
                .seq(seq)
                .seen(seen)
                .at(at)
                .by(author)
                .how(draft.how())
                .corrects(draft.corrects())
                .fact(fact)
                .arrived(arrived)
                .waited(draft.waited() ? Boolean.TRUE : null)
                .look(draft.look())
                .build();
        String document = LayetteJson.strict().writeValueAsString(entry);
        // Persisted, never merged: an entry is new. It is written with its fitting's own row.
        entities.persist(
                new EntryRow(point.id(), new EntryRow.Key(row.recordId(), seq), entry.id(), at.toInstant(), document));
        return entry;
    }

    static void project(FittingRow row, FittingPlan plan) {
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

    /** What keeps it from being handed over; before a birth, and at the bedside, at least that. */
    private static int blocking(FittingPlan plan) {
        int shut = plan.gate().blocking().size();
        return plan.mayHandOver() ? shut : Math.max(1, shut);
    }

    /** A new row with its first entries: whoever hears of it writes beside it, so the row has to be there. */
    void begun(FittingRow row, Point point, FittingPlan plan) {
        project(row, plan);
        entities.flush();
        List<Entry> all = plan.situation().everything();
        if (!all.isEmpty()) {
            events.publishEvent(new FittingChanged(row.id(), point.id(), all.get(all.size() - 1), plan));
            events.publishEvent(new FittingPlanned(row.id(), point.id(), plan));
        }
    }

    /** What is of the car is of every seat in it: the lists and what comes due follow for all of them. */
    void refreshBeside(FittingRow changed, Point point, FittingPlan after) {
        if (after.situation().neighbours().isAlone()) {
            return;
        }
        for (FittingRow other : fittings.together(changed.pointId(), changed.recordId())) {
            if (other != changed) {
                FittingPlan plan = plans.of(other, point, after.situation().everything());
                project(other, plan);
                events.publishEvent(new FittingPlanned(other.id(), point.id(), plan));
            }
        }
    }
}
