package app.layette.web.fitting;

import app.layette.core.entry.Author;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Subject;
import app.layette.web.trail.Trail;
import java.util.List;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Erases who a family was. Names are kept beside the record, never in it, so that the record and its seal stay whole:
 * what was done with which seat can still be told, for whom no longer.
 */
@Service
public class Erasing {
    /** What stands in place of a name that was erased. */
    public static final String NAME = "(erased)";

    private static final Subject FAMILY = new Subject.Named("family");

    private final FittingRows rows;
    private final Fittings fittings;
    private final Trail trail;
    private final ApplicationEventPublisher events;

    Erasing(FittingRows rows, Fittings fittings, Trail trail, ApplicationEventPublisher events) {
        this.rows = rows;
        this.fittings = fittings;
        this.trail = trail;
        this.events = events;
    }

    /**
     * Erases the family of a fitting, in all its fittings.
     *
     * @param note words for each record that tell that it was done
     * @throws RefusedEntryException when somebody else than a lead asks for it
     */
    @Transactional
    public void erase(UUID fitting, String note, UUID pointId, Author author) {
        if (author.role() != Author.Role.LEAD) {
            throw RefusedEntryException.because("LEAD_ERASES");
        }
        Family family = rows.find(fitting, pointId)
                .orElseThrow(NoSuchFittingException::new)
                .family();
        String reference = family.reference();
        List<FittingRow> theirs = rows.of(family, Limit.unlimited());
        List<UUID> all = theirs.stream().map(FittingRow::id).toList();
        family.erase();
        theirs.forEach(FittingRow::eraseChild);
        for (UUID each : all) {
            Fact said = new Fact.Noted(FAMILY, null, note);
            fittings.append(each, EntryDraft.now(How.MEASURED, 0, said), pointId, author);
        }
        trail.add(pointId, author.id(), Trail.What.FAMILY_ERASED, "fitting " + fitting);
        events.publishEvent(new FamilyErased(pointId, reference, all));
    }
}
