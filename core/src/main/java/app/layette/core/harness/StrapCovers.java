package app.layette.core.harness;

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
import app.layette.core.seat.Harness;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** HAR-11: covers on the straps as the sheet says, clear of the clip, off the neck. */
@AutoService(Asking.class)
public final class StrapCovers extends WhereThere<Harness.Covers, StrapCovers.Answer> {
    /** What {@link Question#COVERS} is answered with. */
    public enum Answer {
        AS_SHEET,
        NOT_AS_SHEET
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("COVERS"), RuleCode.HAR_11)
            .requiredOf(Method::isThroughSlots)
            .reopenedBy(Change.OTHER_SEAT)
            .asks(Asked.about(Question.COVERS, Answer.class)
                    .ofShell()
                    .leftToRule(Answer.AS_SHEET)
                    .fix(Answer.NOT_AS_SHEET, "finding.HAR-11.notAsSheet")
                    .shownIn(LookKey.THREADED, 140, Answer.AS_SHEET))
            .decidedBy(SheetValue.COVERS)
            .at(StepKey.THREAD, 600);

    public StrapCovers() {
        super(
                CARD,
                Answer.class,
                new Says("finding.HAR-11.coversNotKnown", "finding.HAR-11.coversNone", "finding.HAR-11.coversInOrder"),
                SheetValue.COVERS,
                seat -> seat.harness().covers(),
                covers -> covers != Harness.Covers.NONE);
    }
}
