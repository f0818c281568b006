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
public final class ManualsAtHand extends RuleByEye<ManualsAtHand.Answer> {
    /** What {@link Question#MANUALS} is answered with. */
    public enum Answer {
        BOTH,
        SEAT_ONLY,
        CAR_ONLY,
        NEITHER
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("MANUALS"), RuleCode.CND_6)
            .countsBeforeBirth()
            .clearedEarlier()
            .reopenedBy(Change.OTHER_SEAT, Change.OTHER_CAR)
            .asks(Asked.about(Question.MANUALS, Answer.class)
                    .holds(Answer.BOTH, "finding.CND-6.both")
                    .notKnown(Answer.SEAT_ONLY, "finding.CND-6.seatOnly")
                    .notKnown(Answer.CAR_ONLY, "finding.CND-6.carOnly")
                    .notKnown(Answer.NEITHER, "finding.CND-6.neither")
                    .carried()
                    .shownIn(LookKey.TABLE, 50, Answer.BOTH))
            .at(StepKey.PARTS_STEP, 200);

    public ManualsAtHand() {
        super(CARD, Answer.class);
    }
}
