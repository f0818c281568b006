package app.layette.core.secure;

import static app.layette.core.finding.RuleCode.CAB_6;
import static app.layette.core.finding.RuleCode.SEC_1;
import static app.layette.core.finding.RuleCode.SEC_2;

import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.LockOff;
import app.layette.core.seat.SeatSheet;
import app.layette.core.secure.LockTable.Lock;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.Belt.LatchPlate;
import app.layette.core.vehicle.Belt.Retractor;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Securing by the belt: what locks it (SEC-1), lock-off (SEC-2), route, buckle (CAB-7), inflatable belt (CAB-6). */
public final class BeltRules {
    private BeltRules() {}

    public static List<Rule> rules() {
        return List.of(
                new Locks(),
                new Inflatable(),
                new LockOffClosed(),
                new AnsweredByEye(Conclusion.BELT_PATH, Question.BELT_ROUTE),
                new Buckle(),
                new AnsweredByEye(Conclusion.LOCK_PROOF, Question.LOCK_PROOF));
    }

    /** What can be said of a belt before anything is fixed with it. */
    public static List<Rule> beforehand() {
        return List.of(new Locks(), new Inflatable());
    }

    /**
     * The retractor: the vehicle sheet's, or the two-part test done here. A test that found less than the sheet says counts:
     * what was seen here may tighten it, and never loosens.
     */
    public static Optional<Retractor> retractor(Situation situation) {
        Optional<Retractor> sheet = belt(situation).retractor().value();
        Optional<Retractor> tested = tested(situation, Question.RETRACTOR, Retractor.values());
        return tested.filter(each -> sheet.isEmpty() || each == Retractor.EMERGENCY_ONLY)
                .or(() -> sheet);
    }

    /** The latch plate: the vehicle sheet's, or what was seen here; one that does not lock here does not lock. */
    public static Optional<LatchPlate> latchPlate(Situation situation) {
        Optional<LatchPlate> sheet = belt(situation).latchPlate().value();
        Optional<LatchPlate> seen = tested(situation, Question.LATCH_PLATE, LatchPlate.values());
        return seen.filter(each -> sheet.isEmpty() || !LockTable.locks(each)).or(() -> sheet);
    }

    /** What locks the belt here; empty when it depends on what is not known. */
    public static Optional<Lock> lock(Situation situation) {
        Optional<Boolean> lockOff = LockOffs.usable(situation).map(list -> !list.isEmpty());
        boolean panel =
                situation.method().filter(BeltRules::hasPath).isPresent() && PartsInUse.PANEL.isThereIn(situation);
        if (panel) {
            return Optional.of(Lock.TENSION_PANEL);
        }
        if (lockOff.isEmpty()) {
            // Whatever it is on: where the belt locks without one, there is a way.
            return LockTable.lock(retractor(situation), latchPlate(situation), false)
                    .filter(lock -> lock != Lock.NOTHING);
        }
        return LockTable.lock(retractor(situation), latchPlate(situation), lockOff.get());
    }

    /** A base, or a shell of one piece, has a belt path that a panel can close over. */
    private static boolean hasPath(Method method) {
        return method == Method.BASE_BELT || method == Method.CONVERTIBLE_BELT;
    }

    private static <E extends Enum<E>> Optional<E> tested(Situation situation, Question question, E[] constants) {
        return answeredHere(situation, question)
                .filter(answer -> question.isPassedBy(answer.how()))
                .map(Stamped::value)
                .flatMap(answer -> Arrays.stream(constants)
                        .filter(each -> each.name().equals(answer))
                        .findFirst());
    }

    /** An answer about the chosen place: by its name, or by somebody who had seen it chosen. */
    private static Optional<Stamped<String>> answeredHere(Situation situation, Question question) {
        Optional<Stamped<String>> named = situation
                .placed()
                .flatMap(placed -> situation.answerAt(question, placed.value().position()))
                .filter(answer -> answer.seen() >= situation.lastChange(Set.of(Change.OTHER_CAR), 0));
        return named.or(() -> situation.answer(question).filter(answer -> answer.seen() >= situation.placeSince()));
    }

    private static Belt belt(Situation situation) {
        return situation.position().map(SeatingPosition::belt).orElse(Belt.NOT_LOOKED);
    }

    private static Evidence<List<LockOff>> lockOffs(Situation situation) {
        return situation.seat().map(SeatSheet::lockOffs).orElse(Evidence.notLooked());
    }

    /** CAB-7: the buckle that belongs to the place; two belts have two of them. */
    private static final class Buckle implements Rule {
        @Override
        public Conclusion conclusion() {
            return Conclusion.BUCKLE;
        }

