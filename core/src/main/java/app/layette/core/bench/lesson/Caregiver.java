package app.layette.core.bench.lesson;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.act.Hand;
import app.layette.core.bench.scene.Scene;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.Question;
import app.layette.core.harness.ClipAtArmpits;
import app.layette.core.harness.NothingThickUnder;
import app.layette.core.recline.ReclineAdvice.PressPoint;
import app.layette.core.seat.HandlePosition;
import app.layette.core.secure.LockOffClosed;
import app.layette.core.secure.TensionPanel;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/**
 * A caregiver who does what they were shown, and slips as caregivers do.
 *
 * @param turns in their order
 */
public record Caregiver(List<Turn> turns) {
    private static final double WHOLE_PRESS = 340;
    private static final double WHOLE_PULL = 90;
    private static final double WHOLE_TAIL = 75;
    private static final double WEAK_PRESS = 40;
    private static final double WEAK_PULL = 15;
    private static final double WEAK_TAIL = 25;

    /** What a caregiver may slip at, and be stopped for. */
    public static final List<Misuse> SLIPS = List.of(
            Misuse.BULKY_CLOTHING,
            Misuse.TONGUE_NOT_LATCHED,
            Misuse.HARNESS_LOOSE,
            Misuse.HIP_SLACK,
            Misuse.CLIP_LOW,
            Misuse.CLIP_HIGH,
            Misuse.BASE_LOOSE,
            Misuse.LOCK_OFF_OPEN,
            Misuse.MOVEMENT_TESTED_ELSEWHERE,
            Misuse.CARRIER_NOT_CLICKED,
            Misuse.HANDLE_WRONG);

    public Caregiver {
        turns = List.copyOf(turns);
    }

    /**
     * What they do before somebody says a word.
     *
     * @param word what it looks like from beside them, never whether it is right
     * @param rightly how it is done
     * @param done how they do it
     * @param slip what is not right about it
     */
    public record Turn(String word, List<Doing> rightly, List<Doing> done, Optional<Misuse> slip) {
        public Turn {
            rightly = List.copyOf(rightly);
            done = List.copyOf(done);
        }
    }

    /** A turn with the slips that it invites. */
    private record Prone(String word, List<Doing> rightly, List<Slip> slips) {}

    /**
     * How it goes wrong.
     *
     * @param word what it looks like where that differs from a right turn
     */
    private record Slip(Misuse misuse, String word, List<Doing> done) {}

    /** Somebody who slips so many times in a scene; fewer where it has fewer turns. */
    public static Caregiver slipping(Scene scene, int times, Random random) {
        List<Prone> prone = prone(scene);
        List<Integer> order = new ArrayList<>();
        for (int turn = 0; turn < prone.size(); turn++) {
            if (!prone.get(turn).slips().isEmpty()) {
                order.add(turn);
            }
        }
        Collections.shuffle(order, random);
        Set<Integer> wrong = new HashSet<>(order.subList(0, Math.min(times, order.size())));
        List<Turn> turns = new ArrayList<>();
        for (int turn = 0; turn < prone.size(); turn++) {
            Prone each = prone.get(turn);
            if (wrong.contains(turn)) {
                Slip slip = each.slips().get(random.nextInt(each.slips().size()));
                turns.add(new Turn(slip.word(), each.rightly(), slip.done(), Optional.of(slip.misuse())));
            } else {
                turns.add(new Turn(each.word(), each.rightly(), each.rightly(), Optional.empty()));
            }
        }
        return new Caregiver(turns);
    }

