package app.layette.core.bench.fault;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.act.Hand;
import app.layette.core.bench.act.Senses;
import app.layette.core.bench.scene.Scene;
import app.layette.core.bench.state.Hold;
import app.layette.core.bench.state.Straps;
import app.layette.core.bench.state.Threading;
import app.layette.core.bench.state.Truth;
import app.layette.core.bench.state.Truth.Doll;
import app.layette.core.entry.Area;
import app.layette.core.entry.Method;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.Question;
import app.layette.core.measure.Angle;
import app.layette.core.misuse.Misuses;
import app.layette.core.recline.GroundLevel;
import app.layette.core.rule.Conclusion;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.SeatKind;
import app.layette.core.secure.AnchorsClicked;
import app.layette.core.table.CsvTable;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;

/** How each misuse of the catalogue is brought about on the bench, and whether it is there ({@code staged.csv}). */
public final class Staging {
    private static final int COLUMNS = 4;
    private static final Map<Misuse, Row> ROWS = load();

    private static final double TOO_HEAVY_GRAMS = 14_200;
    private static final double TOO_LONG_MM = 800;
    private static final int LONG_AGO_YEARS = 11;
    private static final String OTHER_BASE = "ZZ-9";
    private static final double SLACK_MM = 45;
    private static final double CUTS_IN_NEWTONS = 140;
    private static final double CLIP_OFF_MM = 60;
    private static final double BASE_SLACK_MM = 35;
    private static final double STEEP_DEGREES = 5;
    private static final double TOWEL_MM = 25;
    private static final double FAR_BELOW_MM = 40;
    /** Three times the error of an eye: what nobody could see is nobody's fault. */
    private static final double EYE_TELLS_DEGREES = 0.9;
    /** What is staged shows to any eye. */
    private static final double STAGED_DEGREES = 2;

    /** By what a misuse is brought about. */
    public enum By {
        ANSWER,
        NUMBER,
        MARK,
        NONE
    }

    /**
     * A row of the table.
     *
     * @param what the answer, the number, or why it is not staged
     * @param where what there has to be
     */
    public record Row(By by, String what, String where) {}

    /** What nobody puts right beside a car: it rules the restraint out (CND, SUIT-1, SUIT-2). */
    public static final List<Misuse> RULES_OUT = List.of(
            Misuse.WRONG_WEIGHT,
            Misuse.WRONG_LENGTH,
            Misuse.EXPIRED,
            Misuse.UNKNOWN_HISTORY,
            Misuse.RECALLED,
            Misuse.PARTS_MISSING,
            Misuse.WRONG_BASE);

    private final Scene scene;

    public Staging(Scene scene) {
        this.scene = scene;
    }

    private static Map<Misuse, Row> load() {
        Map<Misuse, Row> rows = new EnumMap<>(Misuse.class);
        for (List<String> cells : CsvTable.read("staged.csv", COLUMNS)) {
            rows.put(Misuse.valueOf(cells.get(0)), new Row(By.valueOf(cells.get(1)), cells.get(2), cells.get(3)));
        }
        return rows;
    }

    public static Row of(Misuse misuse) {
        return Objects.requireNonNull(ROWS.get(misuse));
    }

    /** The misuses that could be brought about here, in the order of the catalogue. */
    public List<Misuse> possible() {
        return Arrays.stream(Misuse.values()).filter(this::isPossible).toList();
    }

