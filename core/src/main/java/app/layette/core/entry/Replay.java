package app.layette.core.entry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;

/**
 * Puts entries in order and corrections in their places. A correction keeps the place of what it corrects: an answer
 * that is corrected after the belt was tightened is still an answer from before. What was withdrawn never was so.
 */
final class Replay {
    private Replay() {}

    /**
     * The entries that count, by place.
     *
     * @throws UnusableEntriesException when a correction names no earlier entry or one of another kind, withdraws what
     *     cannot be withdrawn, or two entries hold one place
     */
    static List<Entry> effective(List<Entry> entries) {
        List<Entry> ordered = new ArrayList<>(entries);
        ordered.sort(Comparator.comparingInt(Entry::seq));
        Map<UUID, Integer> indexOf = new HashMap<>();
        List<Entry> places = new ArrayList<>();
        int last = 0;
        for (Entry entry : ordered) {
            if (entry.seq() == last) {
                throw new UnusableEntriesException("Two entries hold the place " + last);
            }
            last = entry.seq();
            if (entry.corrects() == null) {
                indexOf.put(entry.id(), places.size());
                places.add(entry);
            } else {
                int index = indexOfCorrected(entry, indexOf, places);
                boolean withdrawn = entry.fact() instanceof Fact.Withdrawn;
                places.set(index, withdrawn ? null : entry.inPlaceOf(places.get(index)));
                indexOf.put(entry.id(), index);
            }
        }
        return places.stream().filter(Objects::nonNull).toList();
    }

    private static int indexOfCorrected(Entry entry, Map<UUID, Integer> indexOf, List<Entry> places) {
        Integer index = indexOf.get(entry.corrects());
        if (index == null) {
            throw new UnusableEntriesException(
                    "The entry " + entry.id() + " corrects " + entry.corrects() + ", which is not an earlier entry");
        }
        if (places.get(index) == null) {
            throw new UnusableEntriesException(
                    "The entry " + entry.id() + " corrects " + entry.corrects() + ", which was withdrawn");
        }
        Fact corrected = places.get(index).fact();
        if (entry.fact() instanceof Fact.Withdrawn && Rights.canBeWithdrawn(corrected)) {
            return index;
        }
        Class<?> wanted = corrected.getClass();
        if (!wanted.equals(entry.fact().getClass())) {
            throw new UnusableEntriesException("The entry " + entry.id() + " ("
                    + entry.fact().getClass().getSimpleName() + ") corrects one of another kind; allowed "
                    + wanted.getSimpleName());
        }
        return index;
    }
}
