package app.layette.web.fitting;

import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.FittingRecord.Unit;
import app.layette.core.entry.Sheets;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.practice.Practice;
import app.layette.core.practice.PracticeProfile;
import app.layette.web.account.Point;
import app.layette.web.account.Viewing;
import app.layette.web.practice.Profiles;
import app.layette.web.shelf.Shelf;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Asks the core what follows from the entries of a fitting today, with the profile and the sheets that it uses. */
@Component
class FittingPlans {
    private final Profiles profiles;
    private final Shelf shelf;
    private final EntryLog log;
    private final Viewing viewing;
    private final FittingPlanner planner = new FittingPlanner();

    FittingPlans(Profiles profiles, Shelf shelf, EntryLog log, Viewing viewing) {
        this.profiles = profiles;
        this.shelf = shelf;
        this.log = log;
        this.viewing = viewing;
    }

    /** What follows from everything that is stored. Not for a transaction that has stored an entry itself. */
    FittingPlan of(FittingRow row, Point point) {
        return of(row, point, log.of(row));
    }

    /** What follows from these entries. */
    FittingPlan of(FittingRow row, Point point, List<Entry> record) {
        return of(row, point, record, viewing.today(point));
    }

    /** What followed from these entries on a day. */
    FittingPlan of(FittingRow row, Point point, List<Entry> record, LocalDate day) {
        FittingRow.Beginning beginning = row.beginning();
        PracticeProfile profile =
                profiles.version(beginning.pointId(), beginning.profileId(), beginning.profileVersion());
        Practice practice = new Practice(profile, beginning.lawCountry(), point.zone());
        Sheets sheets = shelf.sheets(beginning.pointId(), sheetIds(beginning.seatSheet(), record));
        FittingRecord fitting = new FittingRecord(
                List.of(Fittings.RIDER),
                List.of(new Unit(Fittings.UNIT, Fittings.RIDER, beginning.seatSheet())),
                record);
        return planner.plan(practice, sheets, fitting, day);
    }

    /** What follows when one more entry has come. */
    FittingPlan after(FittingRow row, Point point, FittingPlan before, Entry entry) {
        List<Entry> all = new ArrayList<>(before.situation().everything());
        all.add(entry);
        return of(row, point, all);
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
}
