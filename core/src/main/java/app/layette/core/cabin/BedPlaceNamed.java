package app.layette.core.cabin;

import app.layette.core.entry.Asking;
import app.layette.core.entry.PlaceNow;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.SeatKind;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.PositionId;
import com.google.auto.service.AutoService;
import java.util.List;

/** CAB-11: a car bed lies on a place that its sheet names. */
@AutoService(Asking.class)
public final class BedPlaceNamed implements Rule.OfPlace {
    private static final RuleCard CARD = RuleCard.of(Conclusion.named("BED_PLACE"), RuleCode.CAB_11)
            .requiredOf(method -> method.kind() == SeatKind.CAR_BED)
            .saidBeforehand()
            .decidedBy(PermissionKey.CAR_BED_POSITION)
            .at(StepKey.PLACE, 800);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        if (situation.seat().isEmpty() || situation.placed().isEmpty()) {
            return Verdict.open(Missing.Entry.PLACE);
        }
        Evidence<List<PositionId>> named = situation.seat().get().carBed().positions();
        PositionId place = situation.placed().get().value().position();
        Permission ofPlace = named.value()
                .map(list -> list.contains(place) ? Permission.ALLOWED : Permission.NOT_ALLOWED)
                .orElse(Permission.NOT_KNOWN);
        Finding.Builder finding = switch (situation.permission(PermissionKey.CAR_BED_POSITION, Speaker.SEAT, ofPlace)) {
            case ALLOWED -> Finding.of(Weight.HOLDS, "finding.CAB-11.bedPlaceNamed");
            case NOT_ALLOWED ->
                Finding.of(Weight.STOP, "finding.CAB-11.bedPlaceNotNamed").changedBy("OTHER_PLACE");
            case NOT_KNOWN ->
                Finding.of(Weight.NOT_KNOWN, "finding.CAB-11.bedPlacesNotKnown")
                        .changedBy("SEAT_MANUAL")
                        .toldBy(PermissionKey.CAR_BED_POSITION);
        };
        return Verdict.judged(
                finding.with("place", new Argument.OfKey("place." + place)).from(named));
    }
}
