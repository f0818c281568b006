package app.layette.core.cabin;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.Connectors;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.Arrays;
import java.util.List;

/**
 * CAB-13: nothing is accepted that this kind of restraint cannot be. A base with hooks is not one with rigid arms; which
 * it is stands on the sheet.
 */
@AutoService(Asking.class)
public final class MethodOfKind implements Rule.OfPlace {
    private static final RuleCard CARD = RuleCard.of(Conclusion.METHOD, RuleCode.CAB_13)
            .countsBeforeBirth()
            .saidBeforehand()
            .reopenedBy(Change.OTHER_CAR)
            .decidedBy(SheetValue.CONNECTORS)
            .at(StepKey.PLACE, 100);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        if (situation.seat().isEmpty() || situation.method().isEmpty()) {
            return Verdict.open(Missing.Entry.PLACE);
        }
        Method method = situation.method().get();
        SeatSheet seat = situation.seat().get();
        Finding.Builder finding = switch (answer(seat, method)) {
            case ALLOWED -> Finding.of(Weight.HOLDS, "finding.CAB-13.methodOfKind");
            case NOT_ALLOWED ->
                Finding.of(Weight.STOP, "finding.CAB-13.methodOfOtherKind").changedBy("OTHER_METHOD");
            case NOT_KNOWN ->
                Finding.of(Weight.NOT_KNOWN, "finding.CAB-13.connectorsNotKnown")
                        .lacks(SheetValue.CONNECTORS)
                        .changedBy("SEAT_MANUAL");
        };
        return Verdict.judged(
                finding.with("method", Argument.key("method", method)).from(seat.connectors()));
    }

    /** Whether a restraint can be fixed by a method at all. */
    public static Permission answer(SeatSheet seat, Method method) {
        if (method.kind() != seat.kind()) {
            return Permission.NOT_ALLOWED;
        }
        if (method.isByBelt()) {
            return Permission.ALLOWED;
        }
        Evidence<Connectors> connectors = seat.connectors();
        if (connectors.value().isEmpty()) {
            return Permission.NOT_KNOWN;
        }
        boolean rigid = connectors.value().get().kind() == Connectors.Kind.RIGID_ARMS;
        boolean fits = seat.kind() != SeatKind.REAR_FACING_ONLY || rigid == (method.isByRigidArms());
        return fits ? Permission.ALLOWED : Permission.NOT_ALLOWED;
    }

    /** The methods that a restraint is made for, as far as is known. */
    public static List<Method> methods(SeatSheet seat) {
        return Arrays.stream(Method.values())
                .filter(method -> answer(seat, method) != Permission.NOT_ALLOWED)
                .toList();
    }
}
