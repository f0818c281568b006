package app.layette.core.harness;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Mass;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.Harness;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.Optional;

/** SUIT-5: what is seen at the shortest setting; a manual that says from which weight it is snug wins. */
@AutoService(Asking.class)
public final class SnugAtShortest extends RuleByEye<SnugAtShortest.Answer> {
    /** What {@link Question#SNUG_SHORTEST} is answered with. */
    public enum Answer {
        SNUG,
        STILL_LOOSE
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("SNUG_AT_SHORTEST"), RuleCode.SUIT_5)
            .requiredOf(Method::isThroughSlots)
            .clearedEarlier()
            .reopenedBy(Change.MEASURES_RENEWED, Change.OTHER_SEAT)
            .asks(Asked.about(Question.SNUG_SHORTEST, Answer.class)
                    .ofShell()
                    .leftToRule(Answer.SNUG)
                    .stop(Answer.STILL_LOOSE, "finding.SUIT-5.stillLoose")
                    .shownIn(LookKey.THREADED, 130, Answer.SNUG))
            .at(StepKey.THREAD, 500);

    public SnugAtShortest() {
        super(CARD, Answer.class);
    }

    @Override
    protected Verdict.Judged further(PlaceNow situation, Stamped<Answer> answer) {
        Evidence<Mass> from = situation
                .seat()
                .map(SeatSheet::harness)
                .map(Harness::shortestSnugFrom)
                .orElse(Evidence.notLooked());
        Optional<Mass> weight = situation.weight().map(Stamped::value);
        boolean tooLight = from.value().isPresent()
                && weight.filter(each -> each.isLessThan(from.value().get())).isPresent();
        Finding.Builder finding = tooLight
                // What is felt here decides; the figure only says to feel it twice.
                ? Finding.of(Weight.ADVISE, "finding.SUIT-5.tooLightForShortest")
                        .with("from", from.value().get())
                        .with("weight", weight.get())
                : Finding.of(Weight.HOLDS, "finding.SUIT-5.snug");
        return Verdict.judged(finding.from(from).changedBy("OTHER_SEAT"));
    }
}
