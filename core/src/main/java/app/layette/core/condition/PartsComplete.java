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

/** CND-5: "all here" means something only against a list of parts that is known to be complete. */
@AutoService(Asking.class)
public final class PartsComplete extends RuleByEye<PartsComplete.Answer> {
    /** What {@link Question#PARTS} is answered with. */
    public enum Answer {
        COMPLETE,
        MISSING_OR_DAMAGED,
        ADDED_THINGS
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("PARTS"), RuleCode.CND_5)
            .countsBeforeBirth()
            .clearedEarlier()
            .reopenedBy(Change.OTHER_SEAT)
            .asks(Asked.about(Question.PARTS, Answer.class)
                    .ofRestraint()
                    .leftToRule(Answer.COMPLETE)
                    .stop(Answer.MISSING_OR_DAMAGED, "finding.CND-5.missingOrDamaged")
                    .fix(Answer.ADDED_THINGS, "finding.CND-5.addedThings")
                    .carried()
                    .shownIn(LookKey.TABLE, 40, Answer.COMPLETE))
            .decidedBy(SheetValue.PARTS)
            .at(StepKey.PARTS_STEP, 100);

    public PartsComplete() {
        super(CARD, Answer.class);
    }

    @Override
    protected Verdict.Judged further(PlaceNow situation, Stamped<Answer> answer) {
        Evidence<List<String>> parts = situation.seat().map(SeatSheet::parts).orElse(Evidence.notLooked());
        Optional<List<String>> list = parts.value();
        return Verdict.judged(list.map(each ->
                        Finding.of(Weight.HOLDS, "finding.CND-5.complete").with("count", each.size()))
                .orElseGet(() ->
                        Finding.of(Weight.NOT_KNOWN, "finding.CND-5.noList").lacks(SheetValue.PARTS))
                .from(parts)
                .changedBy("SEAT_MANUAL"));
    }
}
