package app.layette.core.secure;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.RuleCode;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.WhereThere;
import app.layette.core.seat.SeatKind;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** SEC-3: a car bed's own straps round the lap part. */
@AutoService(Asking.class)
public final class BedEndStraps extends WhereThere<Boolean, BedEndStraps.Answer> {
    /** What {@link Question#END_STRAPS} is answered with. */
    public enum Answer {
        ROUND_THE_LAP_PART,
        LOOSE
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("END_STRAPS"), RuleCode.SEC_3)
            .requiredOf(method -> method.kind() == SeatKind.CAR_BED)
            .reopenedBy(Change.TIGHTENED, Change.BELT_TOUCHED)
            .reopenedElsewhere()
            .asks(Asked.about(Question.END_STRAPS, Answer.class)
                    .leftToRule(Answer.ROUND_THE_LAP_PART)
                    .fix(Answer.LOOSE, "finding.SEC-3.loose")
                    .shownIn(LookKey.FIXED, 280, Answer.ROUND_THE_LAP_PART))
            .decidedBy(SheetValue.END_STRAPS)
            .at(StepKey.TIGHTEN, 400);

    public BedEndStraps() {
        super(
                CARD,
                Answer.class,
                new Says(
                        "finding.SEC-3.endStrapsNotKnown",
                        "finding.SEC-3.endStrapsNone",
                        "finding.SEC-3.endStrapsInOrder"),
                SheetValue.END_STRAPS,
                seat -> seat.carBed().endStraps(),
                has -> has);
    }

    /** Once it is known that a belt holds it. */
    @Override
    public boolean isAsked(Situation situation) {
        return situation.method().isPresent() && super.isAsked(situation);
    }
}
