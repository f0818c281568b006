package app.layette.core.entry;

import app.layette.core.evidence.Written;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.LengthRange;
import app.layette.core.measure.Mass;
import app.layette.core.measure.MassRange;
import java.lang.reflect.RecordComponent;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/**
 * One field of a kind of entry, as its component says it.
 *
 * @param kind of the entry
 * @param component of its record
 * @param written what the type does not say
 */
public record FactField(Class<? extends Fact> kind, RecordComponent component, Written written) {
    /** What every entry is about. */
    private static final String OF = "of";

    private static final String GESTATION = "gestationDays";

    /** Name of the field in forms, documents and words. */
    public String name() {
        return component.getName();
    }

    public Class<?> type() {
        return component.getType();
    }

    /** Whether there is no entry without it. */
    public boolean isNeeded() {
        return written.needed() || type().isPrimitive() || isSubject();
    }

    /** Whether it names what the entry is about. */
    public boolean isSubject() {
        return name().equals(OF);
    }

    /** Whether it is a length of pregnancy in days, which is typed and told in weeks. */
    public boolean isWeeks() {
        return name().equals(GESTATION);
    }

    /** Whether a hand writes words of its own there, which could name somebody. */
    public boolean isFree() {
        return written.free();
    }

    /** The least that a number or an angle (degrees) may be. */
    public OptionalInt from() {
        return written.from() == Integer.MIN_VALUE ? OptionalInt.empty() : OptionalInt.of(written.from());
    }

    /** The most that a number or an angle (degrees) may be. */
    public OptionalInt to() {
        return written.to() == Integer.MAX_VALUE ? OptionalInt.empty() : OptionalInt.of(written.to());
    }

    /** The range that a mass is taken in; any that a manual could print where the field names none. */
    public MassRange masses() {
        return written.in().mass().orElse(MassRange.SHEET);
    }

    /**
     * The range that a length is taken in.
     *
     * @param by the constant of the same entry that decides it, where one does: what was measured, or which quantity
     */
    public LengthRange lengths(Optional<? extends Enum<?>> by) {
        return written.in().length().or(() -> by.flatMap(FactField::decided)).orElse(LengthRange.SHEET);
    }

    private static Optional<LengthRange> decided(Enum<?> by) {
        if (by instanceof Fact.Dimension what) {
            return Optional.of(FactCheck.rangeOf(what));
        }
        return by instanceof Fact.Quantity quantity ? Optional.of(FactCheck.rangeOf(quantity)) : Optional.empty();
    }

    /** The field whose constant decides the range of a length; empty where the field says its own. */
    public Optional<FactField> decidedBy() {
        boolean open = type() == Length.class && written.in().length().isEmpty();
        return FactFields.of(kind).stream()
                .filter(each -> open && (each.type() == Fact.Dimension.class || each.type() == Fact.Quantity.class))
                .findFirst();
    }

    /** Whether it is a quantity that is read from what a hand types, with its unit. */
    public boolean isMeasure() {
        return type() == Mass.class || type() == Length.class || type() == Angle.class;
    }

    /** Whether it is a day, or a month that a label prints. */
    public boolean isDay() {
        return type() == LocalDate.class || type() == PartialDate.class;
    }

    /** What an entry says there; {@code null} where it says nothing. */
    public @Nullable Object in(Fact fact) {
        try {
            return component.getAccessor().invoke(fact);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("The field " + name() + " of " + fact + " cannot be read", e);
        }
    }
}
