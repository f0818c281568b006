package app.layette.web.shelf;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.ToLongFunction;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Which versions of which sheets a fitting point has, read once and kept until one comes or goes there. While one does,
 * everybody reads: what is not yet certain is kept for nobody, and what was read before is not kept for afterwards.
 */
final class VersionKeys {
    private static final int MOST = 2_000;

    private final SheetRows rows;
    private final ToLongFunction<UUID> seqs;
    private final Map<UUID, Long> generations = new ConcurrentHashMap<>();
    private final Map<UUID, Integer> changing = new ConcurrentHashMap<>();
    private final Cache<Asked, Held> kept =
            Caffeine.newBuilder().maximumSize(MOST).build();

    private record Asked(UUID point, SheetRow.Kind kind, List<String> ids) {}

    /**
     * What was read.
     *
     * @param generation of this process's own changes
     * @param seq of everybody's
     */
    private record Held(long generation, long seq, List<SheetRow.Key> keys) {}

    /**
     * Keeps what these rows say.
     *
     * @param seqs tells a point's number, which grows with every change of its shelf by any process
     */
    VersionKeys(SheetRows rows, ToLongFunction<UUID> seqs) {
        this.rows = rows;
        this.seqs = seqs;
    }

    List<SheetRow.Key> of(UUID point, SheetRow.Kind kind, List<String> ids) {
        long generation = generations.getOrDefault(point, 0L);
        if (changing.containsKey(point)) {
            return rows.versionKeys(point, kind, ids);
        }
        // Asked for before the rows: what comes between is read once more, never missed.
        long seq = seqs.applyAsLong(point);
        Asked asked = new Asked(point, kind, List.copyOf(ids));
        Held known = kept.getIfPresent(asked);
        if (known == null || known.generation() != generation || known.seq() != seq) {
            known = new Held(generation, seq, List.copyOf(rows.versionKeys(point, kind, ids)));
            kept.put(asked, known);
        }
        return known.keys();
    }

    /** A version comes or goes in this transaction. */
    void changes(UUID point) {
        changing.merge(point, 1, Integer::sum);
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int how) {
                generations.merge(point, 1L, Long::sum);
                changing.computeIfPresent(point, (id, count) -> count == 1 ? null : count - 1);
            }
        });
    }
}