        @Override
        public Verdict judge(Situation situation) {
            AnsweredByEye byEye = new AnsweredByEye(Conclusion.BUCKLE, Question.BUCKLE);
            Verdict first = byEye.judge(situation);
            boolean two = situation
                    .method()
                    .filter(method -> method == Method.LAY_FLAT)
                    .isPresent();
            if (!two || !(first instanceof Verdict.Judged here) || !here.passes()) {
                return first;
            }
            PositionId second =
                    situation.placed().orElseThrow().value().position().besides();
            return situation
                    .answerAt(Question.BUCKLE, second)
                    .map(answer -> both(byEye.judge(situation, answer), here))
                    .orElseGet(() -> Verdict.open("BUCKLE_SECOND"));
        }

        private static Verdict both(Verdict second, Verdict.Judged first) {
            if (!(second instanceof Verdict.Judged judged)) {
                return second;
            }
            List<Verdict.Check> checks = new ArrayList<>(judged.checks());
            checks.addAll(first.checks());
            return new Verdict.Judged(judged.findings(), checks);
        }
    }

    /** SEC-1: there is a way to lock the belt of this place for this restraint. */
    private static final class Locks implements Rule {
        @Override
        public Conclusion conclusion() {
            return Conclusion.BELT_LOCKS;
        }

        @Override
        public Verdict judge(Situation situation) {
            if (situation.placed().isEmpty() || situation.car().isEmpty()) {
                return Verdict.open("PLACE");
            }
            Evidence<Belt.Kind> kind = belt(situation).kind();
            if (kind.value().isEmpty()) {
                return Verdict.judged(Finding.of(SEC_1, Weight.NOT_KNOWN, "beltKindNotKnown")
                        .lacks(SheetValue.BELT_KIND)
                        .from(kind)
                        .changedBy("CAR_MANUAL"));
            }
            if (kind.value().get() == Belt.Kind.NONE) {
                return Verdict.judged(
                        Finding.of(SEC_1, Weight.STOP, "noBelt").from(kind).changedBy("OTHER_PLACE"));
            }
            if (lockOffs(situation).value().isEmpty()) {
                return Verdict.judged(Finding.of(SEC_1, Weight.NOT_KNOWN, "lockOffsNotKnown")
                        .lacks(SheetValue.LOCK_OFFS)
                        .changedBy("SEAT_MANUAL"));
            }
            if (situation.permission(PermissionKey.BELT_LOCKABLE, Speaker.CAR, Permission.ALLOWED)
                    != Permission.ALLOWED) {
                return Verdict.judged(carSays(situation));
            }
            Optional<Lock> lock = lock(situation);
            if (lock.isEmpty()) {
                return unlocked(situation);
            }
            if (lock.get() == Lock.NOTHING) {
                return Verdict.judged(byClip(situation).changedBy("OTHER_PLACE"));
            }
            return Verdict.judged(Finding.of(SEC_1, Weight.HOLDS, "locks")
                    .with("lock", Argument.key("lock", lock.get()))
                    .from(belt(situation).retractor())
                    .changedBy("OTHER_PLACE"));
        }

        private static Verdict unlocked(Situation situation) {
            if (!isTested(situation)) {
                return Verdict.open("BELT_TEST");
            }
            boolean onWhat = LockOffs.usable(situation).isEmpty();
            return Verdict.judged(
                    onWhat
                            ? Finding.of(SEC_1, Weight.NOT_KNOWN, "lockOffOnWhat")
                                    .lacks(SheetValue.LOCK_OFFS)
                                    .changedBy("SEAT_MANUAL")
                            : Finding.of(SEC_1, Weight.NOT_KNOWN, "beltNotKnown")
                                    .changedBy("CAR_MANUAL"));
        }

        private static Finding.Builder carSays(Situation situation) {
            boolean known = situation.permission(PermissionKey.BELT_LOCKABLE, Speaker.CAR, Permission.ALLOWED)
                    == Permission.NOT_ALLOWED;
            return known
                    ? Finding.of(SEC_1, Weight.STOP, "beltNotLockable").changedBy("OTHER_PLACE")
                    : Finding.of(SEC_1, Weight.NOT_KNOWN, "beltLockableNotKnown")
                            .changedBy("CAR_MANUAL")
                            .toldBy(PermissionKey.BELT_LOCKABLE);
        }

