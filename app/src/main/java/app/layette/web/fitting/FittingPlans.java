package app.layette.web.fitting;

import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.FittingRecord.Unit;
import app.layette.core.entry.How;
import app.layette.core.entry.SheetId;
import app.layette.core.entry.Sheets;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.practice.Practice;
import app.layette.core.practice.PracticeProfile;
import app.layette.core.seat.SeatSheet;
import app.layette.core.table.Copies;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.web.account.Point;
import app.layette.web.account.Viewing;
import app.layette.web.practice.Profiles;
import app.layette.web.shelf.Shelf;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Asks the core what follows from the entries of a fitting today, with the profile and the sheets that it uses. */
@Component
class FittingPlans {
    private static final int MOST_PLANS = 200;

    private final Profiles profiles;
    private final Shelf shelf;
    private final EntryLog log;
    private final Viewing viewing;
    private final FittingPlanner planner = new FittingPlanner();
    private final Cache<UUID, Planned> plans =
            Caffeine.newBuilder().maximumSize(MOST_PLANS).build();

    /** All that a plan follows from. */
    private record From(List<Entry> record, Unit first, UnitId unit, Practice practice, Sheets sheets, LocalDate day) {
        From by(Sheets others) {
            return new From(record, first, unit, practice, others, day);
        }

        /** Whether it is the same without reading it: entries and sheets are kept read, and never change. */
        boolean isSame(From other) {
            return record == other.record
                    && first.equals(other.first)
                    && unit.equals(other.unit)
                    && day.equals(other.day)
                    && practice.equals(other.practice)
                    && isSame(sheets.seats(), other.sheets.seats())
                    && isSame(sheets.cars(), other.sheets.cars());
        }

        private static boolean isSame(List<?> these, List<?> those) {
            return these.size() == those.size()
                    && IntStream.range(0, these.size()).allMatch(i -> these.get(i) == those.get(i));
        }
    }

    private record Planned(From from, FittingPlan plan) {}

    FittingPlans(Profiles profiles, Shelf shelf, EntryLog log, Viewing viewing) {
        this.profiles = profiles;
        this.shelf = shelf;
        this.log = log;
        this.viewing = viewing;
    }

    /** What follows from everything that is stored. Not for a transaction that has stored an entry itself. */
    FittingPlan of(FittingRow row, Point point) {
        return kept(row, point, log.of(row));
    }

    /** The same entries with the same sheets on the same day are planned once. */
    private FittingPlan kept(FittingRow row, Point point, List<Entry> record) {
        From from = from(row, point, record, viewing.today(point));
        Planned known = plans.getIfPresent(row.id());
        if (known == null || !known.from().isSame(from)) {
            known = new Planned(from, plan(from));
            plans.put(row.id(), known);
        }
        return known.plan();
    }

