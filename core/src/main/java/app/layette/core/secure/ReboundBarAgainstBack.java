package app.layette.core.secure;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.RuleCode;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.WhereThere;
import app.layette.core.seat.ReboundBar;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** SEC-7: an anti-rebound bar lies against the vehicle seat back. */
@AutoService(Asking.class)
public final class ReboundBarAgainstBack extends WhereThere<ReboundBar, ReboundBarAgainstBack.Answer> {
    /** What {@link Question#BAR} is answered with. */
    public enum Answer {
        AGAINST_BACK,
        OFF_BACK
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("REBOUND_BAR"), RuleCode.SEC_7)
            .requiredOf(Method::staysInTheCar)
            .countsBeforeBirth()
            .reopenedBy(Change.TIGHTENED, Change.BELT_TOUCHED, Change.ANCHOR_TOUCHED, Change.ARMS_WALKED_IN)
            .reopenedElsewhere()
            .asks(Asked.about(Question.BAR, Answer.class)
                    .leftToRule(Answer.AGAINST_BACK)
                    .fix(Answer.OFF_BACK, "finding.SEC-7.offBack")
                    .shownIn(LookKey.SHOWN, 330, Answer.AGAINST_BACK))
            .decidedBy(SheetValue.REBOUND_BAR)
            .at(StepKey.LEG_AND_WINDOWS, 300);

    public ReboundBarAgainstBack() {
        super(
                CARD,
                Answer.class,
                new Says("finding.SEC-7.barNotKnown", "finding.SEC-7.barNone", "finding.SEC-7.barInOrder"),
                SheetValue.REBOUND_BAR,
                SeatSheet::reboundBar,
                bar -> bar != ReboundBar.NONE);
    }
}
