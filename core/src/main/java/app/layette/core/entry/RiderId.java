package app.layette.core.entry;

/**
 * A child in a fitting, by its id there.
 *
 * @param text as documents and forms write it
 */
public record RiderId(String text) implements Subject {
    /** The child that a fitting begins with. */
    public static final RiderId FIRST = numbered(1);

    /** What the children of a fitting are called, in the order in which they come, from 1. */
    public static RiderId numbered(int number) {
        return new RiderId("r" + number);
    }

    @Override
    public String toString() {
        return text;
    }
}
