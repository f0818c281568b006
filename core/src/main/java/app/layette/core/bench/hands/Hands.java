package app.layette.core.bench.hands;

import static app.layette.core.bench.hands.Unit.SEAT;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.act.Senses;
import app.layette.core.bench.fault.Staging;
import app.layette.core.bench.scene.Scene;
import app.layette.core.bench.state.Hold;
import app.layette.core.bench.state.Straps;
import app.layette.core.bench.state.Threading;
import app.layette.core.bench.state.Truth;
import app.layette.core.condition.PartsComplete;
import app.layette.core.entry.Act;
import app.layette.core.entry.Answers;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.Question;
import app.layette.core.entry.TeachItem;
import app.layette.core.handover.CautionsGiven;
import app.layette.core.harness.ClipAtArmpits;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Force;
import app.layette.core.recline.ReclineAdvice.PressPoint;
import app.layette.core.recline.cushion.Press;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.PieceId;
import app.layette.core.seat.SettingId;
import app.layette.core.secure.CarrierClicked;
import app.layette.core.secure.LockOffClosed;
import app.layette.core.secure.TensionPanel;
import app.layette.core.secure.Windows;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Does to the bench what hands do: a new truth, what was felt of it, and what an honest hand would write down. */
public final class Hands {
    private static final double FORCE_SPREAD = 0.06;
    private static final double PLACE_SPREAD = 0.04;
    private static final double WALK_IN_NEWTONS = 320;
    private static final double WALK_IN_PULL = 80;
    private static final double CAREGIVER_NEWTONS = 320;
    private static final double CAREGIVER_PULL = 70;
    private static final double CAREGIVER_TAIL_NEWTONS = 75;
    private static final double CLIP_OFF_MM = 60;
    private static final double MOST_FRONT_SEAT_MM = 300;
    private static final String DONE = "DONE";

    private final Scene scene;

    public Hands(Scene scene) {
        this.scene = scene;
    }

    /**
     * Does one thing.
     *
     * @param number of the doing in its run, from 1: the same run errs in the same way
     * @throws IllegalArgumentException when there is nothing of the kind here
     */
    public Outcome does(Truth truth, Doing doing, int number) {
        Random random = new Random(scene.seed() * 31 + number * 7919L);
        if (doing.hand().findsOut()) {
            return new Eyes(scene, truth, random).find(doing);
        }
        return new Doer(truth, random).act(doing);
    }

    private final class Doer {
        private final Truth truth;
        private final Random random;
        private final List<Fact> facts = new ArrayList<>();
        private String felt = DONE;

        Doer(Truth truth, Random random) {
            this.truth = truth;
            this.random = random;
        }

        Outcome act(Doing doing) {
            Truth after = after(doing);
            return new Outcome(after, List.of(new Sensed(doing.hand().name(), felt)), facts);
        }

        private void acted(Act act) {
            facts.add(new Fact.Acted(SEAT, act));
        }

