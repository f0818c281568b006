package app.layette.web.fitting;

import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import java.time.OffsetDateTime;
import java.util.UUID;

/**
 * An entry on its way in, before the server gives it a place.
 *
 * @param id made by the client
 * @param seen the last place that its author had seen
 * @param at when it was made; {@code null} means now
 * @param how it was known
 * @param corrects the entry whose place it takes; {@code null} when none
 * @param fact what it says
 */
public record EntryDraft(UUID id, int seen, OffsetDateTime at, How how, UUID corrects, Fact fact) {
    /** An entry made just now. */
    public static EntryDraft now(How how, int seen, Fact fact) {
        return new EntryDraft(UUID.randomUUID(), seen, null, how, null, fact);
    }
}
