package app.layette.core.run;

import app.layette.core.condition.BaseFitsCarrier;
import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Fact.Part;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.TeachItem;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.gate.ConclusionState;
import app.layette.core.gate.Gate;
import app.layette.core.harness.HarnessAnswers;
import app.layette.core.harness.ShoulderAndSlots;
import app.layette.core.recline.RollAllowed;
import app.layette.core.rule.Conclusion;
import app.layette.core.run.Ask.Kind;
import app.layette.core.seat.BaseFit;
import app.layette.core.seat.Harness;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.LegUse;
import app.layette.core.seat.SeatSheet;
import app.layette.core.secure.BeltRules;
import app.layette.core.secure.LockTable;
import app.layette.core.secure.PartsInUse;
import app.layette.core.suit.FeetPastEnd;
import app.layette.core.suit.ScreeningDone;
import app.layette.core.vehicle.Belt;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** What each step asks in this situation. Nothing is asked that cannot change a finding. */
final class StepAsks {
    private final Situation situation;
    private final Gate gate;

    StepAsks(Situation situation, Gate gate) {
        this.situation = situation;
        this.gate = gate;
    }

    List<Ask> of(StepKey step) {
        List<Ask> asks = new ArrayList<>(looks(step));
        asks.addAll(PageAsks.of(step, situation, gate));
        return asks;
    }

    private List<Ask> looks(StepKey step) {
        return switch (step) {
            case CHILD -> child();
            case LABEL -> label();
            case HISTORY_STEP -> history();
            case PARTS_STEP -> questions(Question.PARTS, Question.MANUALS);
            case FITS -> fits();
            case INSERT_STEP -> insert();
            case SHOULDER ->
                List.of(
                        new Ask(
                                Kind.SHOULDER,
                                "",
                                ShoulderAndSlots.in(situation).isPresent() && isSettled(Conclusion.SLOT_IN_REACH)),
                        new Ask(Kind.HEAD_ROOM, "", isLooked(Conclusion.HEAD_ROOM)));
            case THREAD -> thread();
            case PLACE ->
                List.of(
                        new Ask(Kind.PLACE, "", situation.placed().isPresent() && isPlaceSettled()),
                        Ask.offered(
                                Kind.QUESTION,
                                Question.REACH.name(),
                                situation.answer(Question.REACH).isPresent()));
            case GROUND -> List.of(new Ask(Kind.GROUND, "", isLooked(Conclusion.LEVEL_GROUND)));
            case PREPARE -> List.of(act(Act.PREPARED));
            case DEVICE -> device();
            case HOOK -> questions(Question.ANCHORS_HOOKED);
            case ROUTE_BELT -> routeBelt();
            case TIGHTEN -> tighten();
            case INCH -> List.of(new Ask(Kind.MOVEMENT, "", isLooked(Conclusion.INCH_TEST)));
            case LEG_AND_WINDOWS -> legAndWindows();
            case HARNESS -> harness();
            case CARRIER_ON -> carrierOn();
            case LEVEL_CHILD -> List.of(new Ask(Kind.LEVEL, Stage.CHILD.name(), isLooked(Conclusion.LEVEL)));
            case HANDLE_AND_GAP -> handleAndGap();
            case TEACH -> teach();
            case HAND_OVER -> handOver();
        };
    }

    private List<Ask> child() {
        List<Ask> asks = new ArrayList<>();
        asks.add(new Ask(Kind.CHILD, "", situation.child().isPresent()));
        asks.add(question(Question.CONDITION, Conclusion.SCREENING));
        asks.add(new Ask(Kind.ORDER, "", situation.newest(Fact.Ordered.class).isPresent()));
        if (situation.child().isPresent() && ScreeningDone.isAsked(situation)) {
            asks.add(new Ask(
                    Kind.SCREENING, "", situation.newest(Fact.Screened.class).isPresent()));
        }
        return asks;
    }

    private List<Ask> label() {
        List<Ask> asks = new ArrayList<>();
        if (situation.isQuickSeat()) {
            asks.add(new Ask(Kind.QUICK_SEAT, "", situation.seat().isPresent()));
        }
        situation
                .pendingVersions()
                .forEach(newer -> asks.add(new Ask(Kind.NEWER_SHEET, newer.id() + ":" + newer.version(), false)));
        for (Part part : Part.values()) {
            if (part == Part.BASE && !situation.usualMethod().isOnBase()) {
                continue;
            }
            asks.add(new Ask(Kind.LABEL, part.name(), situation.label(part).isPresent()));
        }
        asks.add(question(Question.APPROVAL, Conclusion.APPROVAL));
        boolean setUp = BaseFitsCarrier.fitting(situation).map(BaseFit::setUp).isPresent();
        if (setUp) {
            asks.add(question(Question.BASE_SET_UP, Conclusion.BASE_FITS_CARRIER));
        }
        return asks;
    }

