package app.layette.core.cabin;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
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
import app.layette.core.rule.Verdict.Judged;
import app.layette.core.seat.LegUse;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.Floor;
import com.google.auto.service.AutoService;

/**
 * CAB-8: a load leg stands locked on a solid floor. Over under-floor storage only with a fix that the vehicle manual
 * names. A leg that cannot be used: not allowed where it is always required, a note where it is asked when possible.
 */
@AutoService(Asking.class)
public final class FloorAndLeg implements Rule.OfPlace {
    /** What {@link Question#LEG} is answered with. */
    public enum Answer {
        LOCKED_ON_FLOOR,
        NOT_LOCKED,
        LIFTS_THE_BASE,
        NOT_USED
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.FLOOR_AND_LEG, RuleCode.CAB_8)
            .requiredOf(Method::staysInTheCar)
            .countsBeforeBirth()
            .reopenedBy(Change.TIGHTENED, Change.BELT_TOUCHED, Change.ANCHOR_TOUCHED)
            .reopenedElsewhere()
            .asks(Asked.about(Question.LEG, Answer.class)
                    .leftToRule(Answer.LOCKED_ON_FLOOR)
                    .fix(Answer.NOT_LOCKED, "finding.CAB-8.notLocked")
                    .leftToRule(Answer.LIFTS_THE_BASE, Answer.NOT_USED)
                    .shownIn(LookKey.SHOWN, 310, Answer.LOCKED_ON_FLOOR))
            .decidedBy(PermissionKey.LOAD_LEG_OMITTED, PermissionKey.BASE_LIFTED_BY_LEG, PermissionKey.LEG_OVER_STORAGE)
            .decidedBy(SheetValue.FLOOR, SheetValue.LEG)
            .at(StepKey.LEG_AND_WINDOWS, 100);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public boolean isAsked(Situation situation) {
        return situation
                .seat()
                .flatMap(seat -> seat.leg().value())
                .filter(use -> use != LegUse.NO_LEG)
                .isPresent();
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        if (situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.SHEET);
        }
        Evidence<LegUse> leg = situation.seat().map(SeatSheet::leg).orElseThrow();
        if (leg.value().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.CAB-8.legNotKnown")
                    .lacks(SheetValue.LEG)
                    .from(leg)
                    .changedBy("SEAT_MANUAL"));
        }
        if (leg.value().get() == LegUse.NO_LEG) {
            return Verdict.judged(
                    Finding.of(Weight.HOLDS, "finding.CAB-8.noLeg").from(leg));
        }
        return new AnsweredByEye<>(Question.LEG, Answer.class, FloorAndLeg::used).judge(situation);
    }

    /** What can be said before the leg stands: whether its foot would have a floor to stand on here. */
    public static Finding beforehand(PlaceNow situation) {
        Evidence<LegUse> leg = situation.seat().map(SeatSheet::leg).orElse(Evidence.notLooked());
        if (leg.value().isEmpty()) {
            return Finding.of(Weight.NOT_KNOWN, "finding.CAB-8.legNotKnown")
                    .from(leg)
                    .changedBy("SEAT_MANUAL")
                    .build();
        }
        if (leg.value().get() == LegUse.NO_LEG) {
            return Finding.of(Weight.HOLDS, "finding.CAB-8.noLeg").from(leg).build();
        }
        Finding standing = standing(situation).changedBy("OTHER_PLACE").build();
        if (standing.weight() == Weight.HOLDS) {
            return Finding.of(Weight.HOLDS, "finding.CAB-8.floorForLeg").build();
        }
        boolean maybeLeftOut = standing.weight() == Weight.STOP
                && leg.value().get() == LegUse.WHEN_POSSIBLE
                && situation.permission(PermissionKey.LOAD_LEG_OMITTED) == Permission.ALLOWED;
        return maybeLeftOut
                ? Finding.of(Weight.ADVISE, "finding.CAB-8.storageLeavesLegOut")
                        .changedBy("OTHER_PLACE")
                        .build()
                : standing;
    }

    private static Judged used(PlaceNow situation, Stamped<Answer> answer) {
        return Verdict.judged(
                switch (answer.value()) {
                    case NOT_USED -> leftOut(situation);
                    case LIFTS_THE_BASE -> lifted(situation);
                    case LOCKED_ON_FLOOR, NOT_LOCKED -> standing(situation).changedBy("OTHER_PLACE");
                });
    }

    /** How far a base may stand lifted by its leg is the sheet's; the rest is as when it stands on the cushion. */
    private static Finding.Builder lifted(PlaceNow situation) {
        return PlaceRules.refused(
                        situation,
                        PermissionKey.BASE_LIFTED_BY_LEG,
                        "finding.CAB-8.liftedNotAllowed",
                        "finding.CAB-8.liftedNotKnown")
                .map(refused -> refused.changedBy("LEG"))
                .orElseGet(() -> standing(situation).changedBy("OTHER_PLACE"));
    }

    /** A leg that could stand has to; where it cannot, the sheet must let the base do without. */
    private static Finding.Builder leftOut(PlaceNow situation) {
        boolean always =
                situation.seat().map(SeatSheet::leg).flatMap(Evidence::value).orElseThrow() == LegUse.ALWAYS;
        if (always) {
            return Finding.of(Weight.STOP, "finding.CAB-8.legAlways").changedBy("OTHER_PLACE");
        }
        Finding standing = standing(situation).build();
        if (standing.weight() == Weight.HOLDS) {
            return Finding.of(Weight.FIX, "finding.CAB-8.legCouldStand").changedBy("LEG");
        }
        if (standing.weight() == Weight.NOT_KNOWN) {
            return Finding.of(Weight.NOT_KNOWN, standing.message()).changedBy("CAR_MANUAL");
        }
        return PlaceRules.refused(
                        situation,
                        PermissionKey.LOAD_LEG_OMITTED,
                        "finding.CAB-8.legOmittedNotAllowed",
                        "finding.CAB-8.legOmittedNotKnown")
                .orElseGet(() -> Finding.of(Weight.ADVISE, "finding.CAB-8.legLeftOut"))
                .changedBy("OTHER_PLACE");
    }

    private static Finding.Builder standing(PlaceNow situation) {
        Evidence<Floor> floor = situation.position().map(SeatingPosition::floor).orElse(Evidence.notLooked());
        if (floor.value().isEmpty()) {
            return Finding.of(Weight.NOT_KNOWN, "finding.CAB-8.floorNotKnown")
                    .lacks(SheetValue.FLOOR)
                    .from(floor)
                    .changedBy("CAR_MANUAL");
        }
        return floor.value().get() == Floor.STORAGE
                ? PlaceRules.permitted(
                        situation,
                        PermissionKey.LEG_OVER_STORAGE,
                        new PlaceRules.ByPage(
                                "finding.CAB-8.storageAllowed",
                                "finding.CAB-8.storageNotAllowed",
                                "finding.CAB-8.storageNotKnown"))
                : Finding.of(Weight.HOLDS, "finding.CAB-8.lockedOnFloor").from(floor);
    }
}
