package app.layette.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Speaker;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.gate.ConclusionState;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rules;
import app.layette.core.step.Ask;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A permission that nobody looked up is asked for where it is missing, and the page that was read there settles it. */
class PageAsksTest {
    /** A permission is asked for at a step, and stays in sight there once its page was read. */
    @ParameterizedTest
    @EnumSource(value = PermissionKey.class, names = "HANDLE_POSITION", mode = EnumSource.Mode.EXCLUDE)
    void everyPermissionHasItsStep(PermissionKey permission) {
        assertThat(Rules.stepOf(permission)).isPresent();
    }

    /** What a page or a look can fill is asked for somewhere too. */
    @ParameterizedTest
    @EnumSource(SheetValue.class)
    void everyValueHasItsStep(SheetValue value) {
        assertThat(Rules.stepOf(value)).isPresent();
    }

    @ParameterizedTest
    @EnumSource(Fact.Quantity.class)
    void everyQuantityHasItsStep(Fact.Quantity quantity) {
        assertThat(Rules.stepOf(quantity)).isPresent();
    }

    private static FittingBuilder unlooked(Method method, PermissionKey permission) {
        FittingBuilder fitting = FittingBuilder.ready(method);
        fitting.seat.permissions.put(permission, Evidence.notLooked());
        fitting.car.permissions.put(permission, Evidence.notLooked());
        return fitting;
    }

    private static List<String> asked(FittingPlan plan) {
        List<String> keys = new ArrayList<>();
        plan.run()
                .steps()
                .forEach(step -> step.asks().stream()
                        .filter(ask -> ask.kind() == Ask.Kind.PAGE && !ask.answered())
                        .forEach(ask -> keys.add(ask.key())));
        return keys;
    }

    private static List<Conclusion> notKnown(FittingPlan plan, PermissionKey permission) {
        return plan.gate().conclusions().stream()
                .filter(state -> state.state() == ConclusionState.State.NOT_KNOWN)
                .filter(state -> state.findings().stream()
                        .anyMatch(finding -> finding.pages().contains(permission)))
                .map(ConclusionState::conclusion)
                .toList();
    }

    @Test
    void whatNobodyLookedUpIsAskedForAndThePageSettlesIt() {
        Set<PermissionKey> seen = new TreeSet<>();
        for (Method method : Method.values()) {
            for (PermissionKey permission : PermissionKey.values()) {
                FittingBuilder fitting = unlooked(method, permission);
                List<Conclusion> missing = notKnown(fitting.plan(), permission);
                if (missing.isEmpty()) {
                    continue;
                }
                seen.add(permission);
                List<String> asked = asked(fitting.plan()).stream()
                        .filter(key -> key.startsWith("PERMISSION:" + permission + ":"))
                        .toList();
                assertThat(asked)
                        .as("%s by %s is asked for", permission, method)
                        .isNotEmpty();
                for (String key : asked) {
                    fitting.add(
                            new How(How.Kind.MANUAL, "12"),
                            new Fact.PermissionRead(
                                    UnitId.FIRST,
                                    permission,
                                    Speaker.valueOf(key.substring(key.lastIndexOf(':') + 1)),
                                    Fact.PageSays.ALLOWED));
                }
                assertThat(notKnown(fitting.plan(), permission))
                        .as("%s by %s is settled by its page", permission, method)
                        .isEmpty();
                assertThat(asked(fitting.plan()))
                        .as("nor asked for again")
                        .noneMatch(key -> key.startsWith("PERMISSION:" + permission + ":"));
            }
        }
        assertThat(seen)
                .as("what a ready fitting rests on")
                .contains(
                        PermissionKey.AMERICAN_ROUTING,
                        PermissionKey.EUROPEAN_ROUTING,
                        PermissionKey.CARRIER_WITHOUT_BASE,
                        PermissionKey.LAY_FLAT_POSITION);
    }
}
