package app.layette.core.recline;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Fact.RollKind;
import app.layette.core.entry.Fact.RollPlaced;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Length;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.Optional;

/**
 * REC-6: a rolled towel or a foam noodle lies under the foot end only as the seat manual allows: this kind, together with
 * a raised foot or not, and never with rigid arms. Nothing rolled is in order.
 */
@AutoService(Asking.class)
public final class RollAllowed implements Rule.OfPlace {
    private static final RuleCard CARD = RuleCard.of(Conclusion.named("ROLL"), RuleCode.REC_6)
            .countsBeforeBirth()
            .reopenedBy(Change.OTHER_SEAT, Change.OTHER_CAR)
            .decidedBy(
                    PermissionKey.TOWEL,
                    PermissionKey.NOODLE,
                    PermissionKey.NOODLE_TRIANGLE,
                    PermissionKey.ROLL_WITH_FOOT)
            .at(StepKey.DEVICE, 100);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        Optional<Stamped<RollPlaced>> roll = situation.newest(RollPlaced.class);
        if (roll.isEmpty() || roll.get().value().roll() == RollKind.NONE) {
            return Verdict.judged(Finding.of(Weight.HOLDS, "finding.REC-6.noRoll"));
        }
        Method method = situation.usualMethod();
        if (method.isBaseless() || !method.isReclined()) {
            return judged(
                    roll.get(),
                    Finding.of(
                                    Weight.STOP,
                                    method.isBaseless() ? "finding.REC-6.notBaseless" : "finding.REC-6.notLyingFlat")
                            .changedBy("ROLL"));
        }
        RollKind kind = roll.get().value().roll();
        boolean rigid = situation
                .seat()
                .map(SeatSheet::recline)
                .map(Recline::arms)
                .flatMap(Evidence::value)
                .isPresent();
        if (rigid) {
            return judged(roll.get(), Finding.of(Weight.STOP, "finding.REC-6.notWithRigidArms"));
        }
        Permission permission = permission(situation, kind);
        if (isWithFoot(situation)) {
            permission = permission.and(situation.permission(PermissionKey.ROLL_WITH_FOOT));
        }
        return judged(
                roll.get(),
                switch (permission) {
                    case ALLOWED -> Finding.of(Weight.HOLDS, "finding.REC-6.rollAllowed");
                    case NOT_ALLOWED ->
                        Finding.of(Weight.STOP, "finding.REC-6.rollNotAllowed").changedBy("ROLL");
                    case NOT_KNOWN ->
                        told(situation, kind, Finding.of(Weight.NOT_KNOWN, "finding.REC-6.rollNotKnown"))
                                .changedBy("SEAT_MANUAL");
                });
    }

    /** The page on this kind of roll, and the one on a roll together with a raised foot. */
    private static Finding.Builder told(PlaceNow situation, RollKind kind, Finding.Builder finding) {
        key(kind).ifPresent(finding::toldBy);
        return isWithFoot(situation) ? finding.toldBy(PermissionKey.ROLL_WITH_FOOT) : finding;
    }

    private static Verdict judged(Stamped<RollPlaced> roll, Finding.Builder finding) {
        return Verdict.judged(
                        finding.with("roll", Argument.key("roll", roll.value().roll())))
                .restingOn(roll);
    }

    /** Whether a kind of roll may be used at all. */
    public static Permission permission(PlaceNow situation, RollKind kind) {
        return key(kind).map(situation::permission).orElse(Permission.ALLOWED);
    }

    private static Optional<PermissionKey> key(RollKind kind) {
        return switch (kind) {
            case NONE -> Optional.empty();
            case TOWEL -> Optional.of(PermissionKey.TOWEL);
            case NOODLE -> Optional.of(PermissionKey.NOODLE);
            case NOODLE_TRIANGLE -> Optional.of(PermissionKey.NOODLE_TRIANGLE);
        };
    }

    /** Whether the recline device is raised as well. */
    public static boolean isWithFoot(PlaceNow situation) {
        return ReclineSetUp.stepNow(situation)
                .filter(step -> step.lift().isMoreThan(Length.ZERO))
                .isPresent();
    }
}
