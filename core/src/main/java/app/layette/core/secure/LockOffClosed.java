package app.layette.core.secure;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.LockOff;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** SEC-2: the lock-off that the sheet lists is closed over the part of the belt that the sheet says. */
@AutoService(Asking.class)
public final class LockOffClosed implements Rule.OfPlace {
    /** What {@link Question#LOCK_OFF} is answered with. */
    public enum Answer {
        CLOSED,
        OPEN
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("LOCK_OFF"), RuleCode.SEC_2)
            .requiredOf(Method::isByBelt)
            .countsBeforeBirth()
            .reopenedBy(Change.BELT_TOUCHED)
            .reopenedElsewhere()
            .asks(Asked.about(Question.LOCK_OFF, Answer.class)
                    .leftToRule(Answer.CLOSED)
                    .fix(Answer.OPEN, "finding.SEC-2.open")
                    .shownIn(LookKey.FIXED, 260, Answer.CLOSED))
            .decidedBy(SheetValue.LOCK_OFFS)
            .at(StepKey.TIGHTEN, 100);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public boolean isAsked(Situation situation) {
        return LockOffs.isThereIn(situation);
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        Evidence<List<LockOff>> lockOffs = BeltRules.lockOffs(situation);
        if (lockOffs.value().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.SEC-2.notOnSheet")
                    .lacks(SheetValue.LOCK_OFFS)
                    .from(lockOffs)
                    .changedBy("SEAT_MANUAL"));
        }
        Optional<List<LockOff>> usable = LockOffs.usable(situation);
        if (usable.isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.SEC-2.lockOffOnWhat")
                    .lacks(SheetValue.LOCK_OFFS)
                    .from(lockOffs)
                    .changedBy("SEAT_MANUAL"));
        }
        if (usable.get().isEmpty()) {
            return Verdict.judged(
                    Finding.of(Weight.HOLDS, "finding.SEC-2.noLockOff").from(lockOffs));
        }
        return new AnsweredByEye<>(Question.LOCK_OFF, Answer.class, LockOffClosed::closed).judge(situation);
    }

    private static Verdict.Judged closed(PlaceNow situation, Stamped<Answer> answer) {
        return Verdict.judged(Finding.of(Weight.HOLDS, "finding.SEC-2.closed").from(BeltRules.lockOffs(situation)));
    }
}
