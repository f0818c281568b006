package app.layette.core.entry;

import app.layette.core.child.Child;
import app.layette.core.measure.Mass;
import app.layette.core.practice.Practice;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.function.ToIntFunction;

/**
 * The sheets in use, each as far as it may be relied on, filled with what was read or seen here where no sheet says it.
 *
 * @param lastChange the latest place at which any of these changes happened: what was read of another seat or car before
 *     it says nothing
 */
record SheetsNow(Facts facts, AdoptedSheets adopted, ToIntFunction<Set<Change>> lastChange, Optional<Mass> weight) {
    /**
     * The seat's.
     *
     * @param quick whether it is not on the shelf, and is read from its label and manual here
     */
    Optional<SeatSheet> seat(boolean quick, Optional<Child> child, Practice practice, LocalDate today) {
        OptionalLong age =
                child.map(each -> OptionalLong.of(each.ageDays(today))).orElse(OptionalLong.empty());
        SheetFilling filling =
                new SheetFilling(readOfThisSeat()).forChild(weight, age).forSlots(facts.history(Fact.SlotsSet.class));
        Optional<String> base = facts.best(Fact.LabelRead.class, fact -> fact.part() == Fact.Part.BASE)
                .filter(read -> read.how().isSeenHere()
                        || read.how().isReadInDocument()
                        || read.how().isCarried())
                .map(label -> label.value().model());
        Optional<SeatSheet> sheet = quick ? quickSeat() : adopted.seat().map(SeatSheet::asReliedOn);
        return sheet.map(each -> SheetFilling.weighed(each, facts.pages(Fact.QuantityRead.class)))
                .map(each -> filling.seat(each, practice.lawCountry(), base.filter(model -> !model.isBlank())));
    }

    private Optional<SeatSheet> quickSeat() {
        return facts.best(Fact.QuickSeatRead.class, fact -> true)
                .filter(read -> read.how().isReadInDocument())
                .map(QuickSeat::sheet);
    }

    /** The car's, or the car as it was seen where that is the later word. */
    Optional<VehicleSheet> car() {
        SheetFilling filling = new SheetFilling(readSince(Set.of(Change.OTHER_CAR)));
        List<Stamped<Fact.QuickCarSeen>> seen = facts.history(Fact.QuickCarSeen.class);
        boolean quickIsLater = !seen.isEmpty() && seen.get(seen.size() - 1).seq() > adopted.carSince();
        Optional<VehicleSheet> sheet =
                quickIsLater ? QuickCar.sheet(seen) : adopted.car().map(VehicleSheet::asReliedOn);
        return sheet.map(each -> filling.car(each, each.sheet().id().equals(QuickCar.SHEET)));
    }

    /** How many slots were counted here, where no sheet says it. */
    Optional<Integer> slots() {
        return new SheetFilling(readOfThisSeat()).slots();
    }

    private List<Stamped<Fact.SheetValueRead>> readOfThisSeat() {
        return readSince(Set.of(Change.OTHER_SEAT, Change.LABEL_CORRECTED));
    }

    private List<Stamped<Fact.SheetValueRead>> readSince(Set<Change> others) {
        int since = lastChange.applyAsInt(others);
        return facts.history(Fact.SheetValueRead.class).stream()
                .filter(read -> read.seq() > since)
                .toList();
    }
}
