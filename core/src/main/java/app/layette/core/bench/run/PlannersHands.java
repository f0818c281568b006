package app.layette.core.bench.run;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.act.Hand;
import app.layette.core.bench.act.Senses;
import app.layette.core.bench.hands.Sensed;
import app.layette.core.bench.scene.Scene;
import app.layette.core.entry.Act;
import app.layette.core.entry.Area;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Question;
import app.layette.core.entry.TeachItem;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.harness.HarnessSnug;
import app.layette.core.recline.GroundLevel;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.recline.ReclineAdvice.PressPoint;
import app.layette.core.run.Step;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.seat.SettingId;
import app.layette.core.step.Ask;
import java.util.List;
import java.util.Optional;

/**
 * Perfect hands that do what the planner's run asks next, and nothing else: they know what was seen and felt, never what
 * is so.
 */
public final class PlannersHands {
    /** More than any fitting takes; who needs more goes in circles. */
    private static final int MOST_DOINGS = 400;

    private static final double FIRST_PRESS = 300;
    private static final double HARDER_BY = 60;
    private static final double FIRST_PULL = 80;
    private static final double HARDEST = 520;
    private static final double PULL_HARDER_BY = 25;
    private static final double HARDEST_PULL = 220;
    private static final int MOST_TIMES = 5;
    private static final double FIRST_TAIL = 60;
    private static final double TAIL_HARDER_BY = 8;
    private static final double TAIL_HARDEST = 84;

    private final DryRun run;
    private final Scene scene;
    private double force = FIRST_PRESS;
    private double pull = FIRST_PULL;
    private double tail = FIRST_TAIL;
    private PressPoint point = PressPoint.MIDDLE;

    private PlannersHands(DryRun run) {
        this.run = run;
        this.scene = run.scene();
    }

    /**
     * Goes on until the planner would let it be handed over.
     *
     * @return whether it came so far
     */
    public static boolean finish(DryRun run) {
        return new PlannersHands(run).finish();
    }

    private boolean finish() {
        while (run.moments().size() < MOST_DOINGS) {
            FittingPlan plan = run.plan();
            if (plan.mayHandOver()) {
                return true;
            }
            Optional<Ask> next = plan.run().steps().stream()
                    .filter(Step::holdsUp)
                    .flatMap(step -> step.nextAsk().stream())
                    .filter(ask -> ask.kind() != Ask.Kind.END)
                    .findFirst();
            if (next.isEmpty()) {
                return false;
            }
            answer(next.get(), plan);
        }
        return false;
    }

    private void does(Hand hand) {
        run.does(Doing.of(hand));
    }

    private void does(Hand hand, Object what) {
        run.does(Doing.of(hand, what));
    }

    private void answer(Ask ask, FittingPlan plan) {
        switch (ask.kind()) {
            case CHILD, ORDER -> does(Hand.ASK_FAMILY);
            case LABEL -> does(Hand.READ_LABEL);
            case WEIGHT -> does(Hand.WEIGH);
            case LENGTH -> does(Hand.MEASURE, "LENGTH");
            case SHOULDER, HEAD_ROOM -> does(Hand.MEASURE, "SEATED");
            case INSERT -> insert(ask.key());
            case SLOTS, CROTCH -> thread();
            case ACT -> act(Act.valueOf(ask.key()));
            case DEVICE -> device(plan);
            case ROLL -> does(Hand.TAKE_ROLL_OUT);
            case GROUND -> {
                does(Hand.LOOK, Area.LEVEL);
                if (isOff(Question.GROUND)) {
                    run.does(Doing.make(Question.GROUND, GroundLevel.Answer.LEVEL));
                    does(Hand.LOOK, Area.LEVEL);
                }
            }
            case MOVEMENT -> movement();
            case LEVEL -> level(plan);
            case HANDLE -> does(Hand.HANDLE, HandlePosition.UP);
            case GAP -> gap();
            case TEACH -> does(Hand.TEACH, TeachItem.valueOf(ask.key()));
            case QUESTION -> question(Question.valueOf(ask.question()));
            default -> throw new IllegalStateException("Nobody taught these hands to answer " + ask);
        }
    }

    private void insert(String piece) {
        does(Hand.INSERT, piece + "=" + (scene.belongsIn(piece) ? "IN" : "OUT"));
    }

    private void thread() {
        does(Hand.THREAD, scene.rightSlot());
        does(Hand.CROTCH, 1);
        does(Hand.LOOK, Area.HARNESS);
    }

    private void act(Act act) {
        switch (act) {
            case PREPARED -> does(Hand.PREPARE);
            case TIGHTENED -> press();
            case ARMS_WALKED_IN -> does(Hand.WALK_ARMS_IN);
            case CARRIER_ON -> does(Hand.CARRIER_ON, "WITH_A_CLICK");
            default -> throw new IllegalStateException("Nobody taught these hands to do " + act);
        }
    }

    private void press() {
        run.does(Doing.press(point, force, pull));
        lock();
    }

    /** What clamps the belt is closed when it is tight. */
    private void lock() {
        if (scene.has(Question.LOCK_PROOF)) {
            does(Hand.LOCK_BELT);
        }
        for (Question clamp : new Question[] {Question.LOCK_OFF, Question.PANEL}) {
            if (scene.has(clamp)) {
                run.does(Doing.make(clamp, scene.inOrder(clamp)));
            }
        }
    }

