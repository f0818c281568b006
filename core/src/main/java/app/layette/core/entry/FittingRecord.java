package app.layette.core.entry;

import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * One fitting as it is kept.
 *
 * @param riders ids of the children
 * @param units the actual seats, each with the rider it is for and the id of its sheet
 * @param entries everything that was entered, in any order
 */
public record FittingRecord(List<RiderId> riders, List<Unit> units, List<Entry> entries) {
    /**
     * An actual seat where it stands.
     *
     * @param id its name in the entries
     * @param rider id of the child it is for
     * @param sheet id of its seat sheet
     * @param seatOf the unit whose seat this is too, fixed in another car; null for a seat of its own
     */
    public record Unit(
            UnitId id,
            RiderId rider,
            SheetId sheet,
            @Nullable UnitId seatOf) {
        /** A seat of its own. */
        public Unit(UnitId id, RiderId rider, SheetId sheet) {
            this(id, rider, sheet, null);
        }

        /** The seat that a fitting begins with, for the child that it begins with. */
        public static Unit first(SheetId sheet) {
            return new Unit(UnitId.FIRST, RiderId.FIRST, sheet);
        }

        /** Whether it is the same seat as another unit's, in another car. */
        public boolean isInAnotherCar() {
            return seatOf != null;
        }

        /** Whether this is the same actual seat for the same child: what only says so of another one is not. */
        boolean isSameSeatAs(Unit other) {
            return seat().equals(other.seat()) && rider.equals(other.rider()) && sheet.equals(other.sheet());
        }

        /** What the actual seat is called: by the unit that brought it. */
        public UnitId seat() {
            return seatOf == null ? id : seatOf;
        }
    }

    public FittingRecord {
        riders = List.copyOf(riders);
        units = List.copyOf(units);
        entries = List.copyOf(entries);
    }

    /** A fitting that was begun with one unit, with those that joined it later. */
    public static FittingRecord begunWith(Unit first, List<Entry> entries) {
        List<Unit> units = Stream.concat(
                        Stream.of(first),
                        entries.stream()
                                .map(Entry::fact)
                                .filter(Fact.UnitJoined.class::isInstance)
                                .map(fact -> ((Fact.UnitJoined) fact).unit()))
                .toList();
        return new FittingRecord(units.stream().map(Unit::rider).distinct().toList(), units, entries);
    }

    public int lastSeq() {
        return entries.stream().mapToInt(Entry::seq).max().orElse(0);
    }
}
