package app.layette.core.condition;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Fact;
import app.layette.core.entry.RestraintNow;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.SeatIdentity;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.Optional;

/**
 * CND-9: the model number and the manufacture date on the carrier's label lie inside the sheet's range. A restraint
 * picked by name alone is not known.
 */
@AutoService(Asking.class)
public final class SheetMatchesLabel implements Rule.OfRestraint {
    private static final RuleCard CARD = RuleCard.of(Conclusion.named("SHEET_MATCHES_LABEL"), RuleCode.CND_9)
            .countsBeforeBirth()
            .clearedEarlier()
            .at(StepKey.LABEL, 200);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(RestraintNow situation) {
        Optional<Stamped<Fact.LabelRead>> label = situation.label(Fact.Part.CARRIER);
        if (label.isEmpty() || situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.LABEL);
        }
        return Verdict.judged(finding(label.get().value(), situation.seat().get()));
    }

    private static Finding.Builder finding(Fact.LabelRead label, SeatSheet seat) {
        SeatIdentity identity = seat.identity();
        if (label.model() == null || label.model().isBlank() || label.made() == null) {
            return Finding.of(Weight.NOT_KNOWN, "finding.CND-9.labelIncomplete").changedBy("LABEL");
        }
        if (!identity.coversModel(label.model())) {
            return Finding.of(Weight.STOP, "finding.CND-9.otherModel")
                    .with("model", label.model())
                    .with("seat", identity.fullName())
                    .changedBy("SHEET");
        }
        boolean inside = identity.coversDate(label.made().firstDay())
                && identity.coversDate(label.made().lastDay());
        return Finding.of(
                        inside ? Weight.HOLDS : Weight.STOP,
                        inside ? "finding.CND-9.matches" : "finding.CND-9.otherDate")
                .with("model", label.model())
                .with("made", label.made().toString())
                .with("seat", identity.fullName())
                .changedBy("SHEET");
    }
}