        /** Nothing of the belt holds: a locking clip does, where the seat manual allows one. */
        private static Finding.Builder byClip(Situation situation) {
            boolean sewnOn = latchPlate(situation)
                    .filter(plate -> plate == LatchPlate.SEWN_ON)
                    .isPresent();
            if (sewnOn) {
                return Finding.of(SEC_1, Weight.STOP, "nothingLocks");
            }
            return switch (situation.permission(PermissionKey.LOCKING_CLIP)) {
                case ALLOWED ->
                    Finding.of(SEC_1, Weight.HOLDS, "locks").with("lock", Argument.key("lock", Lock.LOCKING_CLIP));
                case NOT_ALLOWED -> Finding.of(SEC_1, Weight.STOP, "nothingLocks");
                case NOT_KNOWN ->
                    Finding.of(SEC_1, Weight.NOT_KNOWN, "clipNotKnown").toldBy(PermissionKey.LOCKING_CLIP);
            };
        }

        private static boolean isTested(Situation situation) {
            boolean retractorAsked = retractor(situation).isPresent()
                    || answeredHere(situation, Question.RETRACTOR).isPresent();
            boolean plateAsked = latchPlate(situation).isPresent()
                    || answeredHere(situation, Question.LATCH_PLATE).isPresent();
            boolean plateMatters = retractor(situation)
                    .map(each -> each == Retractor.EMERGENCY_ONLY)
                    .orElse(false);
            return retractorAsked && (plateAsked || !plateMatters);
        }
    }

    /** CAB-6: an inflatable belt only if both manuals allow. */
    private static final class Inflatable implements Rule {
        @Override
        public Conclusion conclusion() {
            return Conclusion.INFLATABLE_BELT;
        }

        @Override
        public Verdict judge(Situation situation) {
            if (situation.position().isEmpty()) {
                return Verdict.open("PLACE");
            }
            Evidence<Boolean> inflatable = belt(situation).inflatable();
            if (inflatable.value().isEmpty()) {
                return Verdict.judged(Finding.of(CAB_6, Weight.NOT_KNOWN, "inflatableBeltNotLooked")
                        .lacks(SheetValue.INFLATABLE)
                        .from(inflatable)
                        .changedBy("CAR_MANUAL"));
            }
            if (!inflatable.value().get()) {
                return Verdict.judged(
                        Finding.of(CAB_6, Weight.HOLDS, "plainBelt").from(inflatable));
            }
            return switch (situation.permission(PermissionKey.INFLATABLE_BELT)) {
                case ALLOWED -> Verdict.judged(Finding.of(CAB_6, Weight.HOLDS, "inflatableAllowed"));
                case NOT_ALLOWED ->
                    Verdict.judged(Finding.of(CAB_6, Weight.STOP, "inflatableNotAllowed")
                            .changedBy("OTHER_PLACE"));
                case NOT_KNOWN ->
                    Verdict.judged(Finding.of(CAB_6, Weight.NOT_KNOWN, "inflatableNotKnown")
                            .changedBy("BOTH_MANUALS")
                            .toldBy(PermissionKey.INFLATABLE_BELT));
            };
        }
    }

    /** SEC-2: the lock-off that the sheet lists is closed over the part of the belt that the sheet says. */
    private static final class LockOffClosed implements Rule {
        @Override
        public Conclusion conclusion() {
            return Conclusion.LOCK_OFF;
        }

        @Override
        public Verdict judge(Situation situation) {
            Evidence<List<LockOff>> lockOffs = lockOffs(situation);
            if (lockOffs.value().isEmpty()) {
                return Verdict.judged(Finding.of(SEC_2, Weight.NOT_KNOWN, "notOnSheet")
                        .lacks(SheetValue.LOCK_OFFS)
                        .from(lockOffs)
                        .changedBy("SEAT_MANUAL"));
            }
            Optional<List<LockOff>> usable = LockOffs.usable(situation);
            if (usable.isEmpty()) {
                return Verdict.judged(Finding.of(SEC_2, Weight.NOT_KNOWN, "lockOffOnWhat")
                        .lacks(SheetValue.LOCK_OFFS)
                        .from(lockOffs)
                        .changedBy("SEAT_MANUAL"));
            }
            if (usable.get().isEmpty()) {
                return Verdict.judged(
                        Finding.of(SEC_2, Weight.HOLDS, "noLockOff").from(lockOffs));
            }
            return new AnsweredByEye(Conclusion.LOCK_OFF, Question.LOCK_OFF, LockOffClosed::closed).judge(situation);
        }

        private static Verdict.Judged closed(Situation situation, Stamped<String> answer) {
            return Verdict.judged(Finding.of(SEC_2, Weight.HOLDS, "closed").from(lockOffs(situation)));
        }
    }
}
