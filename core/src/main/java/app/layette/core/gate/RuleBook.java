package app.layette.core.gate;

import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Rules;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** The rules that a gate asks, by the conclusion each gives: all of them, or others in a test. */
public final class RuleBook {
    private static final RuleBook SHIPPED = new RuleBook(Rules.all());

    private final Map<Conclusion, Rule> rules = new HashMap<>();

    /**
     * A book of these rules.
     *
     * @throws IllegalArgumentException when two rules give one conclusion
     */
    public RuleBook(Collection<Rule> rules) {
        for (Rule rule : rules) {
            if (this.rules.put(rule.conclusion(), rule) != null) {
                throw new IllegalArgumentException("Two rules give the conclusion " + rule.conclusion());
            }
        }
    }

    public static RuleBook shipped() {
        return SHIPPED;
    }

    public Optional<Rule> ruleFor(Conclusion conclusion) {
        return Optional.ofNullable(rules.get(conclusion));
    }
}