    private boolean isPossible(Misuse misuse) {
        Method method = scene.method();
        boolean handle = method.isOnBase() || method.isBaseless();
        boolean there = switch (of(misuse).where()) {
            case "ALL" -> true;
            case "BASE" -> method.isOnBase();
            case "HARNESS" -> scene.has(Question.WEBBING);
            case "HANDLE" -> handle;
            case "GAP" -> scene.has(Question.GAP);
            case "GROUND" -> scene.has(Question.GROUND);
            case "LOCK" -> method.isByBelt();
            case "BELT" -> scene.has(Question.BELT_ROUTE);
            case "BASE_BELT" -> method == Method.BASE_BELT;
            case "ANCHORS" -> scene.has(Question.ANCHORS_HOOKED);
            case "BED" -> method.kind() == SeatKind.CAR_BED;
            case "FLAT" -> scene.has(Question.LIES_FLAT);
            case "DEVICE" -> scene.hasDevice();
            case "RIGID" -> method == Method.BASE_RIGID_LEG;
            case "EUROPEAN" -> method == Method.BASELESS_EUROPEAN;
            case "BASELESS" -> method.isBaseless();
            case "SET_UP" -> scene.has(Question.BASE_SET_UP);
            case "LOCK_OFF" -> scene.has(Question.LOCK_OFF);
            case "SYSTEMS" -> scene.has(Question.SYSTEMS);
            case "STRAP" -> scene.has(Question.STRAP);
            case "LEG" -> scene.has(Question.LEG);
            case "BAR" -> scene.has(Question.BAR);
            case "TURNS" -> scene.has(Question.TURNED_BACK);
            default -> false;
        };
        if (!there) {
            return false;
        }
        return switch (misuse) {
            case SLOT_ABOVE, SLOTS_UNEQUAL, PAD_DIFFERS -> scene.rightSlot() < scene.slots();
            case SLOT_FAR_BELOW -> farBelow().isPresent();
            case TOO_UPRIGHT -> stepOut(false).isPresent();
            case TOO_RECLINED -> stepOut(true).isPresent();
            default -> true;
        };
    }

    /** The highest slot that is more than 40 mm below the shoulder (HAR-2). */
    private Optional<Integer> farBelow() {
        var heights = scene.seat().shell().slots().value().orElse(List.of());
        return IntStream.rangeClosed(1, heights.size())
                .filter(slot -> heights.get(slot - 1).millimetres()
                        < scene.truth().child().shoulderMm() - FAR_BELOW_MM)
                .boxed()
                .reduce((first, second) -> second);
    }

    /** A setting that lands outside the band on that side; found on the restraint as it is held. */
    private Optional<Integer> stepOut(boolean reclined) {
        Hold hold = scene.truth().hold();
        return IntStream.range(0, hold.lifts().size())
                .map(step -> reclined ? hold.lifts().size() - 1 - step : step)
                .boxed()
                .filter(step -> isOut(hold.at(step), reclined, STAGED_DEGREES))
                .findFirst();
    }

    private Optional<Indicator.Borders> band() {
        return scene.seat()
                .recline()
                .indicator()
                .value()
                .flatMap(indicator -> indicator.bands().stream()
                        .flatMap(band -> band.borders().stream())
                        .findFirst());
    }

    private boolean isOut(Hold hold, boolean reclined, double by) {
        double angle = hold.recline(Angle.ZERO).degrees();
        return band().map(band -> reclined
                        ? angle >= band.to().degrees() + by
                        : angle < band.from().degrees() - by)
                .orElse(false);
    }

    /**
     * Brings a misuse about.
     *
     * @throws IllegalArgumentException when there is nothing of the kind here
     */
    public Truth stage(Truth truth, Misuse misuse) {
        if (!isPossible(misuse)) {
            throw new IllegalArgumentException("There is nothing here that could be so (" + misuse + ")");
        }
        Row row = of(misuse);
        return switch (row.by()) {
            case ANSWER -> answer(truth, row.what());
            case NUMBER -> number(truth, row.what());
            default -> truth.marked(misuse, true);
        };
    }

    private Truth answer(Truth truth, String what) {
        String[] parts = what.split("=");
        Question question = Question.valueOf(parts[0]);
        Truth so = truth.with(question, parts[1]);
        return switch (question.name()) {
            // A belt or anchor that is not as it should be still holds a little: tugging finds it out.
            case "LOCK_OFF" -> so.with(truth.hold().locked(false));
            case "ANCHORS_HOOKED" ->
                parts[1].equals(AnchorsClicked.Answer.ONE_LOOSE.name())
                        ? so.with(truth.hold().fastened(false))
                        : so;
            default -> so;
        };
    }

