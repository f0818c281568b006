package app.layette.core.condition;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.BaseFit;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** CND-8: only a base on the carrier sheet's list, set up for this carrier where the sheet says how. */
@AutoService(Asking.class)
public final class BaseFitsCarrier implements Rule.OfPlace {
    /** What {@link Question#BASE_SET_UP} is answered with. */
    public enum Answer {
        AS_SHEET,
        OTHERWISE
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.named("BASE_FITS_CARRIER"), RuleCode.CND_8)
            .requiredOf(Method::isOnBase)
            .countsBeforeBirth()
            .reopenedBy(Change.OTHER_SEAT, Change.LABEL_CORRECTED)
            .asks(Asked.about(Question.BASE_SET_UP, Answer.class)
                    .holds(Answer.AS_SHEET, "finding.CND-8.asSheet")
                    .fix(Answer.OTHERWISE, "finding.CND-8.otherwise")
                    .carried()
                    .shownIn(LookKey.TABLE, 30, Answer.AS_SHEET))
            .decidedBy(SheetValue.BASE_LISTED)
            .at(StepKey.LABEL, 500);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public boolean isAsked(Situation situation) {
        return fitting(situation).map(BaseFit::setUp).isPresent();
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        Optional<Stamped<Fact.LabelRead>> label = situation.label(Fact.Part.BASE);
        if (label.isEmpty() || situation.seat().isEmpty()) {
            return Verdict.open(situation.method().isEmpty() ? Missing.Entry.PLACE : Missing.Entry.LABEL);
        }
        Evidence<List<BaseFit>> bases = situation.seat().map(SeatSheet::bases).orElseThrow();
        String model = label.get().value().model();
        if (bases.value().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.CND-8.noList")
                    .lacks(SheetValue.BASE_LISTED)
                    .from(bases)
                    .changedBy("SEAT_MANUAL"));
        }
        if (model == null || model.isBlank()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.CND-8.labelIncomplete")
                    .changedBy("LABEL"));
        }
        Optional<BaseFit> base = fitting(situation);
        if (base.isEmpty()) {
            return Verdict.judged(Finding.of(Weight.STOP, "finding.CND-8.otherBase")
                    .with("model", model)
                    .from(bases)
                    .changedBy("OTHER_BASE"));
        }
        return base.get().setUp() == null
                ? Verdict.judged(Finding.of(Weight.HOLDS, "finding.CND-8.belongs")
                        .with("model", model)
                        .with(
                                "base",
                                base.get().name() == null ? model : base.get().name())
                        .from(bases))
                : setUp(situation);
    }

    private static Verdict setUp(PlaceNow situation) {
        return new AnsweredByEye<>(Question.BASE_SET_UP, Answer.class).judge(situation);
    }

    /** The base on the sheet's list that the label names. */
    public static Optional<BaseFit> fitting(PlaceNow situation) {
        return situation
                .label(Fact.Part.BASE)
                .map(label -> label.value().model())
                .flatMap(model -> situation.seat().flatMap(seat -> seat.bases().value()).orElse(List.of()).stream()
                        .filter(base -> base.coversModel(model))
                        .findFirst());
    }
}
