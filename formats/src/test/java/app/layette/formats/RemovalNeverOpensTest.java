package app.layette.formats;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Act;
import app.layette.core.entry.Answers;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Question;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.Sheets;
import app.layette.core.entry.UnitId;
import app.layette.core.measure.Mass;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.document.CaseDocument;
import app.layette.formats.document.SheetReader;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * What is taken away never opens a gate that is shut: no passing answer, measure or look, and no field of a sheet. Taking
 * away a change, an order or a failed answer may.
 */
class RemovalNeverOpensTest {
    private static final int SHUT = 24;

    /** A fitting that is shut, and why. */
    private record Shut(String why, SeatSheet seat, VehicleSheet car, List<Entry> entries, Entry failed) {}

    @ParameterizedTest
    @MethodSource("app.layette.formats.Examples#ready")
    void ofAReadyFittingThatSomethingShut(String name) {
        CaseDocument ready = Examples.read(name);
        Map<String, SeatSheet> seats = SheetsLess.without(name, "seatSheets", SheetReader::seat);
        Map<String, VehicleSheet> cars = SheetsLess.without(name, "vehicleSheets", SheetReader::vehicle);
        Random random = new Random(name.hashCode());
        List<String> opened = new ArrayList<>();
        int removals = 0;
        for (Shut shut : shut(ready, random)) {
            if (isOpen(ready, shut.seat(), shut.car(), shut.entries())) {
                continue;
            }
            for (Map.Entry<String, SeatSheet> seat : seats.entrySet()) {
                removals++;
                if (isOpen(ready, seat.getValue(), shut.car(), shut.entries())) {
                    opened.add(shut.why() + ", the seat sheet without " + seat.getKey());
                }
            }
            for (Map.Entry<String, VehicleSheet> car : cars.entrySet()) {
                removals++;
                if (isOpen(ready, shut.seat(), car.getValue(), shut.entries())) {
                    opened.add(shut.why() + ", the vehicle sheet without " + car.getKey());
                }
            }
            for (Entry entry : shut.entries()) {
                if (entry != shut.failed() && isPassingLook(entry.fact())) {
                    removals++;
                    List<Entry> less = new ArrayList<>(shut.entries());
                    less.remove(entry);
                    if (isOpen(ready, shut.seat(), shut.car(), less)) {
                        opened.add(shut.why() + ", without " + entry.fact());
                    }
                }
            }
        }
        assertThat(removals).isGreaterThan(SHUT);
        assertThat(opened).isEmpty();
    }

    /** Answers, measures and looks that change nothing by being made. */
    private static boolean isPassingLook(Fact fact) {
        return fact instanceof Fact.Answered answered && answered.question() != Question.SUPPORT
                || fact instanceof Fact.LevelRead
                || fact instanceof Fact.ShoulderSeen
                || fact instanceof Fact.ChildDescribed
                || fact instanceof Fact.Screened
                || fact instanceof Fact.LengthMeasured length && length.what() != Fact.Dimension.BODY;
    }

    private static List<Shut> shut(CaseDocument ready, Random random) {
        List<Shut> all = new ArrayList<>();
        SeatSheet seat = ready.sheets().seats().get(0);
        VehicleSheet car = ready.sheets().cars().get(0);
        List<Entry> entries = ready.record().entries();
        Entry last = entries.get(entries.size() - 1);
        for (int i = 0; i < entries.size(); i++) {
            Entry entry = entries.get(i);
            if (entry.fact() instanceof Fact.Answered answered) {
                for (String other : Answers.to(answered.question())) {
                    Entry said = Examples.saying(
                            entry,
                            new Fact.Answered(answered.of(), answered.question(), other, answered.place()),
                            entry.how());
                    all.add(new Shut(answered.question() + " " + other, seat, car, with(entries, i, said), said));
                }
                Entry told = Examples.saying(entry, entry.fact(), How.TOLD);
                all.add(new Shut(answered.question() + " told", seat, car, with(entries, i, told), told));
            }
            if (entry.fact() instanceof Fact.Weighed) {
                for (double grams : new double[] {1500, 2300, 2700, 6200, 9800, 14_500}) {
                    Entry said =
                            Examples.saying(entry, new Fact.Weighed(RiderId.FIRST, Mass.ofGrams(grams)), entry.how());
                    all.add(new Shut("weight " + grams, seat, car, with(entries, i, said), said));
                }
            }
            if (entry.fact() instanceof Fact.CrotchSet
                    || entry.fact() instanceof Fact.HandleSet
                    || entry.fact() instanceof Fact.Taught) {
                List<Entry> less = new ArrayList<>(entries);
                less.remove(i);
                all.add(new Shut("without " + entry.fact(), seat, car, less, null));
            }
        }
        for (Act act : Act.values()) {
            List<Entry> more = new ArrayList<>(entries);
            more.add(new Entry(
                    UUID.randomUUID(),
                    last.seq() + 1,
                    last.seq(),
                    last.at(),
                    last.by(),
                    How.MEASURED,
                    null,
                    new Fact.Acted(UnitId.FIRST, act)));
            all.add(new Shut("then " + act, seat, car, more, null));
        }
        Collections.shuffle(all, random);
        return all.subList(0, Math.min(SHUT, all.size()));
    }

    private static List<Entry> with(List<Entry> entries, int at, Entry other) {
        List<Entry> others = new ArrayList<>(entries);
        others.set(at, other);
        return others;
    }

    private static boolean isOpen(CaseDocument ready, SeatSheet seat, VehicleSheet car, List<Entry> entries) {
        return Examples.isOpen(ready, new Sheets(List.of(seat), List.of(car)), entries);
    }
}
