package app.layette.core.secure;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.HeadDirection;
import app.layette.core.seat.SeatKind;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** HAR-12, CAB-11: flat, with the head as the sheet says; one that says nothing leaves it not known. */
@AutoService(Asking.class)
public final class LiesFlat extends RuleByEye<LiesFlat.Answer> {
    /** What {@link Question#LIES_FLAT} is answered with. */
    public enum Answer {
        FLAT_HEAD_AS_SHEET,
        HEAD_OTHER_WAY,
        NOT_FLAT
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("LIES_FLAT"), RuleCode.HAR_12)
            .requiredOf(Method::isFlat)
            .reopenedBy(Change.HARNESS_OPENED)
            .reopenedElsewhere()
            .asks(Asked.about(Question.LIES_FLAT, Answer.class)
                    .leftToRule(Answer.FLAT_HEAD_AS_SHEET)
                    .fix(Answer.HEAD_OTHER_WAY, "finding.HAR-12.headOtherWay")
                    .fix(Answer.NOT_FLAT, "finding.HAR-12.notFlat")
                    .shownIn(LookKey.HARNESSED, 400, Answer.FLAT_HEAD_AS_SHEET))
            .decidedBy(SheetValue.HEAD_DIRECTION)
            .at(StepKey.HARNESS, 500);

    public LiesFlat() {
        super(CARD, Answer.class);
    }

    @Override
    protected Verdict.Judged further(PlaceNow situation, Stamped<Answer> answer) {
        Evidence<HeadDirection> head = headDirection(situation);
        return Verdict.judged(head.value()
                .map(direction -> Finding.of(Weight.HOLDS, "finding.HAR-12.flatHeadAsSheet")
                        .with("head", Argument.key("head", direction)))
                .orElseGet(() -> Finding.of(Weight.NOT_KNOWN, "finding.HAR-12.headDirectionNotKnown")
                        .lacks(SheetValue.HEAD_DIRECTION)
                        .changedBy("SEAT_MANUAL"))
                .from(head));
    }

    /** Where the head of a child that lies flat is to be, by the sheet. */
    public static Evidence<HeadDirection> headDirection(PlaceNow situation) {
        boolean bed = situation.usualMethod().kind() == SeatKind.CAR_BED;
        return situation
                .seat()
                .map(seat ->
                        bed ? seat.carBed().headDirection() : seat.layFlat().headDirection())
                .orElse(Evidence.notLooked());
    }
}
