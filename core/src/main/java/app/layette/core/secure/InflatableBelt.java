package app.layette.core.secure;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.evidence.Evidence;
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
import com.google.auto.service.AutoService;

/** CAB-6: an inflatable belt only if both manuals allow. */
@AutoService(Asking.class)
public final class InflatableBelt implements Rule.OfPlace {
    private static final RuleCard CARD = RuleCard.of(Conclusion.INFLATABLE_BELT, RuleCode.CAB_6)
            .requiredOf(Method::isByBelt)
            .countsBeforeBirth()
            .saidBeforehand()
            .ofPlaceAlone()
            .decidedBy(PermissionKey.INFLATABLE_BELT)
            .decidedBy(SheetValue.INFLATABLE)
            .at(StepKey.ROUTE_BELT, 200);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        if (situation.position().isEmpty()) {
            return Verdict.open(Missing.Entry.PLACE);
        }
        Evidence<Boolean> inflatable = BeltRules.belt(situation).inflatable();
        if (inflatable.value().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.CAB-6.inflatableBeltNotLooked")
                    .lacks(SheetValue.INFLATABLE)
                    .from(inflatable)
                    .changedBy("CAR_MANUAL"));
        }
        if (!inflatable.value().get()) {
            return Verdict.judged(
                    Finding.of(Weight.HOLDS, "finding.CAB-6.plainBelt").from(inflatable));
        }
        return switch (situation.permission(PermissionKey.INFLATABLE_BELT)) {
            case ALLOWED -> Verdict.judged(Finding.of(Weight.HOLDS, "finding.CAB-6.inflatableAllowed"));
            case NOT_ALLOWED ->
                Verdict.judged(Finding.of(Weight.STOP, "finding.CAB-6.inflatableNotAllowed")
                        .changedBy("OTHER_PLACE"));
            case NOT_KNOWN ->
                Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.CAB-6.inflatableNotKnown")
                        .changedBy("BOTH_MANUALS")
                        .toldBy(PermissionKey.INFLATABLE_BELT));
        };
    }
}
