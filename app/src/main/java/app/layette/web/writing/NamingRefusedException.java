package app.layette.web.writing;

import app.layette.core.entry.FieldProblem;
import java.util.List;

/** What names a sheet is missing or cannot be. */
class NamingRefusedException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final transient List<FieldProblem> problems;

    NamingRefusedException(List<FieldProblem> problems) {
        super(problems.toString());
        this.problems = List.copyOf(problems);
    }

    List<FieldProblem> problems() {
        return problems;
    }
}