    private static List<Prone> prone(Scene scene) {
        List<Prone> turns = new ArrayList<>();
        turns.add(new Prone(
                "CHILD_IN",
                List.of(Doing.make(Question.CLOTHING, NothingThickUnder.Answer.THIN)),
                List.of(new Slip(
                        Misuse.BULKY_CLOTHING,
                        "CHILD_IN",
                        List.of(Doing.make(Question.CLOTHING, NothingThickUnder.Answer.COAT_UNDER_STRAPS))))));
        turns.add(new Prone(
                "BUCKLES",
                List.of(Doing.of(Hand.LATCH)),
                List.of(new Slip(Misuse.TONGUE_NOT_LATCHED, "BUCKLES", List.of()))));
        turns.add(new Prone(
                "TIGHTENS",
                List.of(Doing.of(Hand.LATCH), Doing.of(Hand.LIFT_AT_HIPS), Doing.tail(WHOLE_TAIL)),
                List.of(
                        new Slip(
                                Misuse.HARNESS_LOOSE,
                                "TIGHTENS",
                                List.of(Doing.of(Hand.LATCH), Doing.of(Hand.LIFT_AT_HIPS), Doing.tail(WEAK_TAIL))),
                        new Slip(
                                Misuse.HIP_SLACK,
                                "TIGHTENS_WITHOUT_HIPS",
                                List.of(Doing.of(Hand.LATCH), Doing.tail(WHOLE_TAIL))))));
        turns.add(new Prone(
                "CLIP",
                List.of(Doing.make(Question.CLIP, ClipAtArmpits.Answer.ARMPIT)),
                List.of(
                        new Slip(
                                Misuse.CLIP_LOW,
                                "CLIP",
                                List.of(Doing.make(Question.CLIP, ClipAtArmpits.Answer.LOWER))),
                        new Slip(
                                Misuse.CLIP_HIGH,
                                "CLIP",
                                List.of(Doing.make(Question.CLIP, ClipAtArmpits.Answer.HIGHER))))));
        secured(scene, turns);
        if (scene.method().isOnBase()) {
            turns.add(new Prone(
                    "CARRIER_ON",
                    List.of(Doing.of(Hand.CARRIER_ON, "WITH_A_CLICK")),
                    List.of(new Slip(
                            Misuse.CARRIER_NOT_CLICKED,
                            "CARRIER_ON",
                            List.of(Doing.of(Hand.CARRIER_ON, "WITHOUT_A_CLICK"))))));
        }
        if (scene.method().isOnBase() || scene.method().isBaseless()) {
            turns.add(new Prone(
                    "HANDLE",
                    List.of(Doing.of(Hand.HANDLE, HandlePosition.UP)),
                    List.of(new Slip(
                            Misuse.HANDLE_WRONG, "HANDLE", List.of(Doing.of(Hand.HANDLE, HandlePosition.DOWN))))));
        }
        return turns;
    }

    private static void secured(Scene scene, List<Prone> turns) {
        List<Doing> whole = new ArrayList<>(
                List.of(Doing.of(Hand.LOOSEN), Doing.press(PressPoint.MIDDLE, WHOLE_PRESS, WHOLE_PULL)));
        List<Doing> weak =
                new ArrayList<>(List.of(Doing.of(Hand.LOOSEN), Doing.press(PressPoint.MIDDLE, WEAK_PRESS, WEAK_PULL)));
        if (scene.method().isByBelt()) {
            whole.add(Doing.of(Hand.LOCK_BELT));
            weak.add(Doing.of(Hand.LOCK_BELT));
        }
        boolean rigid = !scene.method().isByBelt() && !scene.has(Question.STRAP);
        if (!rigid) {
            turns.add(new Prone("TIGHTENS_BASE", whole, List.of(new Slip(Misuse.BASE_LOOSE, "TIGHTENS_BASE", weak))));
        }
        if (scene.has(Question.LOCK_OFF)) {
            List<Doing> closed = List.of(Doing.make(Question.LOCK_OFF, LockOffClosed.Answer.CLOSED));
            turns.add(new Prone(
                    "LOCKS",
                    closed,
                    List.of(new Slip(
                            Misuse.LOCK_OFF_OPEN,
                            "LOCKS",
                            List.of(Doing.make(Question.LOCK_OFF, LockOffClosed.Answer.OPEN))))));
        }
        if (scene.has(Question.PANEL)) {
            turns.add(new Prone(
                    "LOCKS", List.of(Doing.make(Question.PANEL, TensionPanel.Answer.CLOSED_AND_LOCKED)), List.of()));
        }
        turns.add(new Prone(
                "TESTS_AT_PATH",
                List.of(),
                List.of(new Slip(Misuse.MOVEMENT_TESTED_ELSEWHERE, "TESTS_AT_HEAD_END", List.of()))));
    }
}
