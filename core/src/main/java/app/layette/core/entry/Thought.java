package app.layette.core.entry;

import app.layette.core.entry.Fact.Dimension;
import app.layette.core.evidence.Speaker;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * Entries as they would be if something else were so, to ask the rules about it: nobody made them, and they are never
 * stored.
 *
 * @param entries what counts now
 * @param at when it is thought
 */
record Thought(List<Entry> entries, OffsetDateTime at) {
    private static final UUID AS_IF = new UUID(0, 0);
    private static final Author NOBODY = new Author("nobody", Author.Role.TECHNICIAN);

    /**
     * As if this had just been seen, set or read.
     *
     * @param lastSeq the last place in the fitting
     */
    List<Entry> then(int lastSeq, How how, Fact fact) {
        int thought = entries.stream().mapToInt(Entry::seq).max().orElse(0);
        Entry next = entry(Math.max(lastSeq, thought) + 1, how, fact);
        return Stream.concat(entries.stream(), Stream.of(next)).toList();
    }

    /** Heights on the child as they would be on the bare shell; where the insert is not known they stay as measured. */
    List<Entry> onBareShell(Heights heights) {
        return entries.stream()
                .map(entry -> entry.fact() instanceof Fact.LengthMeasured height && height.what() != Dimension.BODY
                        ? heights.bare(height).map(entry::with).orElse(entry)
                        : entry)
                .toList();
    }

    /**
     * What is left when the restraint is another one: child and car.
     *
     * @param sameSeat whether it is the same restraint, set up otherwise
     * @param insert how the insert is set in it
     */
    List<Entry> withoutSeat(boolean sameSeat, Heights heights, List<Fact.InsertSet> insert) {
        List<Entry> kept = new ArrayList<>();
        for (Entry entry : entries) {
            ofChildOrCar(entry.fact(), sameSeat, heights)
                    .ifPresent(fact -> kept.add(fact.equals(entry.fact()) ? entry : entry.with(fact)));
        }
        // As if set before anything was looked at, so that it spoils no look.
        for (Fact.InsertSet piece : insert) {
            kept.add(0, entry(0, How.MEASURED, piece));
        }
        return List.copyOf(kept);
    }

    /** A screening was done in one restraint and says nothing of another. */
    private static Optional<Fact> ofChildOrCar(Fact fact, boolean sameSeat, Heights heights) {
        if (fact instanceof Fact.LengthMeasured length && length.what() != Dimension.BODY) {
            boolean onChild = length.what() == Dimension.SHOULDER || length.what() == Dimension.CROWN;
            return onChild ? heights.bare(length) : Optional.empty();
        }
        boolean kept = fact instanceof Fact.ChildDescribed
                || fact instanceof Fact.Weighed
                || fact instanceof Fact.LengthMeasured
                || fact instanceof Fact.Ordered
                || fact instanceof Fact.Screened && sameSeat
                || fact instanceof Fact.QuickCarSeen
                || fact instanceof Fact.SheetValueRead read && read.value().isOfPlace()
                || fact instanceof Fact.PermissionRead page && page.speaker() == Speaker.CAR
                || fact instanceof Fact.QuantityRead read && read.speaker() == Speaker.CAR
                || fact instanceof Fact.Answered answered
                        && (answered.question() == Question.CONDITION || answered.question() == Question.REACH);
        return kept ? Optional.of(fact) : Optional.empty();
    }

    private Entry entry(int seq, How how, Fact fact) {
        return new Entry(AS_IF, seq, seq - 1, at, NOBODY, how, null, fact);
    }
}
