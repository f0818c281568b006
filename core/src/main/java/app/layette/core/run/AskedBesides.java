package app.layette.core.run;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Question;
import app.layette.core.finding.RuleCode;
import app.layette.core.placing.CaregiverReach;
import com.google.auto.service.AutoService;
import java.util.List;

/** What is asked by eye and judged by no rule: it ranks places, or says whether an earlier fitting may be relied on. */
@AutoService(Asking.class)
public final class AskedBesides implements Asking {
    /** What {@link Question#SINCE} is answered with. */
    public enum Since {
        NOTHING,
        SOMETHING
    }

    @Override
    public List<Asked> asked() {
        return List.of(
                // Which doors the caregiver can use, and whether they can lean in: it ranks places, and forbids none.
                Asked.about(Question.REACH, CaregiverReach.class)
                        .leftToRule(
                                CaregiverReach.EITHER_DOOR, CaregiverReach.KERB_DOOR_ONLY, CaregiverReach.NO_LEANING_IN)
                        .told()
                        .by(RuleCode.CAB_13),
                // Whether anything was taken off, added, damaged, crashed or lent since the last fitting.
                Asked.about(Question.SINCE, Since.class)
                        .ofRestraint()
                        .holds(Since.NOTHING)
                        .notKnown(Since.SOMETHING)
                        .told()
                        .byItself()
                        .by(RuleCode.CND_2));
    }

    @Override
    public int order() {
        return Integer.MAX_VALUE;
    }
}
