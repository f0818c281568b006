package app.layette.formats.sheet;

import app.layette.core.seat.SeatKind;
import java.util.Set;

/**
 * One field of a seat sheet.
 *
 * @param pointer where it stands in the document, such as {@code /shell/top}
 * @param section which part of the sheet it belongs to
 * @param kinds the kinds of restraint that are asked for it
 * @param look the drawing that shows it
 * @param shape what it takes
 * @param evidence whether it is said by a source; what names the restraint is not
 */
public record SheetField(String pointer, Section section, Set<SeatKind> kinds, Look look, Shape shape, boolean evidence)
        implements WrittenField {
    /** Parts of a sheet, in the order in which they are written. */
    public enum Section {
        PAPERS,
        LIFE,
        LIMITS,
        SHELL,
        INSERT,
        HARNESS,
        RECLINE,
        BASE,
        BELT,
        BASELESS,
        HANDLE,
        MOVING,
        BED,
        FLAT,
        MAY,
        NAMES
    }

    /** Drawings of a restraint. */
    public enum Look {
        SIDE,
        BACK,
        BELOW,
        INDICATOR,
        LABEL,
        WORDS
    }

    public SheetField {
        kinds = Set.copyOf(kinds);
    }

    /** Its words' key: {@code shell.top}. */
    public String key() {
        return pointer.substring(1).replace('/', '.');
    }
}