    private Truth number(Truth truth, String what) {
        Hold hold = truth.hold();
        Straps straps = truth.straps();
        Doll doll = truth.child();
        int slot = scene.rightSlot();
        return switch (what) {
            case "WEIGHT" -> truth.with(new Doll(TOO_HEAVY_GRAMS, doll.lengthMm(), doll.shoulderMm(), doll.crownMm()));
            case "LENGTH" -> truth.with(new Doll(doll.grams(), TOO_LONG_MM, doll.shoulderMm(), doll.crownMm()));
            case "YEAR" ->
                truth.labelled(
                        truth.carrierModel(), truth.baseModel(), scene.today().getYear() - LONG_AGO_YEARS);
            case "BASE_MODEL" -> truth.labelled(truth.carrierModel(), OTHER_BASE, truth.madeYear());
            case "PIECE_IN" -> truth.withPiece(piece(false, 0), true);
            case "WEDGE_IN" -> truth.withPiece(piece(false, 1), true);
            case "PIECE_OUT" -> truth.withPiece(piece(true, 0), false);
            case "SLOT_UP" -> truth.with(Threading.through(slot + 1));
            case "SLOT_DOWN" -> truth.with(Threading.through(farBelow().orElse(1)));
            case "SLOT_ONE_SIDE" -> truth.with(new Threading(slot, slot + 1, slot, slot + 1));
            case "SLOT_PAD" -> truth.with(new Threading(slot, slot, slot + 1, slot + 1));
            case "SHOULDER_SLACK" -> truth.with(straps.slack(SLACK_MM, straps.hipMm()));
            case "HIP_SLACK" -> truth.with(straps.slack(straps.shoulderMm(), SLACK_MM));
            case "PULL" -> truth.with(straps.pulledWith(CUTS_IN_NEWTONS));
            case "CLIP_DOWN" -> truth.with(straps.clip(-CLIP_OFF_MM, true));
            case "CLIP_UP" -> truth.with(straps.clip(CLIP_OFF_MM, true));
            case "CLIP_OPEN" -> truth.with(straps.clip(straps.clipMm(), false));
            case "UNLATCHED" -> truth.with(straps.latched(false));
            case "HANDLE" -> truth.with(HandlePosition.DOWN);
            case "GAP" -> truth.withGap(0);
            case "MOVEMENT" -> truth.with(hold.slackBy(BASE_SLACK_MM));
            case "UNLOCKED" -> truth.with(hold.locked(false));
            case "STEP_DOWN" -> truth.with(hold.at(stepOut(false).orElseThrow()));
            case "STEP_UP" -> truth.with(hold.at(stepOut(true).orElseThrow()));
            case "GROUND" -> truth.withGround(Angle.ofDegrees(STEEP_DEGREES));
            case "ROLL_AT_HEAD" -> truth.with(hold.rolled(-TOWEL_MM));
            default -> throw new IllegalStateException("staged.csv names a number that nobody knows: " + what);
        };
    }

    private String piece(boolean belongsIn, int which) {
        return scene.truth().insert().keySet().stream()
                .filter(each -> scene.belongsIn(each) == belongsIn)
                .sorted()
                .skip(which)
                .findFirst()
                .orElseThrow();
    }

    /** Whether a misuse is so now, by what is so and not by how it came about. */
    public boolean isThere(Truth truth, Misuse misuse) {
        Row row = of(misuse);
        return switch (row.by()) {
            case NONE -> false;
            case MARK -> truth.marks().contains(misuse);
            case ANSWER -> {
                String[] parts = row.what().split("=");
                Question question = Question.valueOf(parts[0]);
                yield scene.has(question) && truth.answer(question).equals(parts[1]);
            }
            case NUMBER -> isPossible(misuse) && isNumberOff(truth, misuse);
        };
    }

