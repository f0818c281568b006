package app.layette.core.secure;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.RuleCode;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.WhereThere;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** SEC-2: a tension panel closed over the belt and locked. */
@AutoService(Asking.class)
public final class TensionPanel extends WhereThere<Boolean, TensionPanel.Answer> {
    /** What {@link Question#PANEL} is answered with. */
    public enum Answer {
        CLOSED_AND_LOCKED,
        NOT_CLOSED
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("PANEL"), RuleCode.SEC_2)
            .requiredOf(method -> method.isByBelt() && method.staysInTheCar())
            .countsBeforeBirth()
            .reopenedBy(Change.TIGHTENED, Change.BELT_TOUCHED)
            .reopenedElsewhere()
            .asks(Asked.about(Question.PANEL, Answer.class)
                    .leftToRule(Answer.CLOSED_AND_LOCKED)
                    .fix(Answer.NOT_CLOSED, "finding.SEC-2.notClosed")
                    .shownIn(LookKey.FIXED, 270, Answer.CLOSED_AND_LOCKED))
            .decidedBy(SheetValue.PANEL)
            .at(StepKey.TIGHTEN, 300);

    public TensionPanel() {
        super(
                CARD,
                Answer.class,
                new Says("finding.SEC-2.panelNotKnown", "finding.SEC-2.panelNone", "finding.SEC-2.panelInOrder"),
                SheetValue.PANEL,
                SeatSheet::tensionPanel,
                has -> has);
    }

    /** Once it is known that a belt holds it. */
    @Override
    public boolean isAsked(Situation situation) {
        return situation.method().isPresent() && super.isAsked(situation);
    }

    /** Whether this restraint has one, as far as is known. */
    public static boolean isThereIn(PlaceNow situation) {
        return new TensionPanel().hasOne(situation);
    }
}
