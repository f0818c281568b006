package app.layette.web.drill;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.act.Hand;
import app.layette.core.bench.fault.Staging;
import app.layette.core.bench.lesson.Caregiver;
import app.layette.core.bench.run.DryRun;
import app.layette.core.bench.run.Task;
import app.layette.core.bench.scene.Scene;
import app.layette.core.entry.Answers;
import app.layette.core.entry.Area;
import app.layette.core.entry.Question;
import app.layette.core.entry.TeachItem;
import app.layette.core.harness.ClipAtArmpits;
import app.layette.core.recline.GroundLevel;
import app.layette.core.seat.HandlePosition;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;

/** What lies beside the bench to take up, and what each can be used for here. Nothing that is offered says what is right. */
enum Tool {
    PAPERS,
    TAPE,
    LOOK,
    CAR,
    DEVICE,
    FASTEN,
    PRESS,
    LOCK,
    TEST,
    STRAPS,
    DOLL,
    CARRIER,
    WRONG,
    FAMILY;

    private static final int[] FRONT_SEAT_MM = {80, 40, -40, -80};

    /** The tools of a run. */
    static List<Tool> of(Task.Kind kind, DryRun run) {
        if (kind == Task.Kind.TEACH) {
            return List.of(LOOK, TEST, FAMILY);
        }
        return Arrays.stream(values())
                .filter(tool -> tool != FAMILY || kind == Task.Kind.FIT)
                .filter(tool -> tool != WRONG || kind == Task.Kind.FIND)
                .filter(tool -> tool == PRESS || !tool.uses(kind, run).isEmpty())
                .toList();
    }

    /** What it can be used for. */
    List<Doing> uses(Task.Kind kind, DryRun run) {
        Scene scene = run.scene();
        List<Doing> uses = new ArrayList<>();
        switch (this) {
            case PAPERS -> {
                uses.add(Doing.of(Hand.ASK_FAMILY));
                uses.add(Doing.of(Hand.READ_LABEL));
                uses.add(Doing.of(Hand.READ_MANUALS));
                uses.add(Doing.of(Hand.LOOK_UP_RECALL));
            }
            case TAPE -> {
                uses.add(Doing.of(Hand.WEIGH));
                uses.add(Doing.of(Hand.MEASURE, "LENGTH"));
                uses.add(Doing.of(Hand.MEASURE, "SEATED"));
            }
            case LOOK -> Arrays.stream(Area.values()).forEach(area -> uses.add(Doing.of(Hand.LOOK, area)));
            case CAR -> car(scene, uses);
            case DEVICE -> device(scene, uses);
            case FASTEN -> {
                made(
                        scene,
                        uses,
                        Question.BASE_SET_UP,
                        Question.ANCHORS_HOOKED,
                        Question.BELT_ROUTE,
                        Question.BUCKLE,
                        Question.STRAP,
                        Question.SYSTEMS,
                        Question.SITS_WHOLE);
                uses.add(Doing.of(Hand.LOOSEN));
            }
            case PRESS -> {
                // Where and how hard is asked for by itself.
            }
            case LOCK -> lock(scene, uses);
            case TEST -> test(scene, uses);
            case STRAPS -> straps(scene, uses);
            case DOLL -> {
                made(scene, uses, Question.CLOTHING, Question.SUPPORT, Question.LIES_FLAT);
                uses.add(Doing.of(Hand.LATCH));
                uses.add(Doing.of(Hand.LIFT_AT_HIPS));
                uses.add(Doing.tail(40));
                uses.add(Doing.tail(75));
                uses.add(Doing.tail(120));
                uses.add(Doing.of(Hand.LET_OUT));
                for (ClipAtArmpits.Answer answer : EnumSet.complementOf(EnumSet.of(ClipAtArmpits.Answer.NONE_HERE))) {
                    uses.add(Doing.make(Question.CLIP, answer));
                }
            }
            case CARRIER -> carrier(scene, uses);
            case WRONG -> {
                run.moments().stream()
                        .flatMap(moment -> moment.outcome().sensed().stream())
                        .filter(sensed -> sensed.about().equals("MARK"))
                        .map(sensed -> Doing.of(Hand.PUT_RIGHT, sensed.says()))
                        .distinct()
                        .forEach(uses::add);
                uses.add(Doing.make(Question.PARTS, scene.inOrder(Question.PARTS)));
                Staging.RULES_OUT.forEach(misuse -> uses.add(Doing.of(Hand.RULE_OUT, misuse)));
            }
            case FAMILY -> family(kind, scene, uses);
        }
        return uses;
    }

    private static void car(Scene scene, List<Doing> uses) {
        uses.add(Doing.of(Hand.PREPARE));
        if (scene.has(Question.GROUND)) {
            uses.add(Doing.make(Question.GROUND, GroundLevel.Answer.LEVEL));
        }
        if (scene.has(Question.GAP)) {
            for (int by : FRONT_SEAT_MM) {
                uses.add(Doing.of(Hand.MOVE_FRONT_SEAT, by));
            }
        }
    }

    private static void device(Scene scene, List<Doing> uses) {
        if (scene.hasDevice()) {
            for (int step = 1; step <= scene.truth().hold().lifts().size(); step++) {
                uses.add(Doing.of(Hand.SET_DEVICE, step));
            }
            uses.add(Doing.of(Hand.TAKE_ROLL_OUT));
        }
    }

