package app.layette.web.fitting;

import app.layette.core.entry.Entry;
import app.layette.core.entry.Rights;
import java.util.List;
import java.util.Optional;

/** Which entry can be taken back by one tap: the very last one, by whoever made it. */
public final class Undoing {
    /** Why it is withdrawn, as the record keeps it. */
    public static final String REASON = "mistap";

    private Undoing() {}

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
