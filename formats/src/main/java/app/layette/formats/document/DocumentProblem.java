package app.layette.formats.document;

/**
 * One thing wrong with a document.
 *
 * @param place where, as a JSON pointer; empty for the whole document
 * @param value what stands there, shortened
 * @param allowed what would be allowed
 */
public record DocumentProblem(String place, String value, String allowed) {
    @Override
    public String toString() {
        return "The field " + (place.isEmpty() ? "(document)" : place) + " (" + value + ") is refused: " + allowed;
    }
}
