package app.layette.core.condition;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/** CND-4: a look-up is good for the profile's days; one dated in the future is no look-up. */
@AutoService(Asking.class)
public final class NoOpenRecall extends RuleByEye<NoOpenRecall.Answer> {
    /** What {@link Question#RECALL} is answered with. */
    public enum Answer {
        NONE_OPEN,
        REMEDY_DONE,
        OPEN,
        NOT_LOOKED_UP
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("RECALL"), RuleCode.CND_4)
            .countsBeforeBirth()
            .clearedEarlier()
            .reopenedBy(Change.OTHER_SEAT, Change.LABEL_CORRECTED)
            .asks(Asked.about(Question.RECALL, Answer.class)
                    .ofRestraint()
                    .leftToRule(Answer.NONE_OPEN, Answer.REMEDY_DONE)
                    .stop(Answer.OPEN, "finding.CND-4.open")
                    .notKnown(Answer.NOT_LOOKED_UP, "finding.CND-4.notLookedUp")
                    .carried()
                    .byItself())
            .at(StepKey.HISTORY_STEP, 300);

    public NoOpenRecall() {
        super(CARD, Answer.class);
    }

    @Override
    protected Verdict.Judged further(PlaceNow situation, Stamped<Answer> answer) {
        int allowed = situation.practice().profile().recallDays();
        Optional<LocalDate> lookedUp = answer.freshOn(situation.today());
        boolean old = lookedUp.isEmpty() || ChronoUnit.DAYS.between(lookedUp.get(), situation.today()) > allowed;
        String fine = answer.value() == Answer.NONE_OPEN ? "finding.CND-4.noneOpen" : "finding.CND-4.remedyDone";
        return Verdict.judged((old ? Verdict.again("finding.CND-4.lookUpTooOld") : Finding.of(Weight.HOLDS, fine))
                .with("lookedUp", answer.on())
                .with("days", allowed)
                .changedBy("RECALL"));
    }
}
