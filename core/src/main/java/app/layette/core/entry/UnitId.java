package app.layette.core.entry;

/**
 * An actual seat where it stands, by its id in the fitting: a seat that is fixed in two cars is two of them.
 *
 * @param text as documents and forms write it
 */
public record UnitId(String text) implements Subject {
    /** The seat that a fitting begins with. */
    public static final UnitId FIRST = new UnitId("u1");

    @Override
    public String toString() {
        return text;
    }
}
