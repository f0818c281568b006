package app.layette.core.rule;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.ChildNow;
import app.layette.core.entry.PapersNow;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.RestraintNow;
import app.layette.core.entry.Situation;
import app.layette.core.finding.Finding;
import app.layette.core.step.Ask;
import java.util.List;

/**
 * One rule: reads the situation, gives a verdict on its conclusion. Holds no state. All that the rest of the program has
 * to know of it stands on its card; it is found by being there: {@code @AutoService(Asking.class)} on its class lists it
 * while it is compiled (decision 72).
 */
public interface Rule extends Asking {
    RuleCard card();

    /** The verdict on its conclusion as things are; whatever it throws is taken for broken, never for passed. */
    Verdict judge(Situation situation);

    /** A rule that judges what the papers say, and what was told of them. */
    interface OfPapers extends Rule {
        Verdict judge(PapersNow papers);

        @Override
        default Verdict judge(Situation situation) {
            return judge((PapersNow) situation);
        }
    }

    /** A rule that judges the child by what the papers say. */
    interface OfChild extends Rule {
        Verdict judge(ChildNow child);

        @Override
        default Verdict judge(Situation situation) {
            return judge((ChildNow) situation);
        }
    }

    /** A rule that judges the restraint and how it is set for the child, wherever it stands. */
    interface OfRestraint extends Rule {
        Verdict judge(RestraintNow restraint);

        @Override
        default Verdict judge(Situation situation) {
            return judge((RestraintNow) situation);
        }
    }

    /** A rule that judges the restraint where it stands. */
    interface OfPlace extends Rule {
        Verdict judge(PlaceNow place);

        @Override
        default Verdict judge(Situation situation) {
            return judge((PlaceNow) situation);
        }
    }

    default Conclusion conclusion() {
        return card().conclusion();
    }

    /** Whether what it asks can change anything here. */
    default boolean isAsked(Situation situation) {
        return true;
    }

    /** What its step asks for it, in order; of a rule by eye its questions. */
    default List<Ask> asks(Looks looks) {
        return isAsked(looks.situation())
                ? asked().stream()
                        .map(each -> looks.question(each.question(), conclusion()))
                        .toList()
                : List.of();
    }

    /**
     * The pages that would tell what a finding of it lacks, where that is no permission and no value of a sheet: keys as
     * an ask for a page has them.
     */
    default List<String> pages(Finding finding, Situation situation) {
        return List.of();
    }

    @Override
    default List<Asked> asked() {
        return card().asked();
    }

    @Override
    default int order() {
        return card().order();
    }
}
