package app.layette.web.fitting;

import app.layette.core.entry.Entry;
import app.layette.formats.json.LayetteJson;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * The entries of fittings, read once. Entries are only ever added, so what was read stays true: the fitting's last place
 * tells how many there are, and only those behind what is at hand are read, whichever process wrote them. Words that were
 * struck are counted on the fitting: then it is read anew.
 */
@Component
class EntryLog {
    /** Entries kept read: some thousand fittings of the usual length, or a few that were never closed. */
    private static final long MOST_ENTRIES = 60_000;

    private final EntryRows rows;
    private final Cache<UUID, Known> read = Caffeine.newBuilder()
            .maximumWeight(MOST_ENTRIES)
            .weigher((UUID id, Known known) -> known.entries().size() + 1)
            .build();

    private record Known(int struck, List<Entry> entries) {}

    EntryLog(EntryRows rows) {
        this.rows = rows;
    }

    /** Keeps entries that were just stored, for whoever asks next; of a longer record that came meanwhile nothing is lost. */
    void keep(UUID record, int struck, List<Entry> entries) {
        read.asMap()
                .merge(
                        record,
                        new Known(struck, entries),
                        (known, now) ->
                                known.struck() == struck && known.entries().size() >= entries.size() ? known : now);
    }

    /** All entries up to the fitting's last place. */
    List<Entry> of(FittingRow fitting) {
        Known at = read.get(fitting.recordId(), id -> new Known(fitting.struck(), List.of()));
        List<Entry> known = at.entries();
        if (known.size() > fitting.lastSeq() || at.struck() != fitting.struck()) {
            // Read inside a transaction that was rolled back after all: start over.
            known = List.of();
        }
        if (known.size() < fitting.lastSeq()) {
            List<Entry> all = new ArrayList<>(known);
            rows.after(fitting.pointId(), fitting.recordId(), known.size())
                    .forEach(document -> all.add(LayetteJson.strict().readValue(document, Entry.class)));
            known = List.copyOf(all);
            read.put(fitting.recordId(), new Known(fitting.struck(), known));
        }
        return known;
    }
}
