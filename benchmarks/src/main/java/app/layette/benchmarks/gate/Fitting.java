package app.layette.benchmarks.gate;

import app.layette.core.entry.Entry;
import app.layette.core.entry.EntryParts;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.SheetId;
import app.layette.core.entry.Sheets;
import app.layette.core.practice.Practice;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** One fitting, to be judged twice. */
record Fitting(Practice practice, Sheets sheets, List<RiderId> riders, List<Entry> entries, LocalDate today) {
    static Fitting of(Practice practice, SeatSheet seat, VehicleSheet car, List<Entry> entries, LocalDate today) {
        return new Fitting(practice, new Sheets(List.of(seat), List.of(car)), List.of(RiderId.FIRST), entries, today);
    }

    FittingRecord record() {
        SheetId seat = SheetId.of(sheets.seats().get(0).sheet());
        return new FittingRecord(riders, List.of(FittingRecord.Unit.first(seat)), entries);
    }

    Fitting with(List<Entry> others) {
        return new Fitting(practice, sheets, riders, others, today);
    }

    Fitting with(Sheets others) {
        return new Fitting(practice, others, riders, entries, today);
    }

    Fitting on(LocalDate day) {
        return new Fitting(practice, sheets, riders, entries, day);
    }

    /** The same entry saying something else. */
    static Entry saying(Entry entry, Fact fact) {
        return EntryParts.builder(entry).fact(fact).build();
    }

    /** Numbered from 1, each entered by somebody who had seen the one before. */
    static List<Entry> numbered(List<Entry> entries) {
        List<Entry> numbered = new ArrayList<>();
        for (Entry entry : entries) {
            int seq = numbered.size() + 1;
            numbered.add(EntryParts.builder(entry).seq(seq).seen(seq - 1).build());
        }
        return numbered;
    }
}
