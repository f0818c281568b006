package app.layette.web.shell;

import app.layette.core.entry.FieldProblem;
import app.layette.formats.text.PlainText;
import java.util.List;
import java.util.Map;

/** Words that were typed into a field of a form. */
public final class TypedText {
    private static final int SHOWN = 40;

    private TypedText() {}

    /**
     * What a field says, as plain text without blanks around it.
     *
     * @param longest most letters that are allowed
     * @param problems takes what is wrong: nothing typed, or too much
     */
    public static String needed(Map<String, String> fields, String name, int longest, List<FieldProblem> problems) {
        String typed = fields.get(name);
        String text = PlainText.of(typed == null ? "" : typed).strip();
        if (text.isEmpty()) {
            problems.add(new FieldProblem(name, text, "NEEDED", "", ""));
        } else if (text.length() > longest) {
            problems.add(
                    new FieldProblem(name, text.substring(0, SHOWN) + "…", "TOO_LONG", "1", String.valueOf(longest)));
        }
        return text;
    }
}
