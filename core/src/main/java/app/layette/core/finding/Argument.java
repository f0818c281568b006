package app.layette.core.finding;

import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import java.time.LocalDate;

/** A typed value inside a finding or a step; whoever prints it chooses the units and the language. */
public sealed interface Argument {
    record OfMass(Mass mass) implements Argument {}

    record OfLength(Length length) implements Argument {}

    record OfAngle(Angle angle) implements Argument {}

    record OfDate(LocalDate date) implements Argument {}

    record OfNumber(double number) implements Argument {}

    /** Text that stays as it is: a model number, a name. */
    record OfText(String text) implements Argument {}

    /** The key of a message, to be said in the reader's language. */
    record OfKey(String key) implements Argument {}

    static Argument of(Object value) {
        if (value instanceof Argument argument) {
            return argument;
        }
        if (value instanceof Mass mass) {
            return new OfMass(mass);
        }
        if (value instanceof Length length) {
            return new OfLength(length);
        }
        if (value instanceof Angle angle) {
            return new OfAngle(angle);
        }
        if (value instanceof LocalDate date) {
            return new OfDate(date);
        }
        if (value instanceof Number number) {
            return new OfNumber(number.doubleValue());
        }
        return new OfText(String.valueOf(value));
    }

    /** A message key made of a prefix and an enum constant: {@code handle.UP}. */
    static Argument key(String prefix, Enum<?> constant) {
        return new OfKey(prefix + "." + constant.name());
    }
}
