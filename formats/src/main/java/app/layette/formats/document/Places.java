package app.layette.formats.document;

import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;

/** Where in a document the reader stumbled. */
final class Places {
    private Places() {}

    static String of(JacksonException e) {
        return e.getPath().stream()
                .map(step -> "/" + (step.getPropertyName() == null ? step.getIndex() : step.getPropertyName()))
                .collect(Collectors.joining());
    }
}
