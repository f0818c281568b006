package app.layette.core.cabin;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.VehicleSheet;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/**
 * CAB-1: in front only where both manuals allow it and no place of the back can take the restraint. A place that the rules
 * do not forbid may still be taken, by another child: then somebody says so who looked.
 */
@AutoService(Asking.class)
public final class FrontRowLast implements Rule {
    /** What {@link Question#BACK_ROW} is answered with. */
    public enum Answer {
        NO_PLACE_CAN,
        A_PLACE_CAN
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.FRONT_ROW, RuleCode.CAB_1)
            .countsBeforeBirth()
            .saidBeforehand()
            .reopenedBy(Change.OTHER_CAR, Change.PLACE_OR_METHOD)
            .asks(Asked.about(Question.BACK_ROW, Answer.class)
                    .holds(Answer.NO_PLACE_CAN, "finding.CAB-1.noPlaceCan")
                    .stop(Answer.A_PLACE_CAN, "finding.CAB-1.aPlaceCan")
                    .byItself())
            .decidedBy(PermissionKey.FRONT_ROW)
            .at(StepKey.PLACE, 300);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(Situation situation) {
        if (situation.placed().isEmpty()
                || situation.car().isEmpty()
                || situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.PLACE);
        }
        if (!situation.placed().get().value().position().isFrontRow()) {
            return Verdict.judged(Finding.of(Weight.HOLDS, "finding.CAB-1.backRow"));
        }
        Verdict.Judged permitted = Verdict.judged(PlaceRules.permitted(
                situation,
                PermissionKey.FRONT_ROW,
                new PlaceRules.ByPage(
                        "finding.CAB-1.frontRowAllowed",
                        "finding.CAB-1.frontRowNotAllowed",
                        "finding.CAB-1.frontRowNotKnown")));
        if (!permitted.passes()) {
            return permitted;
        }
        if (situation.answer(Question.BACK_ROW).isPresent()) {
            return new AnsweredByEye<>(Question.BACK_ROW, Answer.class).judge(situation);
        }
        List<SeatingPosition> back = back(situation);
        if (back.isEmpty()) {
            return Verdict.open(Question.BACK_ROW);
        }
        Optional<PositionId> free = back.stream()
                .map(SeatingPosition::id)
                .filter(place -> mayTake(situation, place))
                .findFirst();
        return free.<Verdict>map(place -> Verdict.judged(Finding.of(Weight.STOP, "finding.CAB-1.backPlaceFree")
                        .with("free", new Argument.OfKey("place." + place))
                        .changedBy("OTHER_PLACE")
                        .changedBy("BACK_ROW")))
                .orElse(permitted);
    }

    /** Whether somebody has to say that no place of the back can take it. */
    @Override
    public boolean isAsked(Situation situation) {
        return situation
                .placed()
                .filter(placed -> placed.value().position().isFrontRow())
                .isPresent();
    }

    private static List<SeatingPosition> back(Situation situation) {
        return situation.car().map(VehicleSheet::positions).orElse(List.of()).stream()
                .filter(position -> !position.id().isFrontRow())
                .toList();
    }

    /** A place may take it unless a rule forbids every method there; what is not known is not forbidden. */
    private static boolean mayTake(Situation situation, PositionId place) {
        return MethodOfKind.methods(situation.seat().orElseThrow()).stream()
                .anyMatch(method ->
                        PlaceAllowed.withoutFrontRow(situation.asIfPlaced(place, method)) != Permission.NOT_ALLOWED);
    }
}
