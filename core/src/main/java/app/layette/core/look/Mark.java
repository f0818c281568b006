package app.layette.core.look;

import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.step.Ask;
import app.layette.core.step.StepKey;

/**
 * One mark of a look.
 *
 * @param step where its ask stands in the run
 * @param ask what it answers
 * @param drawn the answer that the drawing shows
 * @param fact what is kept when it is as drawn
 * @param how how that is known
 */
public record Mark(StepKey step, Ask ask, String drawn, Fact fact, How how) {
    /** Names question and drawn answer together: a drawing that has changed since is another mark. */
    public String token() {
        return ask.kind() + ":" + ask.key() + "=" + drawn;
    }
}
