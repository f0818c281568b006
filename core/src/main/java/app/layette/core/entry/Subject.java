package app.layette.core.entry;

import app.layette.core.evidence.Id;

/**
 * What an entry names: a child, an actual seat where it stands, or a sheet. Each has an id of its own type, so that no code
 * can take the one for the other; in documents all of them are texts.
 */
public sealed interface Subject extends Id permits RiderId, UnitId, SheetId, Subject.Named {
    /**
     * Whether both name the same, by the id alone: a document may name the seat in an entry that is of the child in it.
     */
    default boolean is(Subject other) {
        return text().equals(other.text());
    }

    /** Where the kind of entry does not say what it names: a note may be of the family, a withdrawal of what it withdraws. */
    record Named(String text) implements Subject {
        @Override
        public String toString() {
            return text;
        }
    }
}
