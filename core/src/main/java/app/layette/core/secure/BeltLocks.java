package app.layette.core.secure;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Asking;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.secure.LockTable.Lock;
import app.layette.core.step.Ask;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.Belt.LatchPlate;
import app.layette.core.vehicle.Belt.Retractor;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** SEC-1: there is a way to lock the belt of this place for this restraint. */
@AutoService(Asking.class)
public final class BeltLocks implements Rule.OfPlace {
    /** What {@link Question#RETRACTOR} is answered with. */
    public enum RetractorSeen {
        SWITCHABLE(Retractor.SWITCHABLE),
        AUTOMATIC(Retractor.AUTOMATIC),
        EMERGENCY_ONLY(Retractor.EMERGENCY_ONLY),
        UNSURE(null);

        private final @Nullable Retractor found;

        RetractorSeen(@Nullable Retractor found) {
            this.found = found;
        }

        /** What the belt has; empty where nobody could tell. */
        Optional<Retractor> found() {
            return Optional.ofNullable(found);
        }
    }

    /** What {@link Question#LATCH_PLATE} is answered with. */
    public enum LatchPlateSeen {
        SLIDING(LatchPlate.SLIDING),
        LOCKING(LatchPlate.LOCKING),
        SWITCHABLE(LatchPlate.SWITCHABLE),
        SEWN_ON(LatchPlate.SEWN_ON),
        CRASH_LOCKING(LatchPlate.CRASH_LOCKING),
        UNSURE(null);

        private final @Nullable LatchPlate found;

        LatchPlateSeen(@Nullable LatchPlate found) {
            this.found = found;
        }

        /** What the belt has; empty where nobody could tell. */
        Optional<LatchPlate> found() {
            return Optional.ofNullable(found);
        }
    }

