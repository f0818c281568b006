package app.layette.core.entry;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/** The entries of a fitting that count, asked by kind of fact. */
final class Facts {
    private final List<Entry> entries;
    /** A plan asks hundreds of times, each time for one kind among all that a long fitting holds. */
    private final Map<Class<?>, List<Entry>> byKind = new HashMap<>();

    Facts(List<Entry> entries) {
        this.entries = List.copyOf(entries);
        for (Entry entry : this.entries) {
            byKind.computeIfAbsent(entry.fact().getClass(), kind -> new ArrayList<>())
                    .add(entry);
        }
    }

    private List<Entry> of(Class<? extends Fact> kind) {
        return kind.isInterface() ? entries : byKind.getOrDefault(kind, List.of());
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
        List<Entry> ofKind = of(kind);
        for (int i = ofKind.size() - 1; i >= 0; i--) {
            Entry entry = ofKind.get(i);
            boolean better = !entry.how().isEstimate()
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
        List<Entry> ofKind = of(kind);
        for (int i = ofKind.size() - 1; i >= 0; i--) {
            Entry entry = ofKind.get(i);
            if (!entry.how().isEstimate() && fits.test(kind.cast(entry.fact()))) {
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
        return of(kind).stream().filter(fits).map(entry -> stamp(entry, kind)).toList();
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
