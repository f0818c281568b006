package app.layette.core.rules;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.finding.RuleCode;
import app.layette.core.rule.Conclusion;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class RuleCoverageTest {
    @Test
    void everyRuleOfTheGateHasItsRows() {
        Set<RuleCode> tested = Stream.of(
                        ConditionRulesTest.cases(),
                        SuitRulesTest.cases(),
                        CabinRulesTest.cases(),
                        LevelRulesTest.cases(),
                        SecuringRulesTest.cases(),
                        ReclineRulesTest.cases(),
                        HarnessRulesTest.cases())
                .flatMap(each -> each)
                .map(RuleCase::code)
                .collect(Collectors.toSet());
        ChildAndHarnessTest.rows().map(ChildAndHarnessTest.Row::rule).forEach(tested::add);
        DecisionTest.decisions().map(DecisionTest.Decision::rule).forEach(tested::add);
        Set<RuleCode> required =
                Conclusion.values().stream().map(Conclusion::code).collect(Collectors.toSet());
        assertThat(tested).containsAll(required);
    }
}