    private boolean isNumberOff(Truth truth, Misuse misuse) {
        Straps straps = truth.straps();
        Threading slots = truth.threading();
        int right = scene.rightSlot();
        return switch (misuse) {
            case WRONG_WEIGHT ->
                scene.seat()
                        .weightMax()
                        .value()
                        .filter(most -> truth.child().grams() > most.grams())
                        .isPresent();
            case WRONG_LENGTH ->
                scene.seat()
                        .lengthMax()
                        .value()
                        .flatMap(LengthLimit::max)
                        .filter(most -> truth.child().lengthMm() > most.millimetres())
                        .isPresent();
            case EXPIRED -> truth.madeYear() <= scene.today().getYear() - LONG_AGO_YEARS;
            case WRONG_BASE -> truth.baseModel().equals(OTHER_BASE);
            case INSERT_LEFT_IN -> truth.insert().get(piece(false, 0));
            case INSERT_PIECE_LEFT -> truth.insert().get(piece(false, 1));
            case INSERT_LEFT_OUT -> Boolean.FALSE.equals(truth.insert().get(piece(true, 0)));
            case SLOT_ABOVE -> slots.isAlike() && slots.leftShell() > right;
            case SLOT_FAR_BELOW ->
                slots.isAlike()
                        && farBelow().filter(far -> slots.leftShell() <= far).isPresent();
            case SLOTS_UNEQUAL -> slots.leftShell() != slots.rightShell();
            case PAD_DIFFERS -> slots.leftShell() != slots.leftPad();
            case HARNESS_LOOSE -> straps.latched() && straps.isShoulderLoose();
            case HIP_SLACK -> straps.latched() && straps.isHipLoose();
            case HARNESS_TOO_TIGHT -> straps.isTooTight();
            case TONGUE_NOT_LATCHED -> !straps.latched();
            case CLIP_OPEN -> !straps.clipClosed();
            case CLIP_LOW -> straps.clipClosed() && !straps.isClipAtArmpits() && straps.clipMm() < 0;
            case CLIP_HIGH -> straps.clipClosed() && !straps.isClipAtArmpits() && straps.clipMm() > 0;
            case HANDLE_WRONG -> truth.handle() != HandlePosition.UP;
            case TOUCHES_FRONT_SEAT -> truth.gapMm() == 0;
            case BASE_LOOSE -> truth.hold().movementMm() >= Truth.AN_INCH_MM;
            case BELT_NOT_LOCKED -> !truth.hold().locked();
            case TOO_UPRIGHT -> isOut(truth.hold(), false, EYE_TELLS_DEGREES);
            case TOO_RECLINED -> isOut(truth.hold(), true, EYE_TELLS_DEGREES);
            case LEVEL_ON_SLOPE -> !truth.answer(Question.GROUND).equals(GroundLevel.Answer.LEVEL.name());
            case TOWEL_WRONG_END -> truth.hold().rollMm() < 0;
            default -> throw new IllegalStateException("Nobody knows when a number is off: " + misuse);
        };
    }

    /** Every misuse of the catalogue that is so now. */
    public List<Misuse> there(Truth truth) {
        return Arrays.stream(Misuse.values())
                .filter(misuse -> isThere(truth, misuse))
                .toList();
    }

    /** What would find it out: every doing by which it shows. */
    public List<Doing> shownBy(Misuse misuse) {
        Row row = of(misuse);
        Area area = Misuses.of(misuse).area();
        if (row.by() == By.ANSWER) {
            Question question = Question.valueOf(row.what().split("=")[0]);
            Hand sense = Senses.of(question).sense();
            return List.of(
                    sense == Hand.LOOK ? Doing.of(Hand.LOOK, Senses.of(question).area()) : Doing.of(sense));
        }
        return switch (misuse) {
            case WRONG_WEIGHT -> List.of(Doing.of(Hand.WEIGH));
            case WRONG_LENGTH -> List.of(Doing.of(Hand.MEASURE, "LENGTH"));
            case EXPIRED, WRONG_BASE -> List.of(Doing.of(Hand.READ_LABEL));
            case HARNESS_LOOSE, HIP_SLACK, HARNESS_TOO_TIGHT, TONGUE_NOT_LATCHED -> List.of(Doing.of(Hand.PINCH));
            case CLIP_OPEN, CLIP_LOW, CLIP_HIGH -> List.of(Doing.of(Hand.LOOK, Area.HARNESS));
            case BASE_LOOSE -> List.of(Doing.of(Hand.TUG, "BELT_PATH"));
            case BELT_NOT_LOCKED -> List.of(Doing.of(Hand.PULL_BELT));
            case TOO_UPRIGHT, TOO_RECLINED -> List.of(Doing.of(Hand.LEVEL, "DOOR"));
            default -> List.of(Doing.of(Hand.LOOK, area));
        };
    }

    /** Faults that can be there together: no two are put right by the same check. */
    public List<Misuse> draw(int most, Random random) {
        List<Misuse> all = new ArrayList<>(possible());
        Collections.shuffle(all, random);
        Set<Conclusion> taken = new LinkedHashSet<>();
        List<Misuse> drawn = new ArrayList<>();
        for (Misuse misuse : all) {
            if (drawn.size() < most && taken.add(Misuses.of(misuse).putRightBy())) {
                drawn.add(misuse);
            }
        }
        Collections.sort(drawn);
        return drawn;
    }
}
