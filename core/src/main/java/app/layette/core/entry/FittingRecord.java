package app.layette.core.entry;

import java.util.List;
import java.util.stream.Stream;

/**
 * One fitting as it is kept.
 *
 * @param riders ids of the children
 * @param units the actual seats, each with the rider it is for and the id of its sheet
 * @param entries everything that was entered, in any order
 */
public record FittingRecord(List<String> riders, List<Unit> units, List<Entry> entries) {
    /** An actual seat. */
    public record Unit(String id, String rider, String sheet) {}

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
