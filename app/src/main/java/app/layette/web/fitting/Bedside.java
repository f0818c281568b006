package app.layette.web.fitting;

import app.layette.core.entry.Author;
import app.layette.core.entry.Rights;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.step.Ask;

/** Teaching at the bedside ends by itself: what has been asked has been answered, and nobody has to say so once more. */
final class Bedside {
    private Bedside() {}

    /** Whether nothing is left to ask but whether it is over, and this person may end it. */
    static boolean isAllTaught(FittingPlan plan, Author author) {
        return plan.state().isUnderWay()
                && plan.situation().isBedside()
                && Rights.signs(author.role())
                && plan.run().steps().stream()
                        .flatMap(step -> step.asks().stream())
                        .filter(ask -> ask.kind() != Ask.Kind.END)
                        .allMatch(ask -> ask.answered() || ask.optional());
    }
}
