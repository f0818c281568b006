package app.layette.core.rules;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fixture.FittingBuilder;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/**
 * One row of a rule table: a fitting in order, one thing changed, and the finding that must follow with its reason, its
 * weight and the values it used.
 */
record RuleCase(
        RuleCode code,
        String what,
        Consumer<FittingBuilder> change,
        Weight weight,
        String reason,
        Map<String, Argument> arguments) {

    /** Names and values of the arguments in turn. */
    static RuleCase row(
            String code,
            String what,
            Consumer<FittingBuilder> change,
            Weight weight,
            String reason,
            Object... arguments) {
        Map<String, Argument> expected = new LinkedHashMap<>();
        for (int i = 0; i < arguments.length; i += 2) {
            expected.put((String) arguments[i], Argument.of(arguments[i + 1]));
        }
        return new RuleCase(RuleCode.of(code), what, change, weight, reason, expected);
    }

    /** A plan has this finding with this weight, and its gate is as the weight says. */
    static void expect(FittingPlan plan, RuleCode rule, String reason, Weight weight, Object row) {
        assertThat(plan.findings())
                .filteredOn(
                        finding -> finding.code() == rule && finding.reason().equals(reason))
                .as("%s among %s", row, plan.findings())
                .isNotEmpty()
                .extracting(Finding::weight)
                .containsOnly(weight);
        assertThat(plan.mayHandOver())
                .as("the gate after %s: %s", row, plan.gate().blocking())
                .isEqualTo(!weight.blocks());
    }

    void check() {
        List<Finding> findings = FittingBuilder.ready().with(change).plan().findings();
        Finding found = findings.stream()
                .filter(finding -> finding.code() == code && finding.reason().equals(reason))
                .findFirst()
                .orElseThrow(() -> new AssertionError(this + " is not among " + findings));
        assertThat(found.weight()).as("weight of %s", this).isEqualTo(weight);
        assertThat(found.arguments()).as("arguments of %s", this).containsAllEntriesOf(arguments);
        boolean mayPass = !weight.blocks();
        assertThat(FittingBuilder.ready().with(change).plan().mayHandOver())
                .as("the gate after %s", this)
                .isEqualTo(mayPass);
    }

    @Override
    public String toString() {
        return code + " " + what;
    }
}
