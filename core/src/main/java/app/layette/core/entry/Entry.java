package app.layette.core.entry;

import app.layette.core.evidence.Built;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

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
 * @param arrived when the server took it, by the server's own clock; {@code null} where no server did
 * @param waited whether it waited in an outbox for a connection; {@code null} means no
 * @param look the look whose mark it is, shared by all that was told with one press; {@code null} when it stands alone
 */
@Built
public record Entry(
        UUID id,
        int seq,
        int seen,
        OffsetDateTime at,
        Author by,
        How how,
        @Nullable UUID corrects,
        Fact fact,
        @Nullable OffsetDateTime arrived,
        @Nullable Boolean waited,
        @Nullable UUID look) {
    /** How much earlier than its arrival an entry may say it was made, when it did not wait for a connection. */
    private static final Duration USUAL_DELAY = Duration.ofHours(12);

    public Entry {
        if (seen >= seq) {
            throw new IllegalArgumentException("The entry (" + seq + ") cannot have seen (" + seen
                    + ") itself or later ones; allowed 0 to " + (seq - 1));
        }
    }

    /** An entry that no server took: of a document, or thought of. */
    public Entry(
            UUID id, int seq, int seen, OffsetDateTime at, Author by, How how, @Nullable UUID corrects, Fact fact) {
        this(id, seq, seen, at, by, how, corrects, fact, null, null, null);
    }

    /** The same entry as one mark of a look. */
    public Entry inLook(UUID whole) {
        return EntryParts.builder(this).look(whole).build();
    }

    /**
     * Whether its own time can be believed: the clock of a device may be wrong. One that says it was made after it
     * arrived, or more than twelve hours before without having waited for a connection, counts for no freshness.
     */
    public boolean isTimeBelievable() {
        if (arrived == null) {
            return true;
        }
        boolean early = !Boolean.TRUE.equals(waited) && at.isBefore(arrived.minus(USUAL_DELAY));
        return !early && !at.isAfter(arrived);
    }

    /** The same moment by the clocks of a zone. */
    Entry at(ZoneId zone) {
        return EntryParts.builder(this)
                .at(at.atZoneSameInstant(zone).toOffsetDateTime())
                .build();
    }

    /** The same entry saying something else; only for asking what if. */
    Entry with(Fact other) {
        return EntryParts.builder(this).fact(other).build();
    }

    /** The place of an entry that this one corrects, saying what this one says. */
    Entry inPlaceOf(Entry corrected) {
        return EntryParts.builder(this)
                .id(corrected.id)
                .seq(corrected.seq)
                .seen(corrected.seen)
                .corrects(null)
                .look(corrected.look)
                .build();
    }
}
