package app.layette.core.entry;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/** The entries of a fitting that count, asked by kind of fact. */
final class Facts {
    private final List<Entry> entries;

    Facts(List<Entry> entries) {
        this.entries = List.copyOf(entries);
    }

    List<Entry> entries() {
        return entries;
    }

    /**
     * The newest of the best known facts of a kind that fits: a lower rank of knowing never undoes a higher one. An
     * estimate is no fact.
     */
    <F extends Fact> Optional<Stamped<F>> best(Class<F> kind, Predicate<F> fits) {
        Entry best = null;
        for (int i = entries.size() - 1; i >= 0; i--) {
            Entry entry = entries.get(i);
            boolean better = kind.isInstance(entry.fact())
                    && !entry.how().isEstimate()
                    && (best == null
                            || entry.how().kind().rank() < best.how().kind().rank());
            if (better && fits.test(kind.cast(entry.fact()))) {
                best = entry;
                if (best.how().kind().rank() == 0) {
                    break;
                }
            }
        }
        return Optional.ofNullable(best).map(entry -> stamp(entry, kind));
    }

    /** The newest fact of a kind, however it is known, estimates left out: what somebody last said. */
    <F extends Fact> Optional<Stamped<F>> last(Class<F> kind, Predicate<F> fits) {
        for (int i = entries.size() - 1; i >= 0; i--) {
            Entry entry = entries.get(i);
            if (kind.isInstance(entry.fact()) && !entry.how().isEstimate() && fits.test(kind.cast(entry.fact()))) {
                return Optional.of(stamp(entry, kind));
            }
        }
        return Optional.empty();
    }

    /** Every fact of a kind in its order, estimates and simulated ones too. */
    <F extends Fact> List<Stamped<F>> history(Class<F> kind) {
        return stamped(kind, entry -> true);
    }

    /** Every estimated fact of a kind in its order. */
    <F extends Fact> List<Stamped<F>> estimates(Class<F> kind) {
        return stamped(kind, entry -> entry.how().isEstimate());
    }

    /** Every fact of a kind that was read on a page, in its order. */
    <F extends Fact> List<Stamped<F>> pages(Class<F> kind) {
        return stamped(kind, entry -> entry.how().isReadInDocument());
    }

    /** The latest place of an entry whose fact fits; 0 for none. */
    int lastPlace(Predicate<Fact> fits) {
        return entries.stream()
                .filter(entry -> fits.test(entry.fact()))
                .mapToInt(Entry::seq)
                .max()
                .orElse(0);
    }

    private <F extends Fact> List<Stamped<F>> stamped(Class<F> kind, Predicate<Entry> fits) {
        return entries.stream()
                .filter(entry -> kind.isInstance(entry.fact()) && fits.test(entry))
                .map(entry -> stamp(entry, kind))
                .toList();
    }

    private static <F extends Fact> Stamped<F> stamp(Entry entry, Class<F> kind) {
        return new Stamped<>(
                kind.cast(entry.fact()),
                entry.seq(),
                entry.seen(),
                entry.at(),
                entry.by(),
                entry.how(),
                entry.isTimeBelievable());
    }
}
