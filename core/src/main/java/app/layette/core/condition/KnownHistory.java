package app.layette.core.condition;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Question;
import app.layette.core.finding.RuleCode;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.RuleCard;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** CND-2: whose it was is known. */
@AutoService(Asking.class)
public final class KnownHistory extends RuleByEye<KnownHistory.Answer> {
    /** What {@link Question#HISTORY} is answered with. */
    public enum Answer {
        OWNED_FROM_NEW,
        KNOWN_DONOR,
        UNKNOWN
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("HISTORY"), RuleCode.CND_2)
            .countsBeforeBirth()
            .clearedEarlier()
            .reopenedBy(Change.OTHER_SEAT)
            .asks(Asked.about(Question.HISTORY, Answer.class)
                    .ofRestraint()
                    .holds(Answer.OWNED_FROM_NEW, "finding.CND-2.ownedFromNew")
                    .holds(Answer.KNOWN_DONOR, "finding.CND-2.knownDonor")
                    .stop(Answer.UNKNOWN, "finding.CND-2.unknown")
                    .told()
                    .carried()
                    .toldIn(LookKey.TABLE, 10, Answer.OWNED_FROM_NEW))
            .at(StepKey.HISTORY_STEP, 100);

    public KnownHistory() {
        super(CARD, Answer.class);
    }
}
