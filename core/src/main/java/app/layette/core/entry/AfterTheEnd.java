package app.layette.core.entry;

import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;

/**
 * What a trainee corrects or takes back after a fitting has ended (contract, section 4: a trainee enters, a technician
 * signs). A family was told what it would change, so it counts only when a technician or a lead signed for it; until
 * then it waits, and one that was declined never counts.
 */
public final class AfterTheEnd {
    private final Map<UUID, Entry> all = new HashMap<>();
    private final Set<UUID> waiting = new HashSet<>();
    private final Set<UUID> declined = new HashSet<>();
    private final Map<UUID, Entry> signed = new HashMap<>();

    private AfterTheEnd() {}

    /** Reads a whole record, in whatever order it comes. */
    public static AfterTheEnd in(List<Entry> entries) {
        AfterTheEnd after = new AfterTheEnd();
        entries.forEach(entry -> after.all.put(entry.id(), entry));
        int end = entries.stream()
                .filter(entry -> entry.fact() instanceof Fact.Ended)
                .mapToInt(Entry::seq)
                .min()
                .orElse(Integer.MAX_VALUE);
        entries.stream()
                .filter(entry -> entry.seq() > end)
                .sorted(Comparator.comparingInt(Entry::seq))
                .forEach(after::read);
        return after;
    }

    private void read(Entry entry) {
        if (entry.corrects() != null && entry.by().isTrainee()) {
            waiting.add(entry.id());
        }
        // The first signature decides; another kind of signature says nothing of it.
        if (entry.fact() instanceof Fact.CorrectionSigned signature
                && !entry.by().isTrainee()
                && waiting.remove(signature.entry())) {
            signed.put(signature.entry(), entry);
            if (!signature.taken()) {
                declined.add(signature.entry());
            }
        }
    }

    /** Whether an entry changes what is known: all do but those that wait and those that were declined. */
    public boolean counts(Entry entry) {
        return !waiting.contains(entry.id()) && !declined.contains(entry.id());
    }

    public boolean waits(UUID entry) {
        return waiting.contains(entry);
    }

    public boolean isDeclined(UUID entry) {
        return declined.contains(entry);
    }

    public boolean isAnyWaiting() {
        return !waiting.isEmpty();
    }

    /**
     * Whether another correction of the same thing has counted meanwhile, so that one that waits can only be declined:
     * it would speak of what is no longer so.
     */
    public boolean isOvertaken(UUID correction) {
        Entry waits = Objects.requireNonNull(all.get(correction), "no such correction");
        UUID first = first(waits);
        return all.values().stream()
                .filter(each ->
                        each.corrects() != null && counts(each) && first(each).equals(first))
                .anyMatch(each -> each.seq() > waits.seq() || each.fact() instanceof Fact.Withdrawn);
    }

    private UUID first(Entry correction) {
        Entry each = correction;
        while (each.corrects() != null && all.containsKey(each.corrects())) {
            each = all.get(each.corrects());
        }
        return each.id();
    }

    /** The entry from which on it counts: its signature where it needed one, else itself. */
    public Entry since(Entry correction) {
        return signed.getOrDefault(correction.id(), correction);
    }
}
