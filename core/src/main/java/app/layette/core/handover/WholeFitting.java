package app.layette.core.handover;

import static app.layette.core.finding.RuleCode.OUT_4;

import app.layette.core.entry.Situation;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;

/**
 * OUT-4: of several children and seats each is judged for itself, in a place of its own. Where nobody said which is
 * meant it stays shut.
 */
public final class WholeFitting implements Rule {
    @Override
    public Conclusion conclusion() {
        return Conclusion.WHOLE_FITTING;
    }

    @Override
    public Verdict judge(Situation situation) {
        if (!situation.isOfOneRiderAndUnit()) {
            return Verdict.judged(
                    Finding.of(OUT_4, Weight.NOT_KNOWN, "moreThanOne").changedBy("OWN_FITTING"));
        }
        if (situation.neighbours().units().isEmpty()) {
            return Verdict.judged(Finding.of(OUT_4, Weight.HOLDS, "oneRiderOneUnit"));
        }
        if (situation.neighbours().isFor(situation.unit().rider())) {
            return Verdict.judged(Finding.of(OUT_4, Weight.STOP, "riderTwice").changedBy("OWN_FITTING"));
        }
        return Verdict.judged(situation
                .placed()
                .map(placed -> placed.value().position())
                .filter(place -> situation.neighbours().at(place).isPresent())
                .map(place -> Finding.of(OUT_4, Weight.STOP, "placeTaken")
                        .with("place", new Argument.OfKey("place." + place))
                        .changedBy("OTHER_PLACE"))
                .orElseGet(() -> Finding.of(OUT_4, Weight.HOLDS, "eachItsOwn")));
    }
}
