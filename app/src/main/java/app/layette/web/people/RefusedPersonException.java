package app.layette.web.people;

import app.layette.core.entry.FieldProblem;
import java.util.List;

/** What is said of somebody is not taken; nothing was changed. */
public class RefusedPersonException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final transient List<FieldProblem> problems;

    RefusedPersonException(List<FieldProblem> problems) {
        super(problems.toString());
        this.problems = List.copyOf(problems);
    }

    public List<FieldProblem> problems() {
        return problems;
    }
}
