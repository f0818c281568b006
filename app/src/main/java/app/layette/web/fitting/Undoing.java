package app.layette.web.fitting;

import app.layette.core.entry.Entry;
import app.layette.core.entry.Rights;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Which entry can be taken back by one tap: the very last one, by whoever made it. */
public final class Undoing {
    /** Why it is withdrawn, as the record keeps it. */
    public static final String REASON = "mistap";

    private Undoing() {}

    /** What one tap takes back, the last first: the last entry, or the whole look that it is a mark of. */
    public static List<Entry> whole(List<Entry> record, String author) {
        List<Entry> whole = new ArrayList<>();
        last(record, author).ifPresent(entry -> {
            whole.add(entry);
            for (int i = record.size() - 2; i >= 0 && isOfSameLook(record.get(i), entry); i--) {
                Entry mark = record.get(i);
                // A sheet that came with it stays: it is turned down by a lead, never by a tap.
                if (Rights.allows(mark.by().role(), mark.fact().getClass(), Rights.Way.WITHDRAW, true)) {
                    whole.add(mark);
                }
            }
        });
        return whole;
    }

    private static boolean isOfSameLook(Entry earlier, Entry last) {
        return last.look() != null && last.look().equals(earlier.look());
    }

    /** The last entry of a record, when this person may take it back; a correction is not, it has its reason. */
    public static Optional<Entry> last(List<Entry> record, String author) {
        return record.isEmpty()
                ? Optional.empty()
                : Optional.of(record.get(record.size() - 1))
                        .filter(entry -> entry.by().id().equals(author))
                        .filter(entry -> entry.corrects() == null)
                        .filter(entry ->
                                Rights.allows(entry.by().role(), entry.fact().getClass(), Rights.Way.WITHDRAW, true));
    }
}
