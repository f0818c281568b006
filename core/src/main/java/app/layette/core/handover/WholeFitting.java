package app.layette.core.handover;

import static app.layette.core.finding.RuleCode.OUT_4;

import app.layette.core.entry.Situation;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;

/** OUT-4: a fitting with more than one rider or unit is not judged as a whole yet, so it stays shut and says so. */
public final class WholeFitting implements Rule {
    @Override
    public Conclusion conclusion() {
        return Conclusion.WHOLE_FITTING;
    }

    @Override
    public Verdict judge(Situation situation) {
        return Verdict.judged(
                situation.isOfOneRiderAndUnit()
                        ? Finding.of(OUT_4, Weight.HOLDS, "oneRiderOneUnit")
                        : Finding.of(OUT_4, Weight.NOT_KNOWN, "moreThanOne").changedBy("OWN_FITTING"));
    }
}
