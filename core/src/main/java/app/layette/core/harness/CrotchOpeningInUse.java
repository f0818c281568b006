package app.layette.core.harness;

import static app.layette.core.finding.RuleCode.HAR_5;

import app.layette.core.entry.Fact.CrotchSet;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Mass;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.CrotchOpening;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.Shell;
import java.util.List;
import java.util.Optional;

/** HAR-5: the crotch strap comes through the opening that the sheet gives at this weight, in front of the child. */
public final class CrotchOpeningInUse implements Rule {
    @Override
    public Conclusion conclusion() {
        return Conclusion.CROTCH;
    }

    @Override
    public Verdict judge(Situation situation) {
        Optional<Stamped<CrotchSet>> set = situation.set(CrotchSet.class, each -> true);
        Optional<Stamped<Mass>> weight = situation.weight();
        if (set.isEmpty() || weight.isEmpty()) {
            return Verdict.open("CROTCH");
        }
        Evidence<List<CrotchOpening>> openings =
                situation.seat().map(SeatSheet::shell).map(Shell::crotch).orElse(Evidence.notLooked());
        return Verdict.judged(judge(set.get().value().opening(), weight.get().value(), openings)
                        .from(openings)
                        .changedBy("CROTCH"))
                .restingOn(set.get());
    }

    private static Finding.Builder judge(int opening, Mass weight, Evidence<List<CrotchOpening>> openings) {
        if (openings.value().isEmpty()) {
            return Finding.of(HAR_5, Weight.NOT_KNOWN, "notOnSheet").lacks(SheetValue.CROTCH);
        }
        List<CrotchOpening> list = openings.value().get();
        if (opening < 1 || opening > list.size()) {
            return Finding.of(HAR_5, Weight.FIX, "noSuchOpening")
                    .with("opening", opening)
                    .with("count", list.size());
        }
        boolean fits = list.get(opening - 1).weights().contains(weight);
        return Finding.of(HAR_5, fits ? Weight.HOLDS : Weight.FIX, fits ? "asSheet" : "otherOpening")
                .with("opening", opening)
                .with("weight", weight);
    }
}
