package app.layette.core.run;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Permission;
import app.layette.core.recline.RollAllowed;
import app.layette.core.rule.Looks;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** What is asked where the angle is set (REC-4, REC-6): the device, a roll, and a look at what they came to. */
record DeviceAsks(Looks looks) {
    List<Ask> asks() {
        Situation situation = looks.situation();
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
            asks.add(looks.look(Fact.Stage.PRESSED));
        }
        boolean rollMayBe = Stream.of(Fact.RollKind.TOWEL, Fact.RollKind.NOODLE, Fact.RollKind.NOODLE_TRIANGLE)
                .anyMatch(kind -> RollAllowed.permission(situation, kind) != Permission.NOT_ALLOWED);
        boolean placed = situation.newest(Fact.RollPlaced.class).isPresent();
        if (rollMayBe) {
            // Without a device the roll is how the angle is set.
            asks.add(byRoll ? new Ask(Kind.ROLL, "", placed) : Ask.offered(Kind.ROLL, "", placed));
        }
        if (byRoll) {
            asks.add(looks.look(Fact.Stage.PRESSED));
        }
        return asks;
    }
}
