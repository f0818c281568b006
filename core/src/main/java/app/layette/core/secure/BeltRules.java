package app.layette.core.secure;

import app.layette.core.entry.Answers;
import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.seat.LockOff;
import app.layette.core.seat.SeatSheet;
import app.layette.core.secure.BeltLocks.LatchPlateSeen;
import app.layette.core.secure.BeltLocks.RetractorSeen;
import app.layette.core.secure.LockTable.Lock;
import app.layette.core.step.Ask;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.Belt.LatchPlate;
import app.layette.core.vehicle.Belt.Retractor;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What is known of the belt of the chosen place: retractor, latch plate, and what locks it (SEC-1, SEC-2). */
public final class BeltRules {
    private BeltRules() {}

    /**
     * The retractor: the vehicle sheet's, or the two-part test done here. A test that found less than the sheet says counts:
     * what was seen here may tighten it, and never loosens.
     */
    public static Optional<Retractor> retractor(PlaceNow situation) {
        Optional<Retractor> sheet = belt(situation).retractor().value();
        Optional<Retractor> tested =
                tested(situation, Question.RETRACTOR, RetractorSeen.class).flatMap(RetractorSeen::found);
        return tested.filter(each -> sheet.isEmpty() || each == Retractor.EMERGENCY_ONLY)
                .or(() -> sheet);
    }

    /** The latch plate: the vehicle sheet's, or what was seen here; one that does not lock here does not lock. */
    public static Optional<LatchPlate> latchPlate(PlaceNow situation) {
        Optional<LatchPlate> sheet = belt(situation).latchPlate().value();
        Optional<LatchPlate> seen =
                tested(situation, Question.LATCH_PLATE, LatchPlateSeen.class).flatMap(LatchPlateSeen::found);
        return seen.filter(each -> sheet.isEmpty() || !LockTable.locks(each)).or(() -> sheet);
    }

    /** What locks the belt here; empty when it depends on what is not known. */
    public static Optional<Lock> lock(PlaceNow situation) {
        Optional<Boolean> lockOff = LockOffs.usable(situation).map(list -> !list.isEmpty());
        boolean panel = situation.method().filter(BeltRules::hasPath).isPresent() && TensionPanel.isThereIn(situation);
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
        return method.isByBelt() && method.staysInTheCar();
    }

    private static <A extends Enum<A>> Optional<A> tested(PlaceNow situation, Question question, Class<A> answers) {
        return answeredHere(situation, question)
                .filter(answer -> question.isPassedBy(answer.how()))
                .flatMap(answer -> Answers.as(answers, answer.value()));
    }

    /** An answer about the chosen place: by its name, or by somebody who had seen it chosen. */
    static Optional<Stamped<String>> answeredHere(PlaceNow situation, Question question) {
        Optional<Stamped<String>> named = situation
                .placed()
                .flatMap(placed -> situation.answerAt(question, placed.value().position()))
                .filter(answer -> answer.seen() >= situation.lastChange(Set.of(Change.OTHER_CAR), 0));
        return named.or(() -> situation.answer(question).filter(answer -> answer.seen() >= situation.placeSince()));
    }

    static Belt belt(PlaceNow situation) {
        return situation.position().map(SeatingPosition::belt).orElse(Belt.NOT_LOOKED);
    }

    static Evidence<List<LockOff>> lockOffs(PlaceNow situation) {
        return situation.seat().map(SeatSheet::lockOffs).orElse(Evidence.notLooked());
    }

    /** Two belts of a restraint across two places: the second place. */
    static Optional<PositionId> secondPlace(PlaceNow situation) {
        return situation
                .placed()
                .map(placed -> placed.value().position().besides())
                .filter(second -> situation.usualMethod().takesTwoPlaces());
    }

    /** A question about a place of its own. */
    static Ask askAt(PlaceNow situation, Question question, PositionId place) {
        return new Ask(
                Ask.Kind.QUESTION,
                question.name() + Ask.AT + place,
                situation.answerAt(question, place).isPresent());
    }
}
