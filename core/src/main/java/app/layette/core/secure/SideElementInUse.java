package app.layette.core.secure;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Question;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.RuleCode;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.WhereThere;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.SideElement;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** CAB-12: a side element as the sheet says. */
@AutoService(Asking.class)
public final class SideElementInUse extends WhereThere<SideElement, SideElementInUse.Answer> {
    /** What {@link Question#SIDE_ELEMENT} is answered with. */
    public enum Answer {
        AS_SHEET,
        NOT_AS_SHEET
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("SIDE_ELEMENT"), RuleCode.CAB_12)
            .countsBeforeBirth()
            .reopenedElsewhere()
            .asks(Asked.about(Question.SIDE_ELEMENT, Answer.class)
                    .leftToRule(Answer.AS_SHEET)
                    .fix(Answer.NOT_AS_SHEET, "finding.CAB-12.notAsSheet")
                    .shownIn(LookKey.SHOWN, 340, Answer.AS_SHEET))
            .decidedBy(SheetValue.SIDE_ELEMENT)
            .at(StepKey.LEG_AND_WINDOWS, 400);

    public SideElementInUse() {
        super(
                CARD,
                Answer.class,
                new Says(
                        "finding.CAB-12.sideElementNotKnown",
                        "finding.CAB-12.sideElementNone",
                        "finding.CAB-12.sideElementInOrder"),
                SheetValue.SIDE_ELEMENT,
                SeatSheet::sideElement,
                element -> element != SideElement.NONE);
    }
}
