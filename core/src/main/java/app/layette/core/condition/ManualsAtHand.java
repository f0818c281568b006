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

/** CND-6: both manuals are at hand. */
@AutoService(Asking.class)
public final class ManualsAtHand extends RuleByEye {
    private static final RuleCard CARD = RuleCard.of(Conclusion.named("MANUALS"), RuleCode.CND_6)
            .countsBeforeBirth()
            .clearedEarlier()
            .reopenedBy(Change.OTHER_SEAT, Change.OTHER_CAR)
            .asks(Asked.about(Question.MANUALS)
                    .holds("BOTH", "finding.CND-6.both")
                    .notKnown("SEAT_ONLY", "finding.CND-6.seatOnly")
                    .notKnown("CAR_ONLY", "finding.CND-6.carOnly")
                    .notKnown("NEITHER", "finding.CND-6.neither")
                    .carried()
                    .shownIn(LookKey.TABLE, 50, "BOTH"))
            .at(StepKey.PARTS_STEP, 200);

    public ManualsAtHand() {
        super(CARD);
    }
}