    /**
     * Keeps what was stored with what follows from it, once it is certain: the next request reads neither anew.
     *
     * @param plan what followed from all entries of the record, in this transaction
     */
    void keep(FittingRow row, Point point, FittingPlan plan) {
        List<Entry> record = List.copyOf(plan.situation().everything());
        From from = from(row, point, record, viewing.today(point));
        UUID recordId = row.recordId();
        UUID unit = row.id();
        int struck = row.struck();
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                log.keep(recordId, struck, record);
                plans.put(unit, new Planned(from, plan));
            }
        });
    }

    /** What follows from these entries. */
    FittingPlan of(FittingRow row, Point point, List<Entry> record) {
        return of(row, point, record, viewing.today(point));
    }

    /** What followed from these entries on a day. */
    FittingPlan of(FittingRow row, Point point, List<Entry> record, LocalDate day) {
        return plan(from(row, point, record, day));
    }

    private From from(FittingRow row, Point point, List<Entry> record, LocalDate day) {
        FittingRow.Beginning beginning = row.beginning();
        PracticeProfile profile =
                profiles.version(beginning.pointId(), beginning.profileId(), beginning.profileVersion());
        return new From(
                record,
                row.firstUnit(),
                row.unit(),
                new Practice(profile, beginning.lawCountry(), point.zone()),
                shelf.sheets(beginning.pointId(), sheetIds(beginning.seatSheet(), record)),
                day);
    }

    private FittingPlan plan(From from) {
        FittingRecord fitting = FittingRecord.begunWith(from.first(), from.record());
        return planner.plan(from.practice(), from.sheets(), fitting, from.unit(), from.day());
    }

    /** What follows when one more entry has come. */
    FittingPlan after(FittingRow row, Point point, FittingPlan before, Entry entry) {
        List<Entry> all = new ArrayList<>(before.situation().everything());
        all.add(entry);
        return of(row, point, all);
    }

    /** What followed on the day of the last entry: an ended fitting is not judged by today's calendar. */
    FittingPlan onItsDay(FittingRow row, Point point) {
        List<Entry> record = log.of(row);
        return of(row, point, record, lastDay(row, point, record));
    }

    private LocalDate lastDay(FittingRow row, Point point, List<Entry> record) {
        boolean open = record.isEmpty() || record.stream().noneMatch(each -> each.fact() instanceof Fact.Ended);
        return open
                ? viewing.today(point)
                : record.get(record.size() - 1)
                        .at()
                        .atZoneSameInstant(point.zone())
                        .toLocalDate();
    }

    /** What would follow if a lead took this version of the seat's sheet now. */
    FittingPlan asIfBySheet(FittingRow row, Point point, SeatSheet sheet) {
        From from = takingUp(row, point, sheet.sheet());
        // Tried as if it were confirmed, and alone of its id: what is newer than it asks nothing here.
        List<SeatSheet> seats = new ArrayList<>(from.sheets().seats().stream()
                .filter(each -> isBefore(each.sheet(), sheet.sheet()))
                .toList());
        seats.add(Copies.with(sheet, "status", SheetStatus.CONFIRMED));
        return plan(from.by(new Sheets(seats, from.sheets().cars())));
    }

    /** The same of a vehicle's sheet. */
    FittingPlan asIfByCar(FittingRow row, Point point, VehicleSheet car) {
        From from = takingUp(row, point, car.sheet());
        List<VehicleSheet> cars = new ArrayList<>(from.sheets().cars().stream()
                .filter(each -> isBefore(each.sheet(), car.sheet()))
                .toList());
        cars.add(Copies.with(car, "status", SheetStatus.CONFIRMED));
        return plan(from.by(new Sheets(from.sheets().seats(), cars)));
    }

    private static boolean isBefore(SheetVersion each, SheetVersion tried) {
        return !each.id().equals(tried.id()) || each.version() < tried.version();
    }

    /** The record with the entry that takes a version up. */
    private From takingUp(FittingRow row, Point point, SheetVersion version) {
        List<Entry> record = new ArrayList<>(log.of(row));
        int seq = record.stream().mapToInt(Entry::seq).max().orElse(0) + 1;
        record.add(new Entry(
                UUID.randomUUID(),
                seq,
                seq - 1,
                OffsetDateTime.now(viewing.clock()),
                new Author("nobody", Author.Role.LEAD),
                How.TOLD,
                null,
                new Fact.SheetAdopted(
                        SheetId.of(version),
                        version.version(),
                        Fact.Adoption.ADOPTED,
                        "tried, not kept",
                        isInAnotherCar(row, record) ? row.unit() : null)));
        return from(row, point, record, viewing.today(point));
    }

    private static boolean isInAnotherCar(FittingRow row, List<Entry> record) {
        return record.stream()
                .anyMatch(entry -> entry.fact() instanceof Fact.UnitJoined joined
                        && joined.of().equals(row.unit())
                        && joined.unit().isInAnotherCar());
    }

    /** What would have followed by another practice, on the day of the last entry. */
    FittingPlan asIfByPractice(FittingRow row, Point point, PracticeProfile profile) {
        List<Entry> record = log.of(row);
        From from = from(row, point, record, lastDay(row, point, record));
        Practice practice = new Practice(
                profile, from.practice().lawCountry(), from.practice().zone());
        return plan(new From(record, from.first(), from.unit(), practice, from.sheets(), from.day()));
    }

    private static List<String> sheetIds(String seat, List<Entry> record) {
        List<String> ids = new ArrayList<>(List.of(seat));
        for (Entry entry : record) {
            if (entry.fact() instanceof Fact.SheetAdopted adopted
                    && !ids.contains(adopted.of().text())) {
                ids.add(adopted.of().text());
            }
        }
        return ids;
    }
}
