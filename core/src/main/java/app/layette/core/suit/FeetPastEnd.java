package app.layette.core.suit;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.ChildNow;
import app.layette.core.entry.Method;
import app.layette.core.entry.PapersNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/**
 * SUIT-6: feet that reach the vehicle seat back, or past the restraint's end, are no limit rear-facing unless the manual
 * says so. Where it was read and does not mind, nothing is asked.
 */
@AutoService(Asking.class)
public final class FeetPastEnd implements Rule.OfChild {
    /** What {@link Question#FEET} is answered with. */
    public enum Answer {
        WITHIN,
        PAST_END
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("FEET"), RuleCode.SUIT_6)
            .requiredOf(Method::isReclined)
            .clearedEarlier()
            .reopenedBy(Change.MEASURES_RENEWED, Change.OTHER_SEAT)
            .asks(Asked.about(Question.FEET, Answer.class)
                    .holds(Answer.WITHIN, "finding.SUIT-6.within")
                    .leftToRule(Answer.PAST_END)
                    .shownIn(LookKey.SEATED, 60, Answer.WITHIN))
            .decidedBy(PermissionKey.FEET_PAST_END)
            .at(StepKey.FITS, 400);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(ChildNow papers) {
        if (papers.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.SHEET);
        }
        if (!mayMatter(papers)) {
            return Verdict.judged(Finding.of(Weight.HOLDS, "finding.SUIT-6.noLimit"));
        }
        return new AnsweredByEye<>(Question.FEET, Answer.class, FeetPastEnd::past).judge(papers);
    }

    /** Whether a look at the feet can change anything here. */
    @Override
    public boolean isAsked(Situation situation) {
        return mayMatter(situation);
    }

    private static boolean mayMatter(PapersNow papers) {
        return papers.permission(PermissionKey.FEET_PAST_END) != Permission.ALLOWED;
    }

    private static Verdict.Judged past(PapersNow papers, Stamped<Answer> answer) {
        return Verdict.judged(
                papers.permission(PermissionKey.FEET_PAST_END) == Permission.NOT_ALLOWED
                        ? Finding.of(Weight.STOP, "finding.SUIT-6.pastNotAllowed")
                                .changedBy("OTHER_SEAT")
                        : Finding.of(Weight.NOT_KNOWN, "finding.SUIT-6.pastNotKnown")
                                .changedBy("SEAT_MANUAL")
                                .toldBy(PermissionKey.FEET_PAST_END));
    }
}
