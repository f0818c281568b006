package app.layette.core.entry;

import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.UUID;

/**
 * The envelope around a fact.
 *
 * @param id made by the client, so that sending twice is harmless
 * @param seq place in the fitting, given by the server, from 1
 * @param seen the last place that its author had seen; 0 for none
 * @param at when it was made
 * @param by who made it
 * @param how it was known
 * @param corrects the entry whose place it takes; {@code null} when none
 * @param fact what was observed, measured, set, answered, done or signed
 */
public record Entry(UUID id, int seq, int seen, OffsetDateTime at, Author by, How how, UUID corrects, Fact fact) {
    public Entry {
        if (seen >= seq) {
            throw new IllegalArgumentException("The entry (" + seq + ") cannot have seen (" + seen
                    + ") itself or later ones; allowed 0 to " + (seq - 1));
        }
    }

    /** The same moment by the clocks of a zone. */
    Entry at(ZoneId zone) {
        return new Entry(id, seq, seen, at.atZoneSameInstant(zone).toOffsetDateTime(), by, how, corrects, fact);
    }

    /** The same entry saying something else; only for asking what if. */
    Entry with(Fact other) {
        return new Entry(id, seq, seen, at, by, how, corrects, other);
    }
}
