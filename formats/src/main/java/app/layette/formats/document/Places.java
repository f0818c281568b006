package app.layette.formats.document;

import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;

/** Where in a document the reader stumbled. */
final class Places {
    private Places() {}

    /** Why, in the words of the value that refused rather than of the reader around it. */
    static String why(JacksonException e) {
        Throwable cause = e.getCause();
        return cause instanceof IllegalArgumentException && cause.getMessage() != null
                ? cause.getMessage()
                : e.getOriginalMessage();
    }

    static String of(JacksonException e) {
        return e.getPath().stream()
                .map(step -> "/" + (step.getPropertyName() == null ? step.getIndex() : step.getPropertyName()))
                .collect(Collectors.joining());
    }
}