    private List<Ask> history() {
        List<Ask> asks = new ArrayList<>(questions(Question.HISTORY, Question.CRASH, Question.RECALL));
        asks.add(Ask.offered(
                Kind.QUESTION,
                Question.REGISTRATION.name(),
                situation.answer(Question.REGISTRATION).isPresent()));
        return asks;
    }

    private List<Ask> fits() {
        List<Ask> asks = new ArrayList<>();
        asks.add(new Ask(Kind.WEIGHT, "", situation.weight().isPresent() && isGood(Conclusion.WEIGHT)));
        asks.add(new Ask(Kind.LENGTH, "", situation.measured(Dimension.BODY).isPresent()));
        if (isRequired(Conclusion.FEET) && FeetPastEnd.isAsked(situation)) {
            asks.add(question(Question.FEET, Conclusion.FEET));
        }
        if (isRequired(Conclusion.LIFTING)) {
            asks.add(Ask.offered(
                    Kind.QUESTION,
                    Question.LIFTING.name(),
                    situation.answer(Question.LIFTING).isPresent()));
        }
        return asks;
    }

    private List<Ask> insert() {
        List<InsertPiece> pieces =
                situation.seat().map(SeatSheet::insert).flatMap(Evidence::value).orElse(List.of());
        return pieces.stream()
                .map(piece -> new Ask(
                        Kind.INSERT, piece.key(), situation.insert(piece).isPresent() && isSettled(Conclusion.INSERT)))
                .toList();
    }

    private List<Ask> thread() {
        List<Ask> asks = new ArrayList<>(List.of(
                new Ask(
                        Kind.SLOTS,
                        "",
                        situation.newest(Fact.SlotsSet.class).isPresent() && isSettled(Conclusion.SLOT)),
                new Ask(
                        Kind.CROTCH,
                        "",
                        situation.newest(Fact.CrotchSet.class).isPresent() && isSettled(Conclusion.CROTCH)),
                question(Question.WEBBING, Conclusion.WEBBING),
                question(Question.SNUG_SHORTEST, Conclusion.SNUG_AT_SHORTEST)));
        if (HarnessAnswers.COVERS.isThereIn(situation)) {
            asks.add(question(Question.COVERS, Conclusion.COVERS));
        }
        return asks;
    }

    private List<Ask> device() {
        List<Ask> asks = new ArrayList<>();
        boolean hasSteps = situation
                .seat()
                .flatMap(seat -> seat.recline().device().value())
                .map(device -> !device.steps().isEmpty())
                .orElse(false);
        if (hasSteps) {
            asks.add(new Ask(
                    Kind.DEVICE, "", situation.newest(Fact.DeviceSet.class).isPresent()));
        }
        boolean byRoll = !hasSteps;
        if (!byRoll) {
            asks.add(look(Stage.PRESSED));
        }
        boolean rollMayBe = Stream.of(Fact.RollKind.TOWEL, Fact.RollKind.NOODLE, Fact.RollKind.NOODLE_TRIANGLE)
                .anyMatch(kind -> RollAllowed.permission(situation, kind) != Permission.NOT_ALLOWED);
        boolean placed = situation.newest(Fact.RollPlaced.class).isPresent();
        if (rollMayBe) {
            // Without a device the roll is how the angle is set.
            asks.add(byRoll ? new Ask(Kind.ROLL, "", placed) : Ask.offered(Kind.ROLL, "", placed));
        }
        if (byRoll) {
            asks.add(look(Stage.PRESSED));
        }
        return asks;
    }

    /** A look before the child is in: it checks nothing and sharpens the advice. */
    private Ask look(Stage stage) {
        return Ask.offered(
                Kind.LEVEL,
                stage.name(),
                situation
                        .level(stage)
                        .filter(level -> level.seq() > situation.lastDeviceChange())
                        .isPresent());
    }

    private List<Ask> carrierOn() {
        List<Ask> asks =
                new ArrayList<>(List.of(act(Act.CARRIER_ON), question(Question.CLICK, Conclusion.CLICK_AND_LIFT)));
        if (PartsInUse.TURNED_BACK.isThereIn(situation)) {
            asks.add(question(Question.TURNED_BACK, Conclusion.TURNED_BACK));
        }
        return asks;
    }

