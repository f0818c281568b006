package app.layette.web.fitting;

import app.layette.core.entry.FieldProblem;
import java.util.List;

/** An entry that is not taken: nothing was stored, and what was typed goes back to the form. */
public class RefusedEntryException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final transient List<FieldProblem> problems;
    private final String reason;

    private RefusedEntryException(List<FieldProblem> problems, String reason) {
        super(reason + " " + problems);
        this.problems = List.copyOf(problems);
        this.reason = reason;
    }

    /** For problems with fields. */
    public static RefusedEntryException fields(List<FieldProblem> problems) {
        return new RefusedEntryException(problems, "");
    }

    /** For a reason that no field carries; the key of its sentence. */
    public static RefusedEntryException because(String reason) {
        return new RefusedEntryException(List.of(), reason);
    }

    /** What is wrong with which field; empty when a reason says it. */
    public List<FieldProblem> problems() {
        return problems;
    }

    /** Key of the sentence for a reason that no field carries; empty when fields carry it. */
    public String reason() {
        return reason;
    }
}
