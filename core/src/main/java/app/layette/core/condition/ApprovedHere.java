package app.layette.core.condition;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** CND-7: the approval on the label is one that counts where the family drives. */
@AutoService(Asking.class)
public final class ApprovedHere extends RuleByEye<ApprovedHere.Answer> {
    /** What {@link Question#APPROVAL} is answered with. */
    public enum Answer {
        ON_LABEL,
        NOT_ON_LABEL,
        UNREADABLE
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("APPROVAL"), RuleCode.CND_7)
            .countsBeforeBirth()
            .clearedEarlier()
            .reopenedBy(Change.OTHER_SEAT, Change.LABEL_CORRECTED)
            .asks(Asked.about(Question.APPROVAL, Answer.class)
                    .ofShell()
                    .leftToRule(Answer.ON_LABEL)
                    .stop(Answer.NOT_ON_LABEL, "finding.CND-7.notOnLabel")
                    .notKnown(Answer.UNREADABLE, "finding.CND-7.unreadable")
                    .read()
                    .carried()
                    .shownIn(LookKey.TABLE, 20, Answer.ON_LABEL))
            .decidedBy(SheetValue.APPROVED_HERE)
            .at(StepKey.LABEL, 400);

    public ApprovedHere() {
        super(CARD, Answer.class);
    }

    @Override
    protected Verdict.Judged further(PlaceNow situation, Stamped<Answer> answer) {
        Evidence<List<String>> approvals =
                situation.seat().map(SeatSheet::approvals).orElse(Evidence.notLooked());
        Optional<String> law = situation.practice().lawCountry();
        if (law.isEmpty()) {
            return Verdict.judged(
                    Finding.of(Weight.NOT_KNOWN, "finding.CND-7.lawNotKnown").changedBy("LAW"));
        }
        String country = law.get();
        Finding.Builder finding = approvals
                .value()
                .map(list -> list.contains(country)
                        ? Finding.of(Weight.HOLDS, "finding.CND-7.counts")
                        : Finding.of(Weight.STOP, "finding.CND-7.otherCountry"))
                .orElseGet(() ->
                        Finding.of(Weight.NOT_KNOWN, "finding.CND-7.notOnSheet").lacks(SheetValue.APPROVED_HERE));
        return Verdict.judged(finding.with("country", country).from(approvals).changedBy("APPROVAL"));
    }
}
