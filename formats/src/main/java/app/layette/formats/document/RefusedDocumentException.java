package app.layette.formats.document;

import java.util.List;
import java.util.stream.Collectors;

/** A document that is not taken, with every problem found. */
public final class RefusedDocumentException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    private final transient List<DocumentProblem> problems;

    public RefusedDocumentException(List<DocumentProblem> problems) {
        super(problems.stream().map(DocumentProblem::toString).collect(Collectors.joining("\n")));
        this.problems = List.copyOf(problems);
    }

    public static RefusedDocumentException because(String place, String value, String allowed) {
        return new RefusedDocumentException(List.of(new DocumentProblem(place, value, allowed)));
    }

    public List<DocumentProblem> problems() {
        return problems;
    }
}
