package app.layette.web.workbench;

import app.layette.core.fitting.FittingPlan;
import app.layette.core.run.Step;
import app.layette.core.step.StepKey;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.RefusedEntryException;
import app.layette.web.workbench.AskForms.Typed;
import app.layette.web.workbench.Workbench.Focus;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** An answer names the question that it was given to; one that belongs to another is not taken. */
final class AnswerNames {
    private AnswerNames() {}

    /**
     * Holds an answer to the question it names. A question that is not asked any more cannot be held to: what waited for
     * a connection names such.
     *
     * @throws RefusedEntryException when the named question is asked here and would never post this
     */
    static void check(FittingPlan plan, Wording words, Optional<StepKey> step, Map<String, String> fields) {
        String named = fields.getOrDefault("nav-ask", "");
        if (named.isEmpty()) {
            return;
        }
        AskViews views = new AskViews(plan, words, new Focus(step, "", "", Typed.NOTHING, List.of()));
        List<AskView> asked = step.flatMap(plan.run()::step).map(Step::asks).orElse(List.of()).stream()
                .filter(ask -> AskForms.id(ask).equals(named))
                .map(views::of)
                .toList();
        boolean posts = asked.stream()
                .flatMap(ask -> ask.forms().stream())
                .anyMatch(form -> form.hidden().entrySet().stream()
                        .allMatch(hidden -> hidden.getValue().equals(fields.get(hidden.getKey()))
                                || isFilledInHere(hidden.getKey())));
        if (!asked.isEmpty() && !posts) {
            throw RefusedEntryException.because("OTHER_QUESTION");
        }
    }

    /** What a scale or a gauge fills in while the form is open. */
    private static boolean isFilledInHere(String field) {
        return field.equals("how");
    }
}