    private List<Ask> handleAndGap() {
        List<Ask> asks = new ArrayList<>();
        if (isRequired(Conclusion.HANDLE)) {
            asks.add(new Ask(Kind.HANDLE, "", isLooked(Conclusion.HANDLE)));
        }
        if (isRequired(Conclusion.GAP)) {
            asks.add(new Ask(Kind.GAP, "", isLooked(Conclusion.GAP)));
        }
        return asks;
    }

    private boolean isRequired(Conclusion conclusion) {
        return gate.state(conclusion).isPresent();
    }

    private List<Ask> routeBelt() {
        List<Ask> asks = new ArrayList<>();
        boolean lockOff = BeltRules.lock(situation)
                .map(lock -> lock == LockTable.Lock.LOCK_OFF)
                .orElse(false);
        boolean sheetSays = situation
                .position()
                .map(position -> position.belt().retractor().value().isPresent())
                .orElse(false);
        if (!sheetSays && !lockOff) {
            asks.add(question(Question.RETRACTOR, Conclusion.BELT_LOCKS));
        }
        boolean plateDecides = BeltRules.retractor(situation)
                        .filter(each -> each == Belt.Retractor.EMERGENCY_ONLY)
                        .isPresent()
                && !lockOff;
        boolean plateOnSheet = situation
                .position()
                .map(position -> position.belt().latchPlate().value().isPresent())
                .orElse(false);
        if (plateDecides && !plateOnSheet) {
            asks.add(question(Question.LATCH_PLATE, Conclusion.BELT_LOCKS));
        }
        asks.add(question(Question.BELT_ROUTE, Conclusion.BELT_PATH));
        asks.add(question(Question.BUCKLE, Conclusion.BUCKLE));
        return asks;
    }

    private List<Ask> tighten() {
        List<Ask> asks = new ArrayList<>(List.of(act(Act.TIGHTENED)));
        if (situation.method().map(Method::isByBelt).orElse(false)) {
            boolean lockOff = situation
                    .seat()
                    .flatMap(seat -> seat.lockOffs().value())
                    .map(list -> !list.isEmpty())
                    .orElse(false);
            if (lockOff && isRequired(Conclusion.LOCK_OFF)) {
                asks.add(question(Question.LOCK_OFF, Conclusion.LOCK_OFF));
            }
            asks.add(question(Question.LOCK_PROOF, Conclusion.LOCK_PROOF));
            if (PartsInUse.PANEL.isThereIn(situation) && isRequired(Conclusion.PANEL)) {
                asks.add(question(Question.PANEL, Conclusion.PANEL));
            }
            if (PartsInUse.END_STRAPS.isThereIn(situation)) {
                asks.add(question(Question.END_STRAPS, Conclusion.END_STRAPS));
            }
        } else if (gate.state(Conclusion.STRAP).isPresent()) {
            asks.add(question(Question.STRAP, Conclusion.STRAP));
        }
        if (isRequired(Conclusion.LEVEL) && !situation.usualMethod().isBaseless()) {
            asks.add(look(Stage.TIGHT));
        }
        if (isRequired(Conclusion.SITS_WHOLE)) {
            asks.add(question(Question.SITS_WHOLE, Conclusion.SITS_WHOLE));
        }
        if (isRequired(Conclusion.ONE_SYSTEM)) {
            asks.add(question(Question.SYSTEMS, Conclusion.ONE_SYSTEM));
        }
        return asks;
    }

    private List<Ask> legAndWindows() {
        List<Ask> asks = new ArrayList<>();
        boolean leg = situation
                .seat()
                .flatMap(seat -> seat.leg().value())
                .map(use -> use != LegUse.NO_LEG)
                .orElse(false);
        if (leg && isRequired(Conclusion.FLOOR_AND_LEG)) {
            asks.add(question(Question.LEG, Conclusion.FLOOR_AND_LEG));
        }
        boolean windows = situation
                .seat()
                .flatMap(seat -> seat.windows().value())
                .map(list -> !list.isEmpty())
                .orElse(false);
        if (windows && isRequired(Conclusion.WINDOWS)) {
            asks.add(question(Question.WINDOWS, Conclusion.WINDOWS));
        }
        if (PartsInUse.SIDE_ELEMENT.isThereIn(situation) && isRequired(Conclusion.SIDE_ELEMENT)) {
            asks.add(question(Question.SIDE_ELEMENT, Conclusion.SIDE_ELEMENT));
        }
        return asks;
    }

