package app.layette.web.fitting;

import app.layette.core.entry.Author;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.evidence.SheetVersion;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/** A family with its entries, to be begun in one go; for data that comes from elsewhere than the screen. */
public final class NewFamily {
    /** One entry as it was made. */
    public record Line(How how, OffsetDateTime at, Fact fact) {}

    private final String reference;
    private final String childName;
    private final SheetVersion seat;
    private OffsetDateTime next;
    private final List<Line> lines = new ArrayList<>();

    public NewFamily(String reference, String childName, SheetVersion seat, OffsetDateTime start) {
        this.reference = reference;
        this.childName = childName;
        this.seat = seat;
        this.next = start;
    }

    public String reference() {
        return reference;
    }

    /** Adds an entry made one minute after the one before. */
    public NewFamily add(How how, Fact fact) {
        lines.add(new Line(how, next, fact));
        next = next.plusMinutes(1);
        return this;
    }

    /** Lets time go by until the next entry. */
    public NewFamily pause(Duration time) {
        next = next.plus(time);
        return this;
    }

    /** Stores the family; entries of a closed or shut fitting are refused as on the screen. */
    public UUID store(Beginnings beginnings, Fittings fittings, UUID point, Author author) {
        UUID id = beginnings.begin(new Beginnings.Begin(reference, childName, seat, List.of()), point, author);
        List<EntryDraft> drafts = new ArrayList<>();
        for (Line line : lines) {
            drafts.add(
                    new EntryDraft(UUID.randomUUID(), drafts.size(), line.at(), line.how(), null, line.fact(), true));
        }
        fittings.appendTogether(id, drafts, point, author);
        return id;
    }
}
