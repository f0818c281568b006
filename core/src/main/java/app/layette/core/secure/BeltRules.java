package app.layette.core.secure;

import static app.layette.core.finding.RuleCode.CAB_6;
import static app.layette.core.finding.RuleCode.SEC_1;
import static app.layette.core.finding.RuleCode.SEC_2;

import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
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
import app.layette.core.vehicle.SeatingPosition;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Securing by the belt: what locks it (SEC-1), lock-off (SEC-2), route, buckle (CAB-7), inflatable belt (CAB-6). */
public final class BeltRules {
    private BeltRules() {}

    public static List<Rule> rules() {
        return List.of(
                new Locks(),
                new Inflatable(),
                new LockOffClosed(),
                new AnsweredByEye(Conclusion.BELT_PATH, Question.BELT_ROUTE),
                new AnsweredByEye(Conclusion.BUCKLE, Question.BUCKLE),
                new AnsweredByEye(Conclusion.LOCK_PROOF, Question.LOCK_PROOF));
    }

    /** The retractor: the vehicle sheet's, or where nobody had looked the two-part test done here. */
    public static Optional<Retractor> retractor(Situation situation) {
        return belt(situation).retractor().value().or(() -> tested(situation, Question.RETRACTOR, Retractor.values()));
    }

    /** The latch plate: the vehicle sheet's, or what was seen here. */
    public static Optional<LatchPlate> latchPlate(Situation situation) {
        return belt(situation)
                .latchPlate()
                .value()
                .or(() -> tested(situation, Question.LATCH_PLATE, LatchPlate.values()));
    }

    /** What locks the belt here; empty when it depends on what is not known. */
    public static Optional<Lock> lock(Situation situation) {
        Evidence<List<LockOff>> lockOffs = lockOffs(situation);
        if (lockOffs.value().isEmpty()) {
            return Optional.empty();
        }
        boolean has = !lockOffs.value().get().isEmpty();
        return LockTable.lock(retractor(situation), latchPlate(situation), has);
    }

    private static <E extends Enum<E>> Optional<E> tested(Situation situation, Question question, E[] constants) {
        return situation
                .answer(question)
                .filter(answer -> answer.seq() > situation.placeSince())
                .map(Stamped::value)
                .flatMap(answer -> Arrays.stream(constants)
                        .filter(each -> each.name().equals(answer))
                        .findFirst());
    }

    private static Belt belt(Situation situation) {
        return situation.position().map(SeatingPosition::belt).orElse(Belt.NOT_LOOKED);
    }

    private static Evidence<List<LockOff>> lockOffs(Situation situation) {
        return situation.seat().map(SeatSheet::lockOffs).orElse(Evidence.notLooked());
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
            if (lockOffs(situation).value().isEmpty()) {
                return Verdict.judged(
                        Finding.of(SEC_1, Weight.NOT_KNOWN, "lockOffsNotKnown").changedBy("SEAT_MANUAL"));
            }
            Optional<Lock> lock = lock(situation);
            if (lock.isEmpty()) {
                return isTested(situation)
                        ? Verdict.judged(Finding.of(SEC_1, Weight.NOT_KNOWN, "beltNotKnown")
                                .changedBy("CAR_MANUAL"))
                        : Verdict.open("BELT_TEST");
            }
            if (lock.get() == Lock.NOTHING) {
                return Verdict.judged(byClip(situation).changedBy("OTHER_PLACE"));
            }
            return Verdict.judged(Finding.of(SEC_1, Weight.HOLDS, "locks")
                    .with("lock", Argument.key("lock", lock.get()))
                    .from(belt(situation).retractor())
                    .changedBy("OTHER_PLACE"));
        }

        private static boolean isAnsweredHere(Situation situation, Question question) {
            return situation
                    .answer(question)
                    .filter(answer -> answer.seq() > situation.placeSince())
                    .isPresent();
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
                case NOT_KNOWN -> Finding.of(SEC_1, Weight.NOT_KNOWN, "clipNotKnown");
            };
        }

        private static boolean isTested(Situation situation) {
            boolean retractorAsked = retractor(situation).isPresent() || isAnsweredHere(situation, Question.RETRACTOR);
            boolean plateAsked = latchPlate(situation).isPresent() || isAnsweredHere(situation, Question.LATCH_PLATE);
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
                            .changedBy("BOTH_MANUALS"));
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
                        .from(lockOffs)
                        .changedBy("SEAT_MANUAL"));
            }
            if (lockOffs.value().get().isEmpty()) {
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
