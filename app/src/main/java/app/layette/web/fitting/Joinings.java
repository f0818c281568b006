package app.layette.web.fitting;

import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.FittingRecord.Unit;
import app.layette.core.entry.How;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.SheetId;
import app.layette.core.entry.Situation;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.seat.SeatKind;
import app.layette.web.account.Viewing;
import app.layette.web.wall.Turns;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Several seats in one visit: another child with a seat of its own, or the same seat in another car. */
@Service
public class Joinings {
    private static final int MOST_UNITS = 4;
    private static final int LONGEST_NAME = 80;

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

    private final FittingRows fittings;
    private final FittingPlans plans;
    private final FittingWriter writer;
    private final Viewing viewing;
    private final EntityManager entities;
    private final Turns turns;

    Joinings(
            FittingRows fittings,
            FittingPlans plans,
            FittingWriter writer,
            Viewing viewing,
            EntityManager entities,
            Turns turns) {
        this.fittings = fittings;
        this.plans = plans;
        this.writer = writer;
        this.viewing = viewing;
        this.entities = entities;
        this.turns = turns;
    }

    /**
     * Takes in another child with a seat of its own. Joining it twice is harmless.
     *
     * @return the fitting of that seat
     * @throws RefusedEntryException when the fitting is closed or the name is missing or too long
     */
    @Transactional
    public UUID join(UUID fittingId, Join join, UUID pointId, Author author) {
        turns.take("fitting " + join.id());
        FittingWriter.Locked beside = writer.lock(fittingId, pointId);
        if (writer.isHere(join.id(), pointId)) {
            return join.id();
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
                        && sheet.of().equals(SheetId.of(join.seat())));
        if (!adopted) {
            drafts.add(EntryDraft.now(
                    How.MEASURED, now.lastSeq(), new Fact.SheetAdopted(join.seat(), Fact.Adoption.ADOPTED, null)));
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
        turns.take("fitting " + other.id());
        FittingWriter.Locked beside = writer.lock(fittingId, pointId);
        if (writer.isHere(other.id(), pointId)) {
            return other.id();
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
        UnitId unit = unused(fittings.of(first.family(), Limit.unlimited())).id();
        Fact.UnitJoined joined = new Fact.UnitJoined(
                unit, now.unit().rider(), now.unit().sheet(), now.unit().seat());
        List<EntryDraft> drafts = new ArrayList<>();
        drafts.add(EntryDraft.now(How.MEASURED, now.lastSeq(), joined));
        other.car()
                .ifPresent(car -> drafts.add(EntryDraft.now(
                        How.MEASURED,
                        now.lastSeq(),
                        new Fact.SheetAdopted(SheetId.of(car), car.version(), Fact.Adoption.ADOPTED, null, unit))));
        FittingRow row = new FittingRow(
                other.id(),
                first,
                joined.unit(),
                beside.row().childName(),
                viewing.clock().instant());
        return joinedWith(beside, row, drafts, author);
    }

    /** Whether the carrier may go on into another car: it is one, with one child, and was seen in this visit. */
    public static boolean mayGoOn(Fittings.Planned fitting) {
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

    private UUID joinedWith(FittingWriter.Locked beside, FittingRow row, List<EntryDraft> drafts, Author author) {
        FittingRow first = first(beside);
        Situation now = beside.plan().situation();
        entities.persist(row);
        List<Entry> record = new ArrayList<>(now.everything());
        record.add(writer.store(first, drafts.get(0), author, beside.point(), beside.plan()));
        FittingPlan plan = plans.of(row, beside.point(), record);
        for (EntryDraft draft : drafts.subList(1, drafts.size())) {
            Admission.check(draft, plan, author);
            plan = plans.after(row, beside.point(), plan, writer.store(row, draft, author, beside.point(), plan));
        }
        writer.begun(row, beside.point(), plan);
        writer.refreshBeside(row, beside.point(), plan);
        return row.id();
    }

    private FittingRow first(FittingWriter.Locked beside) {
        FittingRow row = beside.row();
        return row.id().equals(row.recordId())
                ? row
                : fittings.find(row.recordId(), row.pointId()).orElseThrow(NoSuchFittingException::new);
    }

    /**
     * What the child and its seat are called in the entries: as at an earlier fitting of the same child, else by a number
     * that nobody in this family has had. A child that came back may have brought any number with it.
     */
    private Fact.UnitJoined joined(FittingRow first, Join join) {
        Set<UnitId> here = fittings.together(first.pointId(), first.id()).stream()
                .map(FittingRow::unit)
                .collect(Collectors.toSet());
        List<FittingRow> theirs = fittings.of(first.family(), Limit.unlimited());
        Unit unit = theirs.stream()
                .filter(row -> row.childName().equalsIgnoreCase(join.childName().strip()))
                .map(FittingRow::ownUnit)
                .filter(each -> !here.contains(each.id()))
                .findFirst()
                .orElseGet(() -> unused(theirs));
        return new Fact.UnitJoined(unit.id(), unit.rider(), SheetId.of(join.seat()));
    }

    private static Unit unused(List<FittingRow> theirs) {
        Set<UnitId> had = theirs.stream().map(FittingRow::unit).collect(Collectors.toSet());
        int number = 2;
        while (had.contains(UnitId.numbered(number))) {
            number++;
        }
        return new Unit(UnitId.numbered(number), RiderId.numbered(number), new SheetId(""));
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
}
