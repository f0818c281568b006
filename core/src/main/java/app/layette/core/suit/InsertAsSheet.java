package app.layette.core.suit;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Fact;
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
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.InsertPiece.Use;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** SUIT-9: each piece of the insert is in or out as the sheet asks at this weight; an optional piece may be either. */
@AutoService(Asking.class)
public final class InsertAsSheet implements Rule.OfRestraint {
    private static final RuleCard CARD = RuleCard.of(Conclusion.named("INSERT"), RuleCode.SUIT_9)
            .clearedEarlier()
            .reopenedBy(Change.MEASURES_RENEWED, Change.OTHER_SEAT)
            .decidedBy(SheetValue.INSERT)
            .at(StepKey.INSERT_STEP, 100);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        List<InsertPiece> pieces = looks.situation()
                .seat()
                .map(SeatSheet::insert)
                .flatMap(Evidence::value)
                .orElse(List.of());
        return pieces.stream()
                .map(piece -> new Ask(
                        Kind.INSERT,
                        piece.key().text(),
                        looks.situation().insert(piece).isPresent() && looks.isSettled(conclusion())))
                .toList();
    }

    @Override
    public Verdict judge(RestraintNow situation) {
        if (situation.seat().isEmpty() || situation.weight().isEmpty()) {
            return Verdict.open(Missing.Entry.WEIGHT);
        }
        Evidence<List<InsertPiece>> pieces =
                situation.seat().map(SeatSheet::insert).orElseThrow();
        if (pieces.value().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.SUIT-9.notLooked")
                    .lacks(SheetValue.INSERT)
                    .from(pieces)
                    .changedBy("SEAT_MANUAL"));
        }
        Verdict.Judged asSheet = Verdict.judged(Finding.of(
                        Weight.HOLDS,
                        pieces.value().get().isEmpty() ? "finding.SUIT-9.noInsert" : "finding.SUIT-9.asSheet")
                .from(pieces));
        for (InsertPiece piece : pieces.value().get()) {
            Optional<Stamped<Fact.InsertSet>> set = situation.insert(piece);
            if (set.isEmpty()) {
                return Verdict.open(Missing.Entry.INSERT);
            }
            Optional<Finding.Builder> wrong =
                    wrong(piece, situation, set.get().value().in());
            if (wrong.isPresent()) {
                return Verdict.judged(wrong.get().from(pieces)).restingOn(set.get());
            }
            asSheet = asSheet.restingOn(set.get());
        }
        return asSheet;
    }

    private static Optional<Finding.Builder> wrong(InsertPiece piece, RestraintNow situation, boolean in) {
        Mass weight = situation.weight().orElseThrow().value();
        Optional<Use> use = situation.useOf(piece);
        if (use.isEmpty()) {
            return Optional.of(finding(Weight.NOT_KNOWN, "finding.SUIT-9.noBand", piece, weight)
                    .lacks(SheetValue.INSERT)
                    .changedBy("SEAT_MANUAL"));
        }
        if (use.get() == Use.REQUIRED && !in) {
            return Optional.of(finding(Weight.FIX, "finding.SUIT-9.mustBeIn", piece, weight)
                    .changedBy("INSERT"));
        }
        if (use.get() == Use.MUST_BE_OUT && in) {
            return Optional.of(finding(Weight.FIX, "finding.SUIT-9.mustBeOut", piece, weight)
                    .changedBy("INSERT"));
        }
        return Optional.empty();
    }

    private static Finding.Builder finding(Weight heavy, String message, InsertPiece piece, Mass weight) {
        return Finding.of(heavy, message).with("piece", piece.name()).with("weight", weight);
    }
}
