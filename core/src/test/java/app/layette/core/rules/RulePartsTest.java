package app.layette.core.rules;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleByEye;
import app.layette.core.rule.Rules;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A rule receives the part of the situation that it judges: what it is not given it cannot look at. */
class RulePartsTest {
    private static final List<Class<? extends Rule>> PARTS =
            List.of(Rule.OfPapers.class, Rule.OfChild.class, Rule.OfRestraint.class, Rule.OfPlace.class);

    private static Stream<Rule> of(Class<?> part) {
        return Rules.all().stream().filter(part::isInstance);
    }

    /** Those ask about other places than the chosen one, about other people's entries, or for what the planner advises. */
    @Test
    void fewReceiveTheWhole() {
        assertThat(Rules.all())
                .filteredOn(rule -> PARTS.stream().noneMatch(part -> part.isInstance(rule)))
                .extracting(rule -> rule.getClass().getSimpleName())
                .containsExactlyInAnyOrder(
                        "FrontRowLast", "TwoPlacesBeside", "LevelWithChild", "WholeFitting", "SignedFor");
    }

    @Test
    void noRuleReceivesTwoParts() {
        assertThat(Rules.all())
                .allMatch(rule ->
                        PARTS.stream().filter(part -> part.isInstance(rule)).count() <= 1);
    }

    @Test
    void eachPartIsJudged() {
        assertThat(PARTS).allSatisfy(part -> assertThat(of(part)).hasSizeGreaterThan(2));
    }

    /** An eye sees the restraint where it stands. */
    @Test
    void whatIsDecidedByEyeIsOfThePlace() {
        assertThat(of(RuleByEye.class)).isNotEmpty().allMatch(Rule.OfPlace.class::isInstance);
    }

    /** An answer that weighs nothing alone is judged by its rule; nothing else would say what it comes to. */
    @Test
    void whatIsLeftToARuleByEyeIsJudgedByIt() {
        assertThat(of(RuleByEye.class)
                        .filter(rule -> rule.card().asked().get(0).answers().values().stream()
                                .anyMatch(Optional::isEmpty)))
                .isNotEmpty()
                .allSatisfy(rule -> assertThat(whoJudges(rule.getClass())).isNotEqualTo(RuleByEye.class));
    }

    private static Class<?> whoJudges(Class<?> rule) {
        boolean here = Stream.of(rule.getDeclaredMethods())
                .anyMatch(each -> each.getName().equals("further"));
        return here ? rule : whoJudges(rule.getSuperclass());
    }
}
