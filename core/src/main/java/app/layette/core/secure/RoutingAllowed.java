package app.layette.core.secure;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.Belt;
import com.google.auto.service.AutoService;
import java.util.Optional;

/** CND-8 and the baseless rides: the carrier may ride without its base, by this very routing; each on its own word. */
@AutoService(Asking.class)
public final class RoutingAllowed implements Rule.OfPlace {
    private static final RuleCard CARD = RuleCard.of(Conclusion.ROUTING_ALLOWED, RuleCode.CND_8)
            .requiredOf(Method::isBaseless)
            .saidBeforehand()
            .decidedBy(
                    PermissionKey.AMERICAN_ROUTING, PermissionKey.EUROPEAN_ROUTING, PermissionKey.CARRIER_WITHOUT_BASE)
            .at(StepKey.PLACE, 700);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        if (situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.SHEET);
        }
        Permission withoutBase = situation.permission(PermissionKey.CARRIER_WITHOUT_BASE);
        if (withoutBase != Permission.ALLOWED) {
            return Verdict.judged(
                    withoutBase == Permission.NOT_ALLOWED
                            ? Finding.of(Weight.STOP, "finding.CND-8.withoutBaseNotAllowed")
                                    .changedBy("BASE")
                            : Finding.of(Weight.NOT_KNOWN, "finding.CND-8.withoutBaseNotKnown")
                                    .changedBy("SEAT_MANUAL")
                                    .toldBy(PermissionKey.CARRIER_WITHOUT_BASE));
        }
        boolean european =
                situation.method().filter(method -> method.isRoundBehindShell()).isPresent();
        return Verdict.judged(european ? european(situation) : american(situation));
    }

    private static Finding.Builder european(PlaceNow situation) {
        Optional<Belt.Kind> kind =
                situation.position().flatMap(position -> position.belt().kind().value());
        if (situation.position().isPresent() && kind.isEmpty()) {
            return Finding.of(Weight.NOT_KNOWN, "finding.SEC-8.shoulderBeltNotKnown")
                    .lacks(SheetValue.BELT_KIND)
                    .changedBy("CAR_MANUAL");
        }
        if (kind.filter(each -> each == Belt.Kind.LAP_ONLY).isPresent()) {
            return Finding.of(Weight.STOP, "finding.SEC-8.europeanNeedsShoulder")
                    .changedBy("OTHER_PLACE");
        }
        return switch (situation.permission(PermissionKey.EUROPEAN_ROUTING)) {
            case ALLOWED -> Finding.of(Weight.HOLDS, "finding.SEC-8.europeanAllowed");
            case NOT_ALLOWED ->
                Finding.of(Weight.STOP, "finding.SEC-8.europeanNotAllowed").changedBy("BASE");
            case NOT_KNOWN ->
                Finding.of(Weight.NOT_KNOWN, "finding.SEC-8.europeanNotKnown")
                        .changedBy("SEAT_MANUAL")
                        .toldBy(PermissionKey.EUROPEAN_ROUTING);
        };
    }

    private static Finding.Builder american(PlaceNow situation) {
        return switch (situation.permission(PermissionKey.AMERICAN_ROUTING)) {
            case ALLOWED -> Finding.of(Weight.HOLDS, "finding.SEC-8.americanAllowed");
            case NOT_ALLOWED ->
                Finding.of(Weight.STOP, "finding.SEC-8.americanNotAllowed").changedBy("BASE");
            case NOT_KNOWN ->
                Finding.of(Weight.NOT_KNOWN, "finding.SEC-8.americanNotKnown")
                        .changedBy("SEAT_MANUAL")
                        .toldBy(PermissionKey.AMERICAN_ROUTING);
        };
    }
}