        private Truth after(Doing doing) {
            Hold hold = truth.hold();
            Straps straps = truth.straps();
            switch (doing.hand()) {
                case PREPARE -> {
                    acted(Act.PREPARED);
                    return truth;
                }
                case MOVE_FRONT_SEAT -> {
                    acted(Act.FRONT_SEAT_MOVED);
                    double by = number(doing.what(), MOST_FRONT_SEAT_MM);
                    return truth.withGap(truth.gapMm() + by);
                }
                case SET_DEVICE -> {
                    int step = step(doing.what());
                    facts.add(new Fact.DeviceSet(SEAT, new SettingId(doing.what())));
                    return truth.with(hold.at(step));
                }
                case TAKE_ROLL_OUT -> {
                    acted(Act.PRESSED_OR_ROCKED);
                    return truth.with(hold.rolled(0));
                }
                case MAKE -> {
                    return make(doing.what());
                }
                case PRESS -> {
                    return press(doing);
                }
                case LOOSEN -> {
                    acted(scene.method().isByBelt() ? Act.BELT_TOUCHED : Act.PRESSED_OR_ROCKED);
                    // A strap let out stays clicked to its anchors; a belt let out can run.
                    boolean stays = !scene.method().isByBelt() && hold.fastened();
                    return open(truth.with(hold.loosened().locked(stays)));
                }
                case LOCK_BELT -> {
                    need(scene.method().isByBelt(), doing);
                    acted(Act.BELT_TOUCHED);
                    felt = hold.fastened() ? DONE : "NOTHING_TO_LOCK";
                    return truth.with(hold.locked(hold.fastened()));
                }
                case WALK_ARMS_IN -> {
                    need(scene.has(Question.WINDOWS), doing);
                    acted(Act.ARMS_WALKED_IN);
                    Hold home = hold.pulled(
                            new Press(Force.ofNewtons(WALK_IN_NEWTONS), 0.5, Force.ofNewtons(WALK_IN_PULL)));
                    return truth.with(home.locked(home.fastened()))
                            .with(
                                    Question.WINDOWS,
                                    home.fastened() ? Windows.Answer.ALL_LOCKED : Windows.Answer.NOT_ALL);
                }
                case INSERT -> {
                    String[] parts = doing.what().split("=");
                    need(parts.length == 2 && truth.insert().containsKey(parts[0]), doing);
                    boolean in = parts[1].equals("IN");
                    facts.add(new Fact.InsertSet(SEAT, new PieceId(parts[0]), in));
                    return truth.withPiece(parts[0], in);
                }
                case THREAD -> {
                    int slot = (int) number(doing.what(), scene.slots());
                    need(slot >= 1, doing);
                    // Threaded anew it is straight and home.
                    return truth.with(Threading.through(slot))
                            .with(Question.WEBBING, scene.inOrder(Question.WEBBING))
                            .with(Straps.OPEN);
                }
                case CROTCH -> {
                    int opening = (int) number(doing.what(), 2);
                    need(opening >= 1, doing);
                    return truth.withCrotch(opening);
                }
                case LATCH -> {
                    boolean inCar = !scene.method().isOnBase();
                    acted(Act.HARNESS_OPENED);
                    return truth.with(straps.latched(true)).with(inCar ? hold.loaded(true) : hold);
                }
                case LIFT_AT_HIPS -> {
                    acted(Act.HARNESS_OPENED);
                    return truth.with(straps.fromTheHips());
                }
                case PULL_TAIL -> {
                    acted(Act.HARNESS_OPENED);
                    felt = straps.latched() ? DONE : "RUNS_THROUGH";
                    return truth.with(straps.tail(doing.force()));
                }
                case LET_OUT -> {
                    acted(Act.HARNESS_OPENED);
                    return truth.with(straps.letOut());
                }
                case CARRIER_ON -> {
                    need(scene.method().isOnBase(), doing);
                    acted(Act.CARRIER_ON);
                    boolean clicks = !doing.what().equals("WITHOUT_A_CLICK");
                    felt = clicks ? "CLICKS" : "SETS_DOWN";
                    return truth.with(hold.loaded(true))
                            .with(
                                    Question.CLICK,
                                    clicks
                                            ? CarrierClicked.Answer.CLICKED_AND_LIFTED
                                            : CarrierClicked.Answer.CAME_LOOSE);
                }
                case CARRIER_OFF -> {
                    need(scene.method().isOnBase(), doing);
                    acted(Act.CARRIER_OFF);
                    return truth.with(hold.loaded(false)).with(Question.CLICK, Scene.NOT_YET);
                }
                case HANDLE -> {
                    HandlePosition position = HandlePosition.valueOf(doing.what());
                    acted(Act.HANDLE_MOVED);
                    facts.add(new Fact.HandleSet(SEAT, position));
                    return truth.with(position);
                }
                case PUT_RIGHT -> {
                    return truth.marked(Misuse.valueOf(doing.what()), false);
                }
                case RULE_OUT -> {
                    need(Staging.RULES_OUT.contains(Misuse.valueOf(doing.what())), doing);
                    return truth;
                }
                case TEACH -> {
                    return teach(TeachItem.valueOf(doing.what()));
                }
                case CAUTION -> {
                    facts.add(new Fact.Answered(SEAT, Question.CAUTIONS, CautionsGiven.Answer.GIVEN));
                    return truth;
                }
                default -> throw new IllegalArgumentException(doing.hand() + " changes nothing");
            }
        }

        private void need(boolean there, Doing doing) {
            if (!there) {
                throw new IllegalArgumentException(
                        "What is done (" + doing.hand() + " " + doing.what() + ") needs a part that is not here");
            }
        }

        private static double number(String text, double most) {
            double value = Double.parseDouble(text);
            if (!(Math.abs(value) <= most)) {
                throw new IllegalArgumentException("A number (" + text + ") must lie in [-" + most + ", " + most + "]");
            }
            return value;
        }

        private int step(String name) {
            int step = (int) number(name, truth.hold().lifts().size()) - 1;
            if (step < 0 || !scene.hasDevice()) {
                throw new IllegalArgumentException("There is no setting (" + name + ")");
            }
            return step;
        }

        private Truth press(Doing doing) {
            PressPoint at = PressPoint.valueOf(doing.what());
            double place = Math.max(0, Math.min(1, at.at() + PLACE_SPREAD * random.nextGaussian()));
            Press press = new Press(about(doing.force()), place, about(doing.pull()));
            boolean pulls = doing.pull() > 0;
            acted(pulls ? Act.TIGHTENED : Act.PRESSED_OR_ROCKED);
            felt = pulls && !truth.hold().fastened() ? "RUNS_THROUGH" : DONE;
            return truth.with(pulls ? truth.hold().pulled(press) : truth.hold().pressed(press));
        }

        private Force about(double newtons) {
            return Force.ofNewtons(Math.max(0, newtons * (1 + FORCE_SPREAD * random.nextGaussian())));
        }

