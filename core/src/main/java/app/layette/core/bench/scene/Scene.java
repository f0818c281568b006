package app.layette.core.bench.scene;

import app.layette.core.bench.act.Senses;
import app.layette.core.bench.state.Hold;
import app.layette.core.bench.state.Straps;
import app.layette.core.bench.state.Threading;
import app.layette.core.bench.state.Truth;
import app.layette.core.bench.state.Truth.Doll;
import app.layette.core.bench.state.TruthParts;
import app.layette.core.cabin.OneSystem;
import app.layette.core.condition.BaseFitsCarrier;
import app.layette.core.entry.Asked;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.Sheets;
import app.layette.core.harness.NothingThickUnder;
import app.layette.core.harness.SupportBesideChild;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.cushion.Tightening;
import app.layette.core.rule.Rules;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.core.secure.BedEndStraps;
import app.layette.core.secure.LockOffClosed;
import app.layette.core.secure.TensionPanel;
import app.layette.core.trial.TrialBand;
import app.layette.core.trial.TrialCar;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition.Firmness;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/**
 * A family, a restraint and a car, all made up, out of a number: the same number gives the same again.
 *
 * @param seed the number
 * @param method by which it is to be fitted
 * @param place seating position
 * @param seat sheet of the restraint: what its papers say
 * @param car sheet of the car
 * @param today the day
 * @param bornDaysAgo age of the doll in days
 * @param truth what is so when it begins: nothing is fixed yet
 */
