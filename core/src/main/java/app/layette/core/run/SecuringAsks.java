package app.layette.core.run;

import app.layette.core.cabin.FrontRowLast;
import app.layette.core.cabin.PlaceRules;
import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Permission;
import app.layette.core.recline.LevelWithChild;
import app.layette.core.recline.RollAllowed;
import app.layette.core.rule.Conclusion;
import app.layette.core.run.Ask.Kind;
import app.layette.core.seat.LegUse;
import app.layette.core.secure.BeltRules;
import app.layette.core.secure.LockOffs;
import app.layette.core.secure.LockTable;
import app.layette.core.secure.PartsInUse;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.PositionId;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** What is asked while it is secured: device, belt or anchors, leg and indicators. */
final class SecuringAsks {
    private final Situation situation;
    private final Looks looks;

    SecuringAsks(Looks looks) {
        this.situation = looks.situation();
        this.looks = looks;
    }

    /** What somebody must see before a place can be judged comes with it; whom it suits is asked before. */
    List<Ask> place(Ask place) {
        List<Ask> asks = new ArrayList<>();
        asks.add(Ask.offered(
                Kind.QUESTION,
                Question.REACH.name(),
                situation.answer(Question.REACH).isPresent()));
        asks.add(place);
        if (PlaceRules.isLampAsked(situation)) {
            asks.add(looks.question(Question.AIRBAG_LAMP, Conclusion.AIRBAG));
        }
        if (FrontRowLast.isAsked(situation)) {
            asks.add(looks.question(Question.BACK_ROW, Conclusion.FRONT_ROW));
        }
        return asks;
    }

    List<Ask> turnBack() {
        return PartsInUse.TURNED_BACK.isThereIn(situation) && looks.isRequired(Conclusion.TURNED_BACK)
                ? List.of(looks.question(Question.TURNED_BACK, Conclusion.TURNED_BACK))
                : List.of();
    }

    List<Ask> levelWithChild() {
        List<Ask> asks = new ArrayList<>();
        asks.add(new Ask(
                Kind.LEVEL,
                Stage.CHILD.name(),
                situation
                        .level(Stage.CHILD)
                        .filter(level -> looks.isSettledBy(Conclusion.LEVEL, level))
                        .isPresent()));
        if (LevelWithChild.areSidesAsked(situation)
                || situation.answer(Question.SIDES).isPresent()) {
            asks.add(new Ask(
                    Kind.QUESTION,
                    Question.SIDES.name(),
                    situation
                            .answer(Question.SIDES)
                            .filter(sides -> looks.isSettledBy(Conclusion.LEVEL, sides))
                            .isPresent()));
        }
        return asks;
    }

