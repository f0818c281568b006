package app.layette.core.secure;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.RuleCode;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.WhereThere;
import app.layette.core.seat.Rotation;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** SEC-7: a shell that turns, turned back and locked. */
@AutoService(Asking.class)
public final class TurnedBack extends WhereThere<Rotation, TurnedBack.Answer> {
    /** What {@link Question#TURNED_BACK} is answered with. */
    public enum Answer {
        BACK_AND_LOCKED,
        NOT_LOCKED
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("TURNED_BACK"), RuleCode.SEC_7)
            .requiredOf(Method::staysInTheCar)
            .reopenedBy(Change.CARRIER_ON_OFF, Change.TURNED)
            .reopenedElsewhere()
            .reopenedOnTurningBaseBy(Change.HARNESS_OPENED)
            .asks(Asked.about(Question.TURNED_BACK, Answer.class)
                    .leftToRule(Answer.BACK_AND_LOCKED)
                    .fix(Answer.NOT_LOCKED, "finding.SEC-7.notLocked")
                    .shownIn(LookKey.DOOR, 440, Answer.BACK_AND_LOCKED))
            .decidedBy(SheetValue.ROTATION)
            .at(StepKey.TURN_BACK, 100);

    public TurnedBack() {
        super(
                CARD,
                Answer.class,
                new Says(
                        "finding.SEC-7.rotationNotKnown",
                        "finding.SEC-7.rotationNone",
                        "finding.SEC-7.rotationInOrder"),
                SheetValue.ROTATION,
                SeatSheet::rotation,
                rotation -> rotation != Rotation.NONE);
    }

    /** Whether this restraint has one, as far as is known. */
    public static boolean isThereIn(PlaceNow situation) {
        return new TurnedBack().hasOne(situation);
    }
}
