package app.layette.web.fitting;

import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord.Unit;
import app.layette.core.entry.How;
import app.layette.core.entry.Situation;
import java.time.OffsetDateTime;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * An entry on its way in, before the server gives it a place and notes when it came.
 *
 * @param id made by the client
 * @param seen the last place that its author had seen
 * @param at when it was made; {@code null} means now
 * @param how it was known
 * @param corrects the entry whose place it takes; {@code null} when none
 * @param fact what it says
 * @param waited whether it waited for a connection, so that its own time may be much earlier than its arrival
 * @param look the look whose mark it is; {@code null} when it stands alone
 */
public record EntryDraft(
        UUID id,
        int seen,
        @Nullable OffsetDateTime at,
        How how,
        @Nullable UUID corrects,
        Fact fact,
        boolean waited,
        @Nullable UUID look) {
    /** An entry that stands alone. */
    public EntryDraft(
            UUID id,
            int seen,
            @Nullable OffsetDateTime at,
            How how,
            @Nullable UUID corrects,
            Fact fact,
            boolean waited) {
        this(id, seen, at, how, corrects, fact, waited, null);
    }

    /** An entry that waited for no connection. */
    public EntryDraft(UUID id, int seen, @Nullable OffsetDateTime at, How how, @Nullable UUID corrects, Fact fact) {
        this(id, seen, at, how, corrects, fact, false);
    }

    /** An entry made just now. */
    public static EntryDraft now(How how, int seen, Fact fact) {
        return new EntryDraft(UUID.randomUUID(), seen, null, how, null, fact);
    }

    /** The same, where it was said of the first child or seat of a fitting, of this one. */
    EntryDraft about(Unit unit) {
        return new EntryDraft(id, seen, at, how, corrects, about(fact, unit), waited, look);
    }

    private static Fact about(Fact said, Unit unit) {
        if (said instanceof Fact.ChildDescribed child) {
            return new Fact.ChildDescribed(
                    unit.rider(), child.born(), child.gestationDays(), child.sex(), child.birthWeight());
        }
        if (said instanceof Fact.Expected expected) {
            return new Fact.Expected(unit.rider(), expected.due());
        }
        if (said instanceof Fact.Weighed weighed) {
            return new Fact.Weighed(unit.rider(), weighed.mass());
        }
        return said instanceof Fact.LengthMeasured length
                ? new Fact.LengthMeasured(unit.rider(), length.what(), length.length(), length.insert())
                : said;
    }

    /** Where one seat stands in several cars, a car's sheet is taken for the car that it is entered for, and no other. */
    EntryDraft inTheCarOf(Situation here) {
        if (!(fact instanceof Fact.SheetAdopted adopted)) {
            return this;
        }
        boolean ofOtherCar =
                here.unit().isInAnotherCar() && !adopted.of().equals(here.unit().sheet());
        Fact taken = new Fact.SheetAdopted(
                adopted.of(),
                adopted.version(),
                adopted.adoption(),
                adopted.reason(),
                ofOtherCar ? here.unit().id() : null);
        return new EntryDraft(id, seen, at, how, corrects, taken, waited, look);
    }

    /** The same entry, its author having seen more. */
    EntryDraft seeing(int last) {
        return new EntryDraft(id, last, at, how, corrects, fact, waited, look);
    }
}
