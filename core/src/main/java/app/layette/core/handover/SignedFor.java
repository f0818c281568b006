package app.layette.core.handover;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact.Countersigned;
import app.layette.core.entry.Situation;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;

/** OUT-3: whatever a trainee entered was seen and signed for by a technician or a lead afterwards. */
@AutoService(Asking.class)
public final class SignedFor implements Rule {
    private static final RuleCard CARD = RuleCard.of(Conclusion.SIGNED_FOR, RuleCode.OUT_3)
            .countsBeforeBirth()
            .at(StepKey.HAND_OVER, 200);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(Situation situation) {
        int lastByTrainee = situation.own().stream()
                .filter(entry -> entry.by().isTrainee())
                .mapToInt(Entry::seq)
                .max()
                .orElse(0);
        if (lastByTrainee == 0) {
            return Verdict.judged(Finding.of(Weight.HOLDS, "finding.OUT-3.noTrainee"));
        }
        boolean signed = situation.own().stream()
                .anyMatch(entry -> entry.fact() instanceof Countersigned
                        && !entry.by().isTrainee()
                        && entry.seen() >= lastByTrainee);
        return signed
                ? Verdict.judged(Finding.of(Weight.HOLDS, "finding.OUT-3.countersigned"))
                : Verdict.open(Missing.Entry.COUNTERSIGN);
    }
}
