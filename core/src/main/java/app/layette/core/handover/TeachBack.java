package app.layette.core.handover;

import static app.layette.core.finding.RuleCode.OUT_2;

import app.layette.core.entry.Fact.Taught;
import app.layette.core.entry.Fact.TeachOutcome;
import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.entry.TeachItem;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import java.util.Optional;

/** OUT-2: each part of the teach-back was done by the caregiver, or declined with a reason. */
public final class TeachBack implements Rule {
    @Override
    public Conclusion conclusion() {
        return Conclusion.TEACH_BACK;
    }

    @Override
    public Verdict judge(Situation situation) {
        TeachItem declined = null;
        Method method = situation.usualMethod();
        for (TeachItem item : TeachItem.values()) {
            boolean asked = situation.isBedside() ? item.isAtBedside() : item.isPartOf(method);
            if (!asked) {
                continue;
            }
            Optional<Stamped<Taught>> taught = situation.seen(Taught.class, fact -> fact.item() == item);
            if (taught.isEmpty() || isDeclinedWithoutReason(taught.get().value())) {
                return Verdict.open("TEACH_BACK");
            }
            declined = taught.get().value().outcome() == TeachOutcome.DECLINED ? item : declined;
        }
        return Verdict.judged(
                declined == null
                        ? Finding.of(OUT_2, Weight.HOLDS, "allDone")
                        : Finding.of(OUT_2, Weight.ADVISE, "declined").with("item", Argument.key("teach", declined)));
    }

    private static boolean isDeclinedWithoutReason(Taught taught) {
        return taught.outcome() == TeachOutcome.DECLINED
                && (taught.reason() == null || taught.reason().isBlank());
    }
}