public record Scene(
        long seed,
        Method method,
        PositionId place,
        SeatSheet seat,
        VehicleSheet car,
        LocalDate today,
        int bornDaysAgo,
        Truth truth) {
    /** Not done yet: nobody who looks would call it wrong, nor right. */
    public static final String NOT_YET = "NOT_YET";

    private static final long MIX = 0x9E3779B97F4A7C15L;
    private static final double SLOT_TO_SHOULDER_MM = 8;

    /** The scene of a number, by one of the methods. */
    public static Scene of(long seed, Method method, LocalDate today) {
        Random random = random(seed, method);
        TrialBand band = band(random);
        TrialCar trial = TrialCar.random(band, 1, random);
        PositionId place = new PositionId(2, random.nextBoolean() ? Side.RIGHT : Side.LEFT);
        MadeUpSeat madeUp = new MadeUpSeat(method, band, random);
        boolean hasDevice = method.isReclined() && !method.isBaseless();
        List<Length> lifts = hasDevice ? trial.seat().lifts() : List.of(trial.usualLift(band));
        SeatSheet seat =
                madeUp.sheet(trial.seat().theta0(), trial.seat().contact(), hasDevice ? lifts : List.of(), place);
        Firmness firmness =
                trial.nominal() < 10 ? Firmness.SOFT : trial.nominal() < 20 ? Firmness.MEDIUM : Firmness.FIRM;
        VehicleSheet car = MadeUpCar.sheet(place, trial.sheetSlope(), firmness, random);
        Doll doll = doll(madeUp, random);
        Scene scene = new Scene(
                seed,
                method,
                place,
                seat,
                car,
                today,
                2 + random.nextInt(9),
                start(method, madeUp, seat, trial, lifts, doll, random));
        return scene;
    }

    private static Random random(long seed, Method method) {
        return new Random(seed * MIX + method.ordinal());
    }

    private static TrialBand band(Random random) {
        return random.nextInt(2) == 0 ? TrialBand.of(35, 45) : TrialBand.of(38, 45);
    }

    /** The band that the level has to lie in. */
    public TrialBand band() {
        return band(random(seed, method));
    }

    /** Its restraint and car as the recline comparison knows them, fresh. */
    public TrialCar trialCar() {
        Random random = random(seed, method);
        return TrialCar.random(band(random), 1, random);
    }

    private static Doll doll(MadeUpSeat seat, Random random) {
        int slot = 1 + random.nextInt(2);
        double shoulder = seat.slotHeight(slot) + SLOT_TO_SHOULDER_MM + 20 * random.nextDouble();
        return new Doll(
                2500 + 10 * random.nextInt(150),
                470 + 5 * random.nextInt(12),
                shoulder,
                shoulder + 115 + 15 * random.nextDouble());
    }

    private static Truth start(
            Method method,
            MadeUpSeat madeUp,
            SeatSheet sheet,
            TrialCar trial,
            List<Length> lifts,
            Doll doll,
            Random random) {
        Tightening tightening = trial.tightening();
        Map<Question, String> eye = new LinkedHashMap<>();
        for (Question question : inPlay(method, madeUp, sheet)) {
            eye.put(question, begins(question, method, random));
        }
        Map<String, Boolean> insert = new LinkedHashMap<>();
        insert.put(MadeUpSeat.BODY, random.nextInt(3) > 0);
        insert.put(MadeUpSeat.HEAD, random.nextInt(4) == 0);
        insert.put(MadeUpSeat.WEDGE, false);
        HandlePosition[] handles = HandlePosition.values();
        return TruthParts.builder()
                .eye(eye)
                .hold(Hold.setDown(tightening, trial.truth(), lifts, random.nextInt(lifts.size())))
                .straps(Straps.OPEN)
                .threading(Threading.through(1 + random.nextInt(madeUp.slots)))
                .crotch(1 + random.nextInt(2))
                .insert(insert)
                .handle(handles[random.nextInt(handles.length)])
                .gapMm(method.isReclined() ? 10 + 70 * random.nextDouble() : 80)
                .ground(Angle.ofDegrees(random.nextInt(4) == 0 ? 2 + 3 * random.nextDouble() : 0))
                .carrierModel(MadeUpSeat.MODEL)
                .baseModel(method.isOnBase() ? MadeUpSeat.BASE : "")
                .madeYear(2023 + random.nextInt(3))
                .child(doll)
                .marks(Set.of())
                .build();
    }

    /** The questions that an eye answers here. */
    private static Set<Question> inPlay(Method method, MadeUpSeat seat, SeatSheet sheet) {
        Set<Question> all = new LinkedHashSet<>(List.of(
                Question.CONDITION,
                Question.HISTORY,
                Question.CRASH,
                Question.RECALL,
                Question.REGISTRATION,
                Question.PARTS,
                Question.MANUALS,
                Question.APPROVAL,
                Question.SITS_WHOLE,
                Question.SUPPORT,
                Question.CLOTHING));
        add(all, method.kind() != SeatKind.CONVERTIBLE, Question.LIFTING);
        add(all, method.isThroughSlots(), Question.WEBBING, Question.SNUG_SHORTEST);
        add(all, seat.setUp, Question.BASE_SET_UP);
        add(all, method.staysInTheCar(), Question.SYSTEMS);
        add(all, !method.isByBelt(), Question.ANCHORS_HOOKED);
        add(all, method.isByAnchorStrap(), Question.STRAP);
        add(all, method.isByBelt(), Question.BELT_ROUTE, Question.BUCKLE);
        add(
                all,
                method.isByBelt() && !sheet.lockOffs().value().orElse(List.of()).isEmpty(),
                Question.LOCK_OFF);
        add(all, seat.panel, Question.PANEL);
        add(all, sheet.carBed().endStraps().value().orElse(false), Question.END_STRAPS);
        add(all, seat.leg, Question.LEG);
        add(all, !sheet.windows().value().orElse(List.of()).isEmpty(), Question.WINDOWS);
        add(all, seat.bar, Question.BAR);
        add(all, seat.side, Question.SIDE_ELEMENT);
        add(all, seat.turns, Question.TURNED_BACK);
        add(all, method.isOnBase(), Question.CLICK);
        add(all, !method.isReclined(), Question.LIES_FLAT);
        Rules.all().stream()
                .filter(rule -> rule.card().isRequiredBy(method))
                .flatMap(rule -> rule.asked().stream())
                .map(Asked::question)
                .filter(Senses.unplayed()::contains)
                .forEach(all::add);
        return all;
    }

    private static void add(Set<Question> all, boolean there, Question... questions) {
        if (there) {
            all.addAll(List.of(questions));
        }
    }

    private static String begins(Question question, Method method, Random random) {
        return switch (question.name()) {
            case "ANCHORS_HOOKED",
                    "STRAP",
                    "BELT_ROUTE",
                    "BUCKLE",
                    "LEG",
                    "WINDOWS",
                    "BAR",
                    "SIDE_ELEMENT",
                    "CLICK",
                    "LIES_FLAT",
                    "TURNED_BACK",
                    "SITS_WHOLE" -> NOT_YET;
            case "LOCK_OFF" -> LockOffClosed.Answer.OPEN.name();
            case "PANEL" -> TensionPanel.Answer.NOT_CLOSED.name();
            case "END_STRAPS" -> BedEndStraps.Answer.LOOSE.name();
            case "CLOTHING" ->
                random.nextInt(4) == 0
                        ? NothingThickUnder.Answer.COAT_UNDER_STRAPS.name()
                        : NothingThickUnder.Answer.THIN.name();
            case "SUPPORT" ->
                random.nextInt(6) == 0
                        ? SupportBesideChild.Answer.BEHIND_OR_UNDER.name()
                        : SupportBesideChild.Answer.NONE.name();
            case "BASE_SET_UP" ->
                random.nextBoolean() ? BaseFitsCarrier.Answer.OTHERWISE.name() : BaseFitsCarrier.Answer.AS_SHEET.name();
            default -> inOrder(question, method);
        };
    }

    /** The answer that is in order. */
    public static String inOrder(Question question, Method method) {
        return Senses.of(question)
                .inOrder()
                .orElseGet(() ->
                        (method.isByBelt() ? OneSystem.Answer.BELT_ALONE : OneSystem.Answer.ANCHORS_ALONE).name());
    }

    public String inOrder(Question question) {
        return inOrder(question, method);
    }

    /** Whether there is anything of the kind here. */
    public boolean has(Question question) {
        return switch (question.name()) {
            case "MOVEMENT", "SNUG", "CLIP" -> true;
            case "GAP", "GROUND" -> method.isReclined();
            case "LOCK_PROOF" -> method.isByBelt();
            default -> truth.eye().containsKey(question);
        };
    }

    /** The slot that the straps belong through: the highest at or below the shoulder (HAR-1). */
    public int rightSlot() {
        List<Length> heights = seat.shell().slots().value().orElse(List.of());
        int right = 0;
        for (Length height : heights) {
            right += height.millimetres() <= truth.child().shoulderMm() ? 1 : 0;
        }
        return Math.max(1, right);
    }

    public int slots() {
        return seat.shell().slots().value().orElse(List.of()).size();
    }

    /** Whether a device sets the angle. */
    public boolean hasDevice() {
        return truth.hold().lifts().size() > 1;
    }

    /** What the papers say, for the planner. */
    public Sheets sheets() {
        return new Sheets(List.of(seat), List.of(car));
    }

    /** The same with something else so. */
    public Scene beginning(Truth other) {
        return new Scene(seed, method, place, seat, car, today, bornDaysAgo, other);
    }

    /** Whether a piece of the insert belongs in for this doll. */
    public boolean belongsIn(String piece) {
        return piece.equals(MadeUpSeat.BODY);
    }
}
