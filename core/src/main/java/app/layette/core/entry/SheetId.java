package app.layette.core.entry;

import app.layette.core.evidence.SheetVersion;

/**
 * A seat's or a car's sheet, by its id; which version of it is another matter.
 *
 * @param text as documents and forms write it
 */
public record SheetId(String text) implements Subject {
    /** Of which sheet it is a version. */
    public static SheetId of(SheetVersion version) {
        return new SheetId(version.id());
    }

    @Override
    public String toString() {
        return text;
    }
}
