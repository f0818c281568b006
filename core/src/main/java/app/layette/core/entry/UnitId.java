package app.layette.core.entry;

/**
 * An actual seat where it stands, by its id in the fitting: a seat that is fixed in two cars is two of them.
 *
 * @param text as documents and forms write it
 */
public record UnitId(String text) implements Subject {
    /** The seat that a fitting begins with. */
    public static final UnitId FIRST = numbered(1);

    /** What the seats of a fitting are called, in the order in which they come, from 1. */
    public static UnitId numbered(int number) {
        return new UnitId("u" + number);
    }

    @Override
    public String toString() {
        return text;
    }
}
