package app.layette.core.cabin;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Length;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import com.google.auto.service.AutoService;

/** CAB-4: anchors of the place's own, or borrowed where both manuals allow it at their spacing. */
@AutoService(Asking.class)
public final class OwnAnchorsThere extends AtPlace {
    private static final RuleCard CARD = RuleCard.of(Conclusion.named("OWN_ANCHORS"), RuleCode.CAB_4)
            .requiredOf(Method::isByAnchors)
            .countsBeforeBirth()
            .saidBeforehand()
            .decidedBy(PermissionKey.LOWER_ANCHORS_AT_POSITION, PermissionKey.BORROWED_INNER_ANCHORS)
            .decidedBy(SheetValue.ANCHORS, SheetValue.BORROWED_SPACING)
            .decidedBy(Fact.Quantity.BORROWED_SPACING)
            .at(StepKey.PLACE, 500);

    public OwnAnchorsThere() {
        super(CARD);
    }

    @Override
    protected Verdict judge(PlaceNow situation, SeatingPosition position) {
        return Verdict.judged(at(ownAnchors(situation, position), position));
    }

    private static Finding.Builder ownAnchors(PlaceNow situation, SeatingPosition position) {
        Evidence<OwnAnchors> anchors = position.anchors();
        if (anchors.value().isEmpty()) {
            return Finding.of(Weight.NOT_KNOWN, "finding.CAB-4.anchorsNotKnown")
                    .lacks(SheetValue.ANCHORS)
                    .from(anchors);
        }
        // A car's manual may keep anchors that are there from being used.
        Permission here =
                situation.permission(PermissionKey.LOWER_ANCHORS_AT_POSITION, Speaker.CAR, Permission.ALLOWED);
        if (here == Permission.NOT_ALLOWED) {
            return Finding.of(Weight.STOP, "finding.CAB-4.anchorsNotForUse").from(anchors);
        }
        if (here == Permission.NOT_KNOWN) {
            return Finding.of(Weight.NOT_KNOWN, "finding.CAB-4.anchorsNotKnown")
                    .from(anchors)
                    .toldBy(PermissionKey.LOWER_ANCHORS_AT_POSITION);
        }
        if (anchors.value().get() == OwnAnchors.OWN_PAIR) {
            return Finding.of(Weight.HOLDS, "finding.CAB-4.ownPair").from(anchors);
        }
        return mayBorrow(situation, position.id())
                ? borrowed(situation).from(anchors)
                : Finding.of(Weight.STOP, "finding.CAB-4.noOwnPair").from(anchors);
    }

    /** Only the middle, between two places that have a pair each, has inner anchors to borrow. */
    private static boolean mayBorrow(PlaceNow situation, PositionId place) {
        return place.side() == Side.MIDDLE
                && hasPair(situation, new PositionId(place.row(), Side.LEFT))
                && hasPair(situation, new PositionId(place.row(), Side.RIGHT));
    }

    private static boolean hasPair(PlaceNow situation, PositionId place) {
        return situation
                .car()
                .flatMap(car -> car.position(place))
                .flatMap(position -> position.anchors().value())
                .filter(pair -> pair == OwnAnchors.OWN_PAIR)
                .isPresent();
    }

    /** Both manuals have to allow it, and at the spacing that these anchors have. */
    private static Finding.Builder borrowed(PlaceNow situation) {
        Evidence<Length> spacing = situation.car().orElseThrow().borrowedSpacing();
        Evidence<Length> most = situation.borrowedSpacingMost();
        Finding.Builder finding = PlaceRules.permitted(
                situation,
                PermissionKey.BORROWED_INNER_ANCHORS,
                new PlaceRules.ByPage(
                        "finding.CAB-4.borrowedAllowed",
                        "finding.CAB-4.borrowedNotAllowed",
                        "finding.CAB-4.borrowedNotKnown"));
        boolean allowed = situation.permission(PermissionKey.BORROWED_INNER_ANCHORS) == Permission.ALLOWED;
        if (allowed && (spacing.value().isEmpty() || most.value().isEmpty())) {
            finding = Finding.of(Weight.NOT_KNOWN, "finding.CAB-4.borrowedSpacingNotKnown")
                    .lacks(SheetValue.BORROWED_SPACING)
                    .changedBy(spacing.value().isEmpty() ? "CAR_MANUAL" : "SEAT_MANUAL");
        } else if (allowed && spacing.value().get().isMoreThan(most.value().get())) {
            finding = Finding.of(Weight.STOP, "finding.CAB-4.borrowedTooWide")
                    .with("most", most.value().get());
        }
        finding.from(spacing).from(most);
        Finding.Builder said = finding;
        spacing.value().ifPresent(each -> said.with("spacing", each));
        return finding;
    }
}
