package app.layette.core.rule;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Fact;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetValue;
import app.layette.core.step.StepKey;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Every rule there is, in the order of the work: what its class says of itself, gathered. */
public final class Rules {
    private static final List<Rule> ALL = load();
    private static final Map<Conclusion, RuleCard> CARDS = cards();
    private static final List<Conclusion> CONCLUSIONS = List.copyOf(CARDS.keySet());
    private static final Map<StepKey, List<Rule>> BY_STEP =
            ALL.stream().collect(Collectors.groupingBy(rule -> rule.card().step()));
    private static final Map<Object, StepKey> DECIDED_AT = decided();

    private Rules() {}

    private static List<Rule> load() {
        return Asking.all().stream()
                .filter(Rule.class::isInstance)
                .map(Rule.class::cast)
                .toList();
    }

    private static Map<Conclusion, RuleCard> cards() {
        Map<Conclusion, RuleCard> cards = new LinkedHashMap<>();
        for (Rule rule : ALL) {
            if (cards.put(rule.conclusion(), rule.card()) != null) {
                throw new IllegalStateException("Two rules give the conclusion " + rule.conclusion());
            }
        }
        return cards;
    }

    /** Where what decides a rule is asked for; it decides one rule, or its page would be asked for twice. */
    private static Map<Object, StepKey> decided() {
        Map<Object, StepKey> decided = new HashMap<>();
        for (RuleCard card : CARDS.values()) {
            Stream.of(card.permissions(), card.values(), card.quantities())
                    .flatMap(Set::stream)
                    .forEach(each -> {
                        if (decided.put(each, card.step()) != null) {
                            throw new IllegalStateException("Two rules are decided by " + each);
                        }
                    });
        }
        return decided;
    }

    /** Every rule, in the order of the work. */
    public static List<Rule> all() {
        return ALL;
    }

    /** The rules that a step's looks and answers are for. */
    public static List<Rule> of(StepKey step) {
        return BY_STEP.getOrDefault(step, List.of());
    }

    public static List<Conclusion> conclusions() {
        return CONCLUSIONS;
    }

    /** The conclusions whose rule is as asked, in the order of the work. */
    public static List<Conclusion> conclusions(Predicate<RuleCard> such) {
        return ALL.stream()
                .map(Rule::card)
                .filter(such)
                .map(RuleCard::conclusion)
                .toList();
    }

    /**
     * All about the rule that gives a conclusion.
     *
     * @throws IllegalStateException when there is none
     */
    public static RuleCard card(Conclusion conclusion) {
        RuleCard card = CARDS.get(conclusion);
        if (card == null) {
            throw new IllegalStateException("No rule gives " + conclusion);
        }
        return card;
    }

    /** The rule that gives a conclusion; empty when there is none. */
    public static Optional<Rule> rule(Conclusion conclusion) {
        return ALL.stream().filter(rule -> rule.conclusion().equals(conclusion)).findFirst();
    }

    /** The step that serves a conclusion. */
    public static StepKey stepOf(Conclusion conclusion) {
        return card(conclusion).step();
    }

    /** Where a permission is asked for: the step of the rule that it decides; empty for one that decides none. */
    public static Optional<StepKey> stepOf(PermissionKey permission) {
        return Optional.ofNullable(DECIDED_AT.get(permission));
    }

    /** Where a value of a sheet is asked for; empty for one that decides no rule. */
    public static Optional<StepKey> stepOf(SheetValue value) {
        return Optional.ofNullable(DECIDED_AT.get(value));
    }

    /** Where a mass or length is asked for; empty for one that decides no rule. */
    public static Optional<StepKey> stepOf(Fact.Quantity quantity) {
        return Optional.ofNullable(DECIDED_AT.get(quantity));
    }

    static int place(Conclusion conclusion) {
        return CONCLUSIONS.indexOf(conclusion);
    }
}
