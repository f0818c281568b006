package app.layette.formats.sheet;

/** A field of a sheet that is being written. */
public interface WrittenField {
    /** Where it stands in the document, such as {@code /shell/top} or {@code /positions/2-LEFT/airbag}. */
    String pointer();

    /** What it takes. */
    Shape shape();

    /** Whether it is said by a source; what names a thing is not. */
    boolean evidence();
}
