package app.layette.core.entry;

import app.layette.core.entry.FittingRecord.Unit;
import app.layette.core.evidence.Speaker;
import app.layette.core.measure.Length;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.PositionId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** The other actual seats of a fitting: twins, or a sibling in the same car; and the other cars of this one. */
public final class Neighbours {
    private final List<Unit> others;
    private final List<Unit> inOtherCars;
    private final Map<UnitId, Fact.Placed> places;
    private final Map<String, Length> widths;

    private Neighbours(
            List<Unit> others, List<Unit> inOtherCars, Map<UnitId, Fact.Placed> places, Map<String, Length> widths) {
        this.others = others;
        this.inOtherCars = inOtherCars;
        this.places = places;
        this.widths = widths;
    }

    static Neighbours of(FittingRecord record, Unit unit, Sheets sheets, List<Entry> effective) {
        List<Unit> besides = record.units().stream()
                .filter(each -> !each.id().equals(unit.id()))
                .toList();
        List<Unit> others =
                besides.stream().filter(each -> !each.isSameSeatAs(unit)).toList();
        List<Unit> inOtherCars =
                besides.stream().filter(each -> each.isSameSeatAs(unit)).toList();
        Map<UnitId, Fact.Placed> places = new LinkedHashMap<>();
        Map<String, Length> widths = new LinkedHashMap<>();
        if (others.isEmpty()) {
            return new Neighbours(others, inOtherCars, places, widths);
        }
        Set<UnitId> ids = others.stream().map(Unit::id).collect(Collectors.toSet());
        for (Entry entry : effective) {
            if (entry.fact() instanceof Fact.Placed placed && ids.contains(placed.of())) {
                places.put(placed.of(), placed);
            }
            // What was not fitted stands in no car.
            if (entry.fact() instanceof Fact.Ended ended && ended.ending() == Fact.Ending.NOT_FITTED) {
                places.remove(ended.of());
            }
        }
        // Of several versions of a sheet the widest counts: which one the other seat took is its own affair.
        for (SeatSheet sheet : sheets.seats()) {
            sheet.shell()
                    .width()
                    .ifPresent(width -> widths.merge(sheet.sheet().id(), width, (a, b) -> a.isMoreThan(b) ? a : b));
        }
        return new Neighbours(others, inOtherCars, places, widths);
    }

    /** What is so for every seat in the car: the car itself, the ground under it, the front seat, its papers. */
    static boolean isOfTheCar(Fact fact) {
        return fact instanceof Fact.QuickCarSeen
                || fact instanceof Fact.GroundMeasured
                || fact instanceof Fact.SillsRead
                || fact instanceof Fact.SheetValueRead read && read.value().isOfPlace()
                || fact instanceof Fact.PermissionRead page && page.speaker() == Speaker.CAR
                || fact instanceof Fact.QuantityRead read && read.speaker() == Speaker.CAR
                || fact instanceof Fact.Acted acted
                        && acted.act()
                                .change()
                                .filter(each -> each == Change.FRONT_SEAT_MOVED || each == Change.CAR_MOVED)
                                .isPresent();
    }

    /** The other units, in the order in which they came. */
    public List<Unit> units() {
        return others;
    }

    /** This same seat where it is fixed in other cars, in the order in which they came. */
    public List<Unit> inOtherCars() {
        return inOtherCars;
    }

    /** Whether the fitting is of this one seat in this one car. */
    public boolean isAlone() {
        return others.isEmpty() && inOtherCars.isEmpty();
    }

    /** Where the others are, and how each is fixed; one that has no place yet, or was not fitted, is not among them. */
    public List<Standing> standing() {
        return others.stream()
                .flatMap(each -> Optional.ofNullable(places.get(each.id()))
                        .map(placed -> new Standing(
                                placed.position(),
                                placed.method(),
                                Optional.ofNullable(widths.get(each.sheet().text()))))
                        .stream())
                .toList();
    }

    /**
     * Another restraint of the fitting where it stands.
     *
     * @param width of its shell; empty where no sheet has it
     */
    public record Standing(PositionId place, Method method, Optional<Length> width) {}

    /** Whether another unit is for this rider too: a child sits in one seat. */
    public boolean isFor(RiderId rider) {
        return others.stream().anyMatch(each -> each.rider().equals(rider));
    }

    /** The seat sheets of the fitting: every other sheet that is adopted is a car's. */
    Set<SheetId> sheets(Unit own) {
        Set<SheetId> sheets = others.stream().map(Unit::sheet).collect(Collectors.toSet());
        sheets.add(own.sheet());
        return sheets;
    }
}
