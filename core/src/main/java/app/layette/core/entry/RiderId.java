package app.layette.core.entry;

/**
 * A child in a fitting, by its id there.
 *
 * @param text as documents and forms write it
 */
public record RiderId(String text) implements Subject {
    /** The child that a fitting begins with. */
    public static final RiderId FIRST = new RiderId("r1");

    @Override
    public String toString() {
        return text;
    }
}