    private static final RuleCard CARD = RuleCard.of(Conclusion.BELT_LOCKS, RuleCode.SEC_1)
            .requiredOf(Method::isByBelt)
            .countsBeforeBirth()
            .saidBeforehand()
            .ofPlaceAlone()
            .asks(Asked.about(Question.RETRACTOR, RetractorSeen.class)
                    .leftToRule(RetractorSeen.SWITCHABLE, RetractorSeen.AUTOMATIC, RetractorSeen.EMERGENCY_ONLY)
                    .notKnown(RetractorSeen.UNSURE)
                    .read()
                    .byItself())
            .asks(Asked.about(Question.LATCH_PLATE, LatchPlateSeen.class)
                    .leftToRule(
                            LatchPlateSeen.SLIDING,
                            LatchPlateSeen.LOCKING,
                            LatchPlateSeen.SWITCHABLE,
                            LatchPlateSeen.SEWN_ON,
                            LatchPlateSeen.CRASH_LOCKING)
                    .notKnown(LatchPlateSeen.UNSURE)
                    .read()
                    .byItself())
            .decidedBy(PermissionKey.LOCKING_CLIP, PermissionKey.BELT_LOCKABLE)
            .decidedBy(SheetValue.BELT_KIND)
            .at(StepKey.ROUTE_BELT, 100);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        PlaceNow situation = looks.situation();
        List<Ask> asks = new ArrayList<>();
        boolean lockOff = BeltRules.lock(situation)
                .filter(lock -> lock == Lock.LOCK_OFF || lock == Lock.TENSION_PANEL)
                .isPresent();
        boolean retractorOnSheet = BeltRules.belt(situation).retractor().value().isPresent();
        if (!retractorOnSheet && !lockOff) {
            asks.add(looks.question(Question.RETRACTOR, conclusion()));
        }
        boolean plateDecides = BeltRules.retractor(situation)
                        .filter(each -> each == Retractor.EMERGENCY_ONLY)
                        .isPresent()
                && !lockOff;
        boolean plateOnSheet = BeltRules.belt(situation).latchPlate().value().isPresent();
        if (plateDecides && !plateOnSheet) {
            asks.add(looks.question(Question.LATCH_PLATE, conclusion()));
        }
        BeltRules.secondPlace(situation)
                .filter(second -> situation
                        .car()
                        .flatMap(car -> car.position(second))
                        .flatMap(position -> position.belt().retractor().value())
                        .isEmpty())
                .ifPresent(second -> asks.add(BeltRules.askAt(situation, Question.RETRACTOR, second)));
        return asks;
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        if (situation.placed().isEmpty() || situation.car().isEmpty()) {
            return Verdict.open(Missing.Entry.PLACE);
        }
        Evidence<Belt.Kind> kind = BeltRules.belt(situation).kind();
        if (kind.value().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.SEC-1.beltKindNotKnown")
                    .lacks(SheetValue.BELT_KIND)
                    .from(kind)
                    .changedBy("CAR_MANUAL"));
        }
        if (kind.value().get() == Belt.Kind.NONE) {
            return Verdict.judged(
                    Finding.of(Weight.STOP, "finding.SEC-1.noBelt").from(kind).changedBy("OTHER_PLACE"));
        }
        if (BeltRules.lockOffs(situation).value().isEmpty()) {
            return Verdict.judged(Finding.of(Weight.NOT_KNOWN, "finding.SEC-1.lockOffsNotKnown")
                    .lacks(SheetValue.LOCK_OFFS)
                    .changedBy("SEAT_MANUAL"));
        }
        if (situation.permission(PermissionKey.BELT_LOCKABLE, Speaker.CAR, Permission.ALLOWED) != Permission.ALLOWED) {
            return Verdict.judged(carSays(situation));
        }
        Optional<Lock> lock = BeltRules.lock(situation);
        if (lock.isEmpty()) {
            return unlocked(situation);
        }
        if (lock.get() == Lock.NOTHING) {
            return Verdict.judged(byClip(situation).changedBy("OTHER_PLACE"));
        }
        return Verdict.judged(Finding.of(Weight.HOLDS, "finding.SEC-1.locks")
                .with("lock", Argument.key("lock", lock.get()))
                .from(BeltRules.belt(situation).retractor())
                .changedBy("OTHER_PLACE"));
    }

    private static Verdict unlocked(PlaceNow situation) {
        if (!isTested(situation)) {
            return Verdict.open(Missing.Entry.BELT_TEST);
        }
        boolean onWhat = LockOffs.usable(situation).isEmpty();
        return Verdict.judged(
                onWhat
                        ? Finding.of(Weight.NOT_KNOWN, "finding.SEC-1.lockOffOnWhat")
                                .lacks(SheetValue.LOCK_OFFS)
                                .changedBy("SEAT_MANUAL")
                        : Finding.of(Weight.NOT_KNOWN, "finding.SEC-1.beltNotKnown")
                                .changedBy("CAR_MANUAL"));
    }

    private static Finding.Builder carSays(PlaceNow situation) {
        boolean known = situation.permission(PermissionKey.BELT_LOCKABLE, Speaker.CAR, Permission.ALLOWED)
                == Permission.NOT_ALLOWED;
        return known
                ? Finding.of(Weight.STOP, "finding.SEC-1.beltNotLockable").changedBy("OTHER_PLACE")
                : Finding.of(Weight.NOT_KNOWN, "finding.SEC-1.beltLockableNotKnown")
                        .changedBy("CAR_MANUAL")
                        .toldBy(PermissionKey.BELT_LOCKABLE);
    }

    /** Nothing of the belt holds: a locking clip does, where the seat manual allows one. */
    private static Finding.Builder byClip(PlaceNow situation) {
        boolean sewnOn = BeltRules.latchPlate(situation)
                .filter(plate -> plate == LatchPlate.SEWN_ON)
                .isPresent();
        if (sewnOn) {
            return Finding.of(Weight.STOP, "finding.SEC-1.nothingLocks");
        }
        return switch (situation.permission(PermissionKey.LOCKING_CLIP)) {
            case ALLOWED ->
                Finding.of(Weight.HOLDS, "finding.SEC-1.locks").with("lock", Argument.key("lock", Lock.LOCKING_CLIP));
            case NOT_ALLOWED -> Finding.of(Weight.STOP, "finding.SEC-1.nothingLocks");
            case NOT_KNOWN ->
                Finding.of(Weight.NOT_KNOWN, "finding.SEC-1.clipNotKnown").toldBy(PermissionKey.LOCKING_CLIP);
        };
    }

    private static boolean isTested(PlaceNow situation) {
        boolean retractorAsked = BeltRules.retractor(situation).isPresent()
                || BeltRules.answeredHere(situation, Question.RETRACTOR).isPresent();
        boolean plateAsked = BeltRules.latchPlate(situation).isPresent()
                || BeltRules.answeredHere(situation, Question.LATCH_PLATE).isPresent();
        boolean plateMatters = BeltRules.retractor(situation)
                .map(each -> each == Retractor.EMERGENCY_ONLY)
                .orElse(false);
        return retractorAsked && (plateAsked || !plateMatters);
    }
}
