package app.layette.core.harness;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.CrotchSet;
import app.layette.core.entry.Method;
import app.layette.core.entry.RestraintNow;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Mass;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.CrotchOpening;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.Shell;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** HAR-5: the crotch strap comes through the opening that the sheet gives at this weight, in front of the child. */
@AutoService(Asking.class)
public final class CrotchOpeningInUse implements Rule.OfRestraint {
    private static final RuleCard CARD = RuleCard.of(Conclusion.named("CROTCH"), RuleCode.HAR_5)
            .requiredOf(Method::isThroughSlots)
            .clearedEarlier()
            .reopenedBy(Change.OTHER_SEAT)
            .decidedBy(SheetValue.CROTCH)
            .at(StepKey.THREAD, 300);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        return List.of(new Ask(
                Kind.CROTCH,
                "",
                looks.situation().newest(Fact.CrotchSet.class).isPresent() && looks.isSettled(conclusion())));
    }

    @Override
    public Verdict judge(RestraintNow situation) {
        Optional<Stamped<CrotchSet>> set = situation.set(CrotchSet.class, each -> true);
        Optional<Stamped<Mass>> weight = situation.weight();
        if (set.isEmpty() || weight.isEmpty()) {
            return Verdict.open(Missing.Entry.CROTCH);
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
            return Finding.of(Weight.NOT_KNOWN, "finding.HAR-5.notOnSheet").lacks(SheetValue.CROTCH);
        }
        List<CrotchOpening> list = openings.value().get();
        if (opening < 1 || opening > list.size()) {
            return Finding.of(Weight.FIX, "finding.HAR-5.noSuchOpening")
                    .with("opening", opening)
                    .with("count", list.size());
        }
        boolean fits = list.get(opening - 1).weights().contains(weight);
        return Finding.of(
                        fits ? Weight.HOLDS : Weight.FIX, fits ? "finding.HAR-5.asSheet" : "finding.HAR-5.otherOpening")
                .with("opening", opening)
                .with("weight", weight);
    }
}