        /** What was clamped is open again when webbing is let out. */
        private Truth open(Truth loosened) {
            Truth open = loosened;
            if (scene.has(Question.LOCK_OFF)) {
                open = open.with(Question.LOCK_OFF, LockOffClosed.Answer.OPEN);
            }
            if (scene.has(Question.PANEL)) {
                open = open.with(Question.PANEL, TensionPanel.Answer.NOT_CLOSED);
            }
            return open;
        }

        private Truth make(String what) {
            String[] parts = what.split("=");
            Question question = Question.valueOf(parts[0]);
            String answer = parts.length > 1 ? parts[1] : "";
            if (!scene.has(question) || !Answers.takes(question, answer)) {
                throw new IllegalArgumentException("Nothing (" + what + ") can be made so here");
            }
            if (isOnPaper(question)) {
                throw new IllegalArgumentException("That (" + question + ") is asked or read, and made by nobody");
            }
            if (question == Question.PARTS
                    && truth.answer(question).equals(PartsComplete.Answer.MISSING_OR_DAMAGED.name())) {
                // What was added is taken away; what is missing is not to be had beside the car.
                felt = "NOT_TO_BE_HAD";
                return truth;
            }
            Senses.of(question).touches().ifPresent(this::acted);
            boolean right = answer.equals(scene.inOrder(question));
            Hold hold = truth.hold();
            return switch (question.name()) {
                case "ANCHORS_HOOKED" ->
                    truth.with(question, answer)
                            .with(hold.loosened().fastened(right).locked(right));
                case "BELT_ROUTE" ->
                    open(truth.with(question, answer)
                            .with(hold.loosened().fastened(right && isInOrder(Question.BUCKLE))));
                case "BUCKLE" ->
                    open(truth.with(question, answer)
                            .with(hold.loosened().fastened(right && isInOrder(Question.BELT_ROUTE))));
                case "LOCK_OFF", "PANEL" -> truth.with(question, answer).with(hold.locked(right && hold.fastened()));
                case "CLOTHING", "SUPPORT", "LIES_FLAT" ->
                    truth.with(question, answer)
                            .with(truth.straps().latched(false).letOut());
                case "CLIP" ->
                    truth.with(
                            switch (ClipAtArmpits.Answer.valueOf(answer)) {
                                case ARMPIT -> truth.straps().clip(0, true);
                                case LOWER -> truth.straps().clip(-CLIP_OFF_MM, true);
                                case HIGHER -> truth.straps().clip(CLIP_OFF_MM, true);
                                case OPEN, NONE_HERE ->
                                    truth.straps().clip(truth.straps().clipMm(), false);
                            });
                case "GROUND" -> {
                    if (!right) {
                        throw new IllegalArgumentException("Nobody drives to a slope (" + what + ")");
                    }
                    yield truth.withGround(Angle.ZERO);
                }
                case "MOVEMENT", "SNUG", "GAP", "LOCK_PROOF" ->
                    throw new IllegalArgumentException(
                            "That (" + question + ") comes of what is done, not by saying so");
                default -> truth.with(question, answer);
            };
        }

        private static boolean isOnPaper(Question question) {
            return switch (Senses.of(question).sense()) {
                case ASK_FAMILY, READ_LABEL, READ_MANUALS, LOOK_UP_RECALL -> true;
                default -> false;
            };
        }

        private boolean isInOrder(Question question) {
            return truth.answer(question).equals(scene.inOrder(question));
        }

        /** The caregiver does it as they were shown. */
        private Truth teach(TeachItem item) {
            facts.add(new Fact.Taught(SEAT, item, Fact.TeachOutcome.DONE, null));
            Hold hold = truth.hold();
            return switch (item) {
                case HARNESS_AND_SNUG ->
                    truth.with(
                            truth.straps().latched(true).letOut().fromTheHips().tail(CAREGIVER_TAIL_NEWTONS));
                case CLIP -> truth.with(truth.straps().clip(0, true));
                case CARRIER_ON_AND_OFF ->
                    truth.with(hold.loaded(true)).with(Question.CLICK, CarrierClicked.Answer.CLICKED_AND_LIFTED);
                case TIGHTEN_AND_LOOSEN, BASELESS_ONCE -> tightenedAgain(hold);
                default -> truth;
            };
        }

        private Truth tightenedAgain(Hold hold) {
            Hold again = hold.loosened()
                    .pulled(new Press(about(CAREGIVER_NEWTONS), PressPoint.MIDDLE.at(), about(CAREGIVER_PULL)))
                    .locked(true);
            Truth closed = truth.with(again);
            if (scene.has(Question.LOCK_OFF)) {
                closed = closed.with(Question.LOCK_OFF, LockOffClosed.Answer.CLOSED);
            }
            if (scene.has(Question.PANEL)) {
                closed = closed.with(Question.PANEL, TensionPanel.Answer.CLOSED_AND_LOCKED);
            }
            return closed;
        }
    }
}
