package app.layette.core.cabin;

import static app.layette.core.finding.RuleCode.CAB_8;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
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
public final class FloorAndLeg implements Rule {
    private static final RuleCard CARD = RuleCard.of(Conclusion.FLOOR_AND_LEG, RuleCode.CAB_8)
            .requiredOf(Method::staysInTheCar)
            .countsBeforeBirth()
            .reopenedBy(Change.TIGHTENED, Change.BELT_TOUCHED, Change.ANCHOR_TOUCHED)
            .reopenedElsewhere()
            .asks(Asked.about(Question.LEG)
                    .leftToRule("LOCKED_ON_FLOOR")
                    .fix("NOT_LOCKED")
                    .leftToRule("LIFTS_THE_BASE", "NOT_USED")
                    .shownIn(LookKey.SHOWN, 310, "LOCKED_ON_FLOOR"))
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
    public Verdict judge(Situation situation) {
        if (situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.SHEET);
        }
        Evidence<LegUse> leg = situation.seat().map(SeatSheet::leg).orElseThrow();
        if (leg.value().isEmpty()) {
            return Verdict.judged(Finding.of(CAB_8, Weight.NOT_KNOWN, "legNotKnown")
                    .lacks(SheetValue.LEG)
                    .from(leg)
                    .changedBy("SEAT_MANUAL"));
        }
        if (leg.value().get() == LegUse.NO_LEG) {
            return Verdict.judged(Finding.of(CAB_8, Weight.HOLDS, "noLeg").from(leg));
        }
        return new AnsweredByEye(Question.LEG, FloorAndLeg::used).judge(situation);
    }

    /** What can be said before the leg stands: whether its foot would have a floor to stand on here. */
    public static Finding beforehand(Situation situation) {
        Evidence<LegUse> leg = situation.seat().map(SeatSheet::leg).orElse(Evidence.notLooked());
        if (leg.value().isEmpty()) {
            return Finding.of(CAB_8, Weight.NOT_KNOWN, "legNotKnown")
                    .from(leg)
                    .changedBy("SEAT_MANUAL")
                    .build();
        }
        if (leg.value().get() == LegUse.NO_LEG) {
            return Finding.of(CAB_8, Weight.HOLDS, "noLeg").from(leg).build();
        }
        Finding standing = standing(situation).changedBy("OTHER_PLACE").build();
        if (standing.weight() == Weight.HOLDS) {
            return Finding.of(CAB_8, Weight.HOLDS, "floorForLeg").build();
        }
        boolean maybeLeftOut = standing.weight() == Weight.STOP
                && leg.value().get() == LegUse.WHEN_POSSIBLE
                && situation.permission(PermissionKey.LOAD_LEG_OMITTED) == Permission.ALLOWED;
        return maybeLeftOut
                ? Finding.of(CAB_8, Weight.ADVISE, "storageLeavesLegOut")
                        .changedBy("OTHER_PLACE")
                        .build()
                : standing;
    }

    private static Judged used(Situation situation, Stamped<String> answer) {
        return Verdict.judged(
                switch (answer.value()) {
                    case "NOT_USED" -> leftOut(situation);
                    case "LIFTS_THE_BASE" -> lifted(situation);
                    default -> standing(situation).changedBy("OTHER_PLACE");
                });
    }

    /** How far a base may stand lifted by its leg is the sheet's; the rest is as when it stands on the cushion. */
    private static Finding.Builder lifted(Situation situation) {
        Permission mayLift = situation.permission(PermissionKey.BASE_LIFTED_BY_LEG);
        return mayLift == Permission.ALLOWED
                ? standing(situation).changedBy("OTHER_PLACE")
                : PlaceRules.permitted(situation, CAB_8, PermissionKey.BASE_LIFTED_BY_LEG, "lifted")
                        .changedBy("LEG");
    }

    /** A leg that could stand has to; where it cannot, the sheet must let the base do without. */
    private static Finding.Builder leftOut(Situation situation) {
        boolean always =
                situation.seat().map(SeatSheet::leg).flatMap(Evidence::value).orElseThrow() == LegUse.ALWAYS;
        if (always) {
            return Finding.of(CAB_8, Weight.STOP, "legAlways").changedBy("OTHER_PLACE");
        }
        Finding standing = standing(situation).build();
        if (standing.weight() == Weight.HOLDS) {
            return Finding.of(CAB_8, Weight.FIX, "legCouldStand").changedBy("LEG");
        }
        if (standing.weight() == Weight.NOT_KNOWN) {
            return Finding.of(CAB_8, Weight.NOT_KNOWN, standing.reason()).changedBy("CAR_MANUAL");
        }
        Permission without = situation.permission(PermissionKey.LOAD_LEG_OMITTED);
        return without == Permission.ALLOWED
                ? Finding.of(CAB_8, Weight.ADVISE, "legLeftOut").changedBy("OTHER_PLACE")
                : PlaceRules.permitted(situation, CAB_8, PermissionKey.LOAD_LEG_OMITTED, "legOmitted")
                        .changedBy("OTHER_PLACE");
    }

    private static Finding.Builder standing(Situation situation) {
        Evidence<Floor> floor = situation.position().map(SeatingPosition::floor).orElse(Evidence.notLooked());
        if (floor.value().isEmpty()) {
            return Finding.of(CAB_8, Weight.NOT_KNOWN, "floorNotKnown")
                    .lacks(SheetValue.FLOOR)
                    .from(floor)
                    .changedBy("CAR_MANUAL");
        }
        return floor.value().get() == Floor.STORAGE
                ? PlaceRules.permitted(situation, CAB_8, PermissionKey.LEG_OVER_STORAGE, "storage")
                : Finding.of(CAB_8, Weight.HOLDS, "lockedOnFloor").from(floor);
    }
}