    private static void lock(Scene scene, List<Doing> uses) {
        if (scene.method().isByBelt()) {
            uses.add(Doing.of(Hand.LOCK_BELT));
        }
        if (scene.method().isByRigidArms()) {
            uses.add(Doing.of(Hand.WALK_ARMS_IN));
        }
        made(
                scene,
                uses,
                Question.LOCK_OFF,
                Question.PANEL,
                Question.END_STRAPS,
                Question.LEG,
                Question.BAR,
                Question.SIDE_ELEMENT,
                Question.TURNED_BACK);
    }

    private static void test(Scene scene, List<Doing> uses) {
        if (scene.method().isReclined()) {
            uses.add(Doing.of(Hand.LEVEL, "DOOR"));
            uses.add(Doing.of(Hand.LEVEL, "ABOVE"));
        }
        uses.add(Doing.of(Hand.TUG, "BELT_PATH"));
        uses.add(Doing.of(Hand.TUG, "HEAD_END"));
        uses.add(scene.method().isByBelt() ? Doing.of(Hand.PULL_BELT) : Doing.of(Hand.TUG_ANCHORS));
        uses.add(Doing.of(Hand.PINCH));
        if (scene.method().isOnBase()) {
            uses.add(Doing.of(Hand.LIFT));
        }
    }

    private static void straps(Scene scene, List<Doing> uses) {
        scene.truth().insert().keySet().stream().sorted().forEach(piece -> {
            uses.add(Doing.of(Hand.INSERT, piece + "=IN"));
            uses.add(Doing.of(Hand.INSERT, piece + "=OUT"));
        });
        if (scene.has(Question.WEBBING)) {
            for (int slot = 1; slot <= scene.slots(); slot++) {
                uses.add(Doing.of(Hand.THREAD, slot));
            }
            uses.add(Doing.of(Hand.CROTCH, 1));
            uses.add(Doing.of(Hand.CROTCH, 2));
        }
    }

    private static void carrier(Scene scene, List<Doing> uses) {
        if (scene.method().isOnBase()) {
            uses.add(Doing.of(Hand.CARRIER_ON, "WITH_A_CLICK"));
            uses.add(Doing.of(Hand.CARRIER_ON, "WITHOUT_A_CLICK"));
            uses.add(Doing.of(Hand.CARRIER_OFF));
        }
        if (scene.method().isOnBase() || scene.method().isBaseless()) {
            for (HandlePosition position : HandlePosition.values()) {
                uses.add(Doing.of(Hand.HANDLE, position));
            }
        }
    }

    private static void family(Task.Kind kind, Scene scene, List<Doing> uses) {
        if (kind == Task.Kind.TEACH) {
            uses.add(Doing.of(Hand.GO_ON));
            Caregiver.SLIPS.forEach(misuse -> uses.add(Doing.of(Hand.STOP, misuse)));
            return;
        }
        for (TeachItem item : TeachItem.values()) {
            if (item.isPartOf(scene.method())) {
                uses.add(Doing.of(Hand.TEACH, item));
            }
        }
        uses.add(Doing.of(Hand.CAUTION));
    }

    private static void made(Scene scene, List<Doing> uses, Question... questions) {
        for (Question question : questions) {
            if (scene.has(question)) {
                Answers.to(question).forEach(answer -> uses.add(Doing.make(question, answer)));
            }
        }
    }

    /** The tool that something is done with. */
    static Tool with(Doing doing) {
        return switch (doing.hand()) {
            case ASK_FAMILY, READ_LABEL, READ_MANUALS, LOOK_UP_RECALL -> PAPERS;
            case WEIGH, MEASURE -> TAPE;
            case LOOK -> LOOK;
            case PREPARE, MOVE_FRONT_SEAT -> CAR;
            case SET_DEVICE, TAKE_ROLL_OUT -> DEVICE;
            case LOOSEN -> FASTEN;
            case PRESS -> PRESS;
            case LOCK_BELT, WALK_ARMS_IN -> LOCK;
            case LEVEL, TUG, PULL_BELT, TUG_ANCHORS, PINCH, LIFT -> TEST;
            case INSERT, THREAD, CROTCH -> STRAPS;
            case LATCH, LIFT_AT_HIPS, PULL_TAIL, LET_OUT -> DOLL;
            case CARRIER_ON, CARRIER_OFF, HANDLE -> CARRIER;
            case PUT_RIGHT, RULE_OUT -> WRONG;
            case TEACH, CAUTION, GO_ON, STOP -> FAMILY;
            case MAKE -> withArea(doing);
        };
    }

    private static Tool withArea(Doing doing) {
        Question question = Question.valueOf(doing.what().split("=")[0]);
        return switch (question.name()) {
            case "GROUND" -> CAR;
            case "CLOTHING", "SUPPORT", "LIES_FLAT", "CLIP" -> DOLL;
            case "LOCK_OFF", "PANEL", "END_STRAPS", "LEG", "BAR", "SIDE_ELEMENT", "TURNED_BACK" -> LOCK;
            case "PARTS" -> WRONG;
            default -> FASTEN;
        };
    }
}