    private List<Ask> harness() {
        List<Ask> asks = new ArrayList<>();
        asks.add(question(Question.CLOTHING, Conclusion.CLOTHING));
        if (isThick()) {
            asks.add(Ask.offered(
                    Kind.LAYER, "", situation.newest(Fact.LayerSeen.class).isPresent()));
        }
        asks.add(question(Question.SNUG, Conclusion.SNUG_TEST));
        boolean statedNone = situation
                .seat()
                .map(SeatSheet::harness)
                .map(Harness::clip)
                .flatMap(Evidence::value)
                .map(has -> !has)
                .orElse(false);
        if (!statedNone) {
            asks.add(question(Question.CLIP, Conclusion.CLIP));
        }
        if (isRequired(Conclusion.LIES_FLAT)) {
            asks.add(question(Question.LIES_FLAT, Conclusion.LIES_FLAT));
        }
        asks.add(question(Question.SUPPORT, Conclusion.SUPPORT));
        return asks;
    }

    private boolean isThick() {
        return situation
                .answer(Question.CLOTHING)
                .filter(answer -> !answer.value().equals("THIN"))
                .isPresent();
    }

    private List<Ask> teach() {
        List<Ask> asks = new ArrayList<>();
        for (TeachItem item : TeachItem.values()) {
            boolean here = situation.isBedside() ? item.isAtBedside() : item.isPartOf(situation.usualMethod());
            if (!here) {
                continue;
            }
            asks.add(new Ask(
                    Kind.TEACH,
                    item.name(),
                    situation
                            .newest(Fact.Taught.class, fact -> fact.item() == item)
                            .isPresent()));
        }
        return asks;
    }

    private List<Ask> handOver() {
        List<Ask> asks = new ArrayList<>();
        asks.add(question(Question.CAUTIONS, Conclusion.CAUTIONS));
        boolean traineeWorked =
                situation.everything().stream().anyMatch(entry -> entry.by().isTrainee());
        if (traineeWorked) {
            asks.add(new Ask(Kind.COUNTERSIGN, "", isGood(Conclusion.SIGNED_FOR)));
        }
        asks.add(Ask.offered(
                Kind.INITIALS, "", situation.newest(Fact.CaregiverSigned.class).isPresent()));
        asks.add(new Ask(Kind.END, "", situation.ended().isPresent()));
        return asks;
    }

    private boolean isPlaceSettled() {
        return isSettled(Conclusion.AIRBAG)
                && isSettled(Conclusion.VEHICLE_SEAT)
                && isSettled(Conclusion.OWN_ANCHORS)
                && isSettled(Conclusion.ANCHOR_LIMIT)
                && isSettled(Conclusion.BELT_LOCKS);
    }

    private List<Ask> questions(Question... questions) {
        List<Ask> asks = new ArrayList<>();
        for (Question question : questions) {
            asks.add(new Ask(
                    Kind.QUESTION, question.name(), situation.answer(question).isPresent() && isSettled(question)));
        }
        return asks;
    }

    private Ask question(Question question, Conclusion serves) {
        return new Ask(
                Kind.QUESTION, question.name(), situation.answer(question).isPresent() && isSettled(serves));
    }

    private Ask act(Act act) {
        return new Ask(
                Kind.ACT,
                act.name(),
                situation.newest(Fact.Acted.class, fact -> fact.act() == act).isPresent());
    }

    /** Neither spoiled since nor to be put right: a look that failed asks for the next look. */
    private boolean isSettled(Question question) {
        return gate.conclusions().stream()
                .filter(each -> each.conclusion().code() == question.rule())
                .allMatch(StepAsks::isSettled);
    }

    private boolean isSettled(Conclusion conclusion) {
        return gate.state(conclusion).map(StepAsks::isSettled).orElse(true);
    }

    private static boolean isSettled(ConclusionState state) {
        return state.state() != ConclusionState.State.STALE && state.state() != ConclusionState.State.FAILED;
    }

    /** Looked at, and settled. */
    private boolean isLooked(Conclusion conclusion) {
        return gate.state(conclusion)
                .map(each -> isSettled(each) && each.state() != ConclusionState.State.OPEN)
                .orElse(false);
    }

    private boolean isGood(Conclusion conclusion) {
        return gate.state(conclusion).map(ConclusionState::passed).orElse(false);
    }
}
