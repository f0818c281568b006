package app.layette.core.run;

import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Permission;
import app.layette.core.recline.RollAllowed;
import app.layette.core.rule.Conclusion;
import app.layette.core.run.Ask.Kind;
import app.layette.core.seat.LegUse;
import app.layette.core.secure.BeltRules;
import app.layette.core.secure.LockTable;
import app.layette.core.secure.PartsInUse;
import app.layette.core.vehicle.Belt;
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

    List<Ask> device() {
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
        boolean lockOff = BeltRules.lock(situation)
                .map(lock -> lock == LockTable.Lock.LOCK_OFF)
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
        return asks;
    }

    List<Ask> tighten() {
        List<Ask> asks = new ArrayList<>(List.of(looks.act(Act.TIGHTENED)));
        if (situation.method().map(Method::isByBelt).orElse(false)) {
            boolean lockOff = situation
                    .seat()
                    .flatMap(seat -> seat.lockOffs().value())
                    .map(list -> !list.isEmpty())
                    .orElse(false);
            if (lockOff && looks.isRequired(Conclusion.LOCK_OFF)) {
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
        if (looks.isRequired(Conclusion.LEVEL) && !situation.usualMethod().isBaseless()) {
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
        if (PartsInUse.SIDE_ELEMENT.isThereIn(situation) && looks.isRequired(Conclusion.SIDE_ELEMENT)) {
            asks.add(looks.question(Question.SIDE_ELEMENT, Conclusion.SIDE_ELEMENT));
        }
        return asks;
    }
}
