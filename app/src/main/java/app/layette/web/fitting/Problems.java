package app.layette.web.fitting;

import app.layette.core.entry.FieldProblem;
import app.layette.core.finding.Argument;
import app.layette.formats.wording.Wording;
import java.util.Map;

/** Says what is wrong with a field: its name, what was typed, and what is allowed. */
public final class Problems {
    private Problems() {}

    public static String say(FieldProblem problem, Wording words) {
        String field = words.say("field." + problem.field());
        return words.say(
                "problem." + problem.reason(),
                Map.of(
                        "field", Argument.of(field),
                        "value", Argument.of(problem.value()),
                        "lowest", Argument.of(problem.lowest()),
                        "highest", Argument.of(problem.highest())));
    }
}