    List<Ask> device() {
        List<Ask> asks = new ArrayList<>();
        if (situation.usualMethod().isBaseless() || !situation.usualMethod().isReclined()) {
            // Nothing is set here; a roll that lies there has to come out.
            boolean lies = situation
                    .newest(Fact.RollPlaced.class)
                    .filter(roll -> roll.value().roll() != Fact.RollKind.NONE)
                    .isPresent();
            return lies ? List.of(new Ask(Kind.ROLL, "", false)) : List.of();
        }
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
            asks.add(looks.look(Stage.PRESSED));
        }
        boolean rollMayBe = Stream.of(Fact.RollKind.TOWEL, Fact.RollKind.NOODLE, Fact.RollKind.NOODLE_TRIANGLE)
                .anyMatch(kind -> RollAllowed.permission(situation, kind) != Permission.NOT_ALLOWED);
        boolean placed = situation.newest(Fact.RollPlaced.class).isPresent();
        if (rollMayBe) {
            // Without a device the roll is how the angle is set.
            asks.add(byRoll ? new Ask(Kind.ROLL, "", placed) : Ask.offered(Kind.ROLL, "", placed));
        }
        if (byRoll) {
            asks.add(looks.look(Stage.PRESSED));
        }
        return asks;
    }

    List<Ask> routeBelt() {
        List<Ask> asks = new ArrayList<>();
        if (situation.usualMethod().isBaseless()) {
            // A rough look before the belt: a rounded shell is trimmed by rocking, and later it means starting over.
            asks.add(looks.look(Stage.LOOSE));
        }
        boolean lockOff = BeltRules.lock(situation)
                .map(lock -> lock == LockTable.Lock.LOCK_OFF || lock == LockTable.Lock.TENSION_PANEL)
                .orElse(false);
        boolean sheetSays = situation
                .position()
                .map(position -> position.belt().retractor().value().isPresent())
                .orElse(false);
        if (!sheetSays && !lockOff) {
            asks.add(looks.question(Question.RETRACTOR, Conclusion.BELT_LOCKS));
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
            asks.add(looks.question(Question.LATCH_PLATE, Conclusion.BELT_LOCKS));
        }
        asks.add(looks.question(Question.BELT_ROUTE, Conclusion.BELT_PATH));
        asks.add(looks.question(Question.BUCKLE, Conclusion.BUCKLE));
        situation
                .placed()
                .map(placed -> placed.value().position().besides())
                .filter(second -> situation.usualMethod() == Method.LAY_FLAT)
                .ifPresent(second -> asks.addAll(atSecondPlace(second)));
        return asks;
    }

    /** Two belts have two buckles, and each is locked in its own way. */
    private List<Ask> atSecondPlace(PositionId second) {
        List<Ask> asks = new ArrayList<>();
        boolean retractorOnSheet = situation
                .car()
                .flatMap(car -> car.position(second))
                .filter(position -> position.belt().retractor().value().isPresent())
                .isPresent();
        if (!retractorOnSheet) {
            asks.add(atPlace(Question.RETRACTOR, second));
        }
        asks.add(atPlace(Question.BUCKLE, second));
        return asks;
    }

    private Ask atPlace(Question question, PositionId place) {
        return new Ask(
                Kind.QUESTION,
                question.name() + Ask.AT + place,
                situation.answerAt(question, place).isPresent());
    }

    List<Ask> tighten() {
        boolean rigid = situation
                .method()
                .filter(method -> method == Method.BASE_RIGID_LEG)
                .isPresent();
        List<Ask> asks = new ArrayList<>(List.of(looks.act(rigid ? Act.ARMS_WALKED_IN : Act.TIGHTENED)));
        if (situation.method().map(Method::isByBelt).orElse(false)) {
            if (LockOffs.isThereIn(situation) && looks.isRequired(Conclusion.LOCK_OFF)) {
                asks.add(looks.question(Question.LOCK_OFF, Conclusion.LOCK_OFF));
            }
            asks.add(looks.question(Question.LOCK_PROOF, Conclusion.LOCK_PROOF));
            if (PartsInUse.PANEL.isThereIn(situation) && looks.isRequired(Conclusion.PANEL)) {
                asks.add(looks.question(Question.PANEL, Conclusion.PANEL));
            }
            if (PartsInUse.END_STRAPS.isThereIn(situation)) {
                asks.add(looks.question(Question.END_STRAPS, Conclusion.END_STRAPS));
            }
        } else if (looks.isRequired(Conclusion.STRAP)) {
            asks.add(looks.question(Question.STRAP, Conclusion.STRAP));
        }
        if ((looks.isRequired(Conclusion.LEVEL) || looks.isRequired(Conclusion.LEVEL_TIGHT))
                && !situation.usualMethod().isBaseless()) {
            asks.add(looks.look(Stage.TIGHT));
        }
        if (looks.isRequired(Conclusion.SITS_WHOLE)) {
            asks.add(looks.question(Question.SITS_WHOLE, Conclusion.SITS_WHOLE));
        }
        if (looks.isRequired(Conclusion.ONE_SYSTEM)) {
            asks.add(looks.question(Question.SYSTEMS, Conclusion.ONE_SYSTEM));
        }
        return asks;
    }

    List<Ask> legAndWindows() {
        List<Ask> asks = new ArrayList<>();
        boolean leg = situation
                .seat()
                .flatMap(seat -> seat.leg().value())
                .map(use -> use != LegUse.NO_LEG)
                .orElse(false);
        if (leg && looks.isRequired(Conclusion.FLOOR_AND_LEG)) {
            asks.add(looks.question(Question.LEG, Conclusion.FLOOR_AND_LEG));
        }
        boolean windows = situation
                .seat()
                .flatMap(seat -> seat.windows().value())
                .map(list -> !list.isEmpty())
                .orElse(false);
        if (windows && looks.isRequired(Conclusion.WINDOWS)) {
            asks.add(looks.question(Question.WINDOWS, Conclusion.WINDOWS));
        }
        if (PartsInUse.REBOUND_BAR.isThereIn(situation) && looks.isRequired(Conclusion.REBOUND_BAR)) {
            asks.add(looks.question(Question.BAR, Conclusion.REBOUND_BAR));
        }
        if (PartsInUse.SIDE_ELEMENT.isThereIn(situation) && looks.isRequired(Conclusion.SIDE_ELEMENT)) {
            asks.add(looks.question(Question.SIDE_ELEMENT, Conclusion.SIDE_ELEMENT));
        }
        return asks;
    }
}
