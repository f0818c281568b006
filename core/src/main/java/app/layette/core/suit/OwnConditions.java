package app.layette.core.suit;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.PapersNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.List;

/** SUIT-11: a seat can carry conditions of its own, such as head control; each that its manual names is met. */
@AutoService(Asking.class)
public final class OwnConditions implements Rule.OfPapers {
    /** What {@link Question#OWN_CONDITIONS} is answered with. */
    public enum Answer {
        MET,
        NOT_MET,
        UNSURE
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("OWN_CONDITIONS"), RuleCode.SUIT_11)
            .clearedEarlier()
            .reopenedBy(Change.OTHER_SEAT)
            .asks(Asked.about(Question.OWN_CONDITIONS, Answer.class)
                    .ofShell()
                    .leftToRule(Answer.MET)
                    .stop(Answer.NOT_MET, "finding.SUIT-11.notMet")
                    .notKnown(Answer.UNSURE, "finding.SUIT-11.unsure")
                    .byItself())
            .decidedBy(SheetValue.OWN_CONDITIONS)
            .at(StepKey.FITS, 300);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(PapersNow situation) {
        if (situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.SHEET);
        }
        Evidence<List<String>> own =
                situation.seat().map(SeatSheet::ownConditions).orElseThrow();
        if (own.value().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.SUIT-11.conditionsNotLooked")
                    .lacks(SheetValue.OWN_CONDITIONS)
                    .changedBy("SEAT_MANUAL"));
        }
        if (own.value().get().isEmpty()) {
            return Verdict.judged(
                    Finding.of(Weight.HOLDS, "finding.SUIT-11.noConditions").from(own));
        }
        String named = String.join("; ", own.value().get());
        return new AnsweredByEye<>(
                        Question.OWN_CONDITIONS,
                        Answer.class,
                        (here, answer) -> Verdict.judged(Finding.of(Weight.HOLDS, "finding.SUIT-11.conditionsMet")
                                .with("conditions", named)
                                .from(own)))
                .judge(situation);
    }

    /** Whether the sheet names any. */
    @Override
    public boolean isAsked(Situation situation) {
        return situation
                .seat()
                .flatMap(seat -> seat.ownConditions().value())
                .filter(list -> !list.isEmpty())
                .isPresent();
    }
}