    private static Optional<SettingId> setting(FittingPlan plan) {
        return plan.recline().flatMap(ReclineAdvice::recommended);
    }

    private void device(FittingPlan plan) {
        does(Hand.SET_DEVICE, setting(plan).map(SettingId::text).orElse("1"));
        plan.recline().flatMap(ReclineAdvice::press).ifPresent(advised -> point = advised);
    }

    private void movement() {
        does(Hand.TUG, "BELT_PATH");
        // What only just passes is tightened once more: a hand does not measure.
        for (int times = 0; times < MOST_TIMES && !isClear(); times++) {
            force = Math.min(HARDEST, force + HARDER_BY);
            pull = Math.min(HARDEST_PULL, pull + PULL_HARDER_BY);
            if (scene.method().isByRigidArms()) {
                does(Hand.WALK_ARMS_IN);
            }
            press();
            does(Hand.TUG, "BELT_PATH");
        }
    }

    private boolean isClear() {
        return !isOff(Question.MOVEMENT)
                && last().stream().noneMatch(sensed -> sensed.says().equals("NEARLY_AN_INCH"));
    }

    /** Looked at; when it is out, everything off, loosened, another setting, and again. */
    private void level(FittingPlan plan) {
        does(Hand.LEVEL, "DOOR");
        Reading reading = run.moments().get(run.moments().size() - 1).outcome().facts().stream()
                .filter(Fact.LevelRead.class::isInstance)
                .map(fact -> ((Fact.LevelRead) fact).reading())
                .findFirst()
                .orElse(Reading.INSIDE);
        boolean passes = scene.seat()
                .recline()
                .indicator()
                .value()
                .filter(indicator -> indicator.passes(reading))
                .isPresent();
        if (passes) {
            return;
        }
        FittingPlan learned = run.plan();
        boolean onBase = scene.method().isOnBase();
        if (onBase) {
            does(Hand.CARRIER_OFF);
        }
        does(Hand.LOOSEN);
        Optional<SettingId> setting = setting(learned);
        PressPoint steer = reading.isUpright() ? PressPoint.HEAD_END : PressPoint.FOOT_END;
        if (setting.isPresent() && scene.hasDevice()) {
            does(Hand.SET_DEVICE, setting.get().text());
            point = learned.recline().flatMap(ReclineAdvice::press).orElse(PressPoint.MIDDLE);
        } else {
            // No setting is left, or there is none: where one presses is what remains.
            point = steer;
        }
        if (scene.method().isByRigidArms()) {
            does(Hand.WALK_ARMS_IN);
        }
        press();
        if (onBase) {
            does(Hand.CARRIER_ON, "WITH_A_CLICK");
        }
    }

    private List<Sensed> last() {
        return run.moments().get(run.moments().size() - 1).outcome().sensed();
    }

    private void gap() {
        does(Hand.LOOK, Area.PLACE);
        if (isOff(Question.GAP)) {
            does(Hand.MOVE_FRONT_SEAT, 40);
            does(Hand.LOOK, Area.PLACE);
        }
    }

    /** What was last found out about a question is not in order. */
    private boolean isOff(Question question) {
        for (int i = run.moments().size() - 1; i >= 0; i--) {
            for (Fact fact : run.moments().get(i).outcome().facts()) {
                if (fact instanceof Fact.Answered answered && answered.question() == question) {
                    return !answered.answer().equals(scene.inOrder(question));
                }
            }
        }
        return true;
    }

    private void question(Question question) {
        switch (question.name()) {
            case "SNUG" -> snug();
            case "CAUTIONS" -> does(Hand.CAUTION);
            case "LOCK_PROOF" -> {
                does(Hand.PULL_BELT);
                if (isOff(question)) {
                    lock();
                    does(Hand.PULL_BELT);
                }
            }
            case "CLICK" -> {
                does(Hand.LIFT);
                if (isOff(question)) {
                    does(Hand.CARRIER_ON, "WITH_A_CLICK");
                    does(Hand.LIFT);
                }
            }
            default -> {
                sense(question);
                if (isOff(question)) {
                    run.does(Doing.make(question, scene.inOrder(question)));
                    sense(question);
                }
            }
        }
    }

    private void sense(Question question) {
        Hand hand = Senses.of(question).sense();
        if (hand == Hand.LOOK) {
            does(Hand.LOOK, Senses.of(question).area());
        } else {
            does(hand);
        }
    }

    private void snug() {
        does(Hand.LATCH);
        does(Hand.PINCH);
        boolean tight = isTooTight();
        if (isOff(Question.SNUG)) {
            if (tight) {
                does(Hand.LET_OUT);
                tail = FIRST_TAIL;
            }
            does(Hand.LIFT_AT_HIPS);
            run.does(Doing.tail(tail));
            tail = Math.min(TAIL_HARDEST, tail + TAIL_HARDER_BY);
            does(Hand.PINCH);
        }
    }

    private boolean isTooTight() {
        return run.moments().get(run.moments().size() - 1).outcome().facts().stream()
                .anyMatch(fact -> fact instanceof Fact.Answered answered
                        && answered.answer().equals(HarnessSnug.Answer.TOO_TIGHT.name()));
    }
}
