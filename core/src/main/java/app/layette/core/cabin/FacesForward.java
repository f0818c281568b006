package app.layette.core.cabin;

import app.layette.core.entry.Asking;
import app.layette.core.entry.PlaceNow;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.Facing;
import com.google.auto.service.AutoService;

/** CAB-2: a vehicle seat that faces forward and is whole; another only where both manuals allow it. */
@AutoService(Asking.class)
public final class FacesForward extends AtPlace {
    private static final RuleCard CARD = RuleCard.of(Conclusion.VEHICLE_SEAT, RuleCode.CAB_2)
            .countsBeforeBirth()
            .saidBeforehand()
            .ofPlaceAlone()
            .decidedBy(PermissionKey.UNUSUAL_VEHICLE_SEAT)
            .decidedBy(SheetValue.FACING)
            .at(StepKey.PLACE, 400);

    public FacesForward() {
        super(CARD);
    }

    @Override
    protected Verdict judge(PlaceNow situation, SeatingPosition position) {
        return Verdict.judged(at(vehicleSeat(situation, position), position));
    }

    private static Finding.Builder vehicleSeat(PlaceNow situation, SeatingPosition position) {
        Evidence<Facing> facing = position.facing();
        if (facing.value().isEmpty()) {
            return Finding.of(Weight.NOT_KNOWN, "finding.CAB-2.facingNotKnown")
                    .lacks(SheetValue.FACING)
                    .from(facing);
        }
        return switch (facing.value().get()) {
            case FORWARD -> Finding.of(Weight.HOLDS, "finding.CAB-2.forward").from(facing);
            case FOLDED_OR_DAMAGED ->
                Finding.of(Weight.STOP, "finding.CAB-2.folded").from(facing);
            case SIDEWAYS, REARWARD ->
                PlaceRules.permitted(
                        situation,
                        PermissionKey.UNUSUAL_VEHICLE_SEAT,
                        new PlaceRules.ByPage(
                                "finding.CAB-2.unusualAllowed",
                                "finding.CAB-2.unusualNotAllowed",
                                "finding.CAB-2.unusualNotKnown"));
        };
    }
}
