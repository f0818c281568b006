package app.layette.core.gate;

import app.layette.core.entry.Method;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Rules;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;

/** The conclusions that each method requires before a hand-over, as each rule says of itself. */
public final class Required {
    private static final List<RuleCard> CARDS =
            Rules.all().stream().map(Rule::card).toList();
    private static final Map<Method, Set<Conclusion>> BY_METHOD = by(CARDS);
    private static final Map<Method, Set<Conclusion>> BEFORE_BIRTH = beforeBirth(CARDS);

    private Required() {}

    /**
     * What each method requires by these cards.
     *
     * @throws IllegalStateException when a method would require nothing
     */
    static Map<Method, Set<Conclusion>> by(List<RuleCard> cards) {
        return each(cards, method -> card -> card.isRequiredBy(method));
    }

    /**
     * What each method requires before the birth: of its own, what needs no child; the level without one in place of the
     * level with it.
     *
     * @throws IllegalStateException when a method would require nothing
     */
    static Map<Method, Set<Conclusion>> beforeBirth(List<RuleCard> cards) {
        Predicate<RuleCard> level = card -> card.conclusion().equals(Conclusion.LEVEL);
        return each(
                cards,
                method -> card -> card.isRequiredBeforeBirth()
                        && (card.conclusion().equals(Conclusion.LEVEL_TIGHT)
                                ? cards.stream().filter(level).anyMatch(each -> each.isRequiredBy(method))
                                : card.isRequiredBy(method)));
    }

    private static Map<Method, Set<Conclusion>> each(List<RuleCard> cards, Function<Method, Predicate<RuleCard>> such) {
        Map<Method, Set<Conclusion>> required = new EnumMap<>(Method.class);
        for (Method method : Method.values()) {
            Set<Conclusion> conclusions = new LinkedHashSet<>();
            cards.stream().filter(such.apply(method)).map(RuleCard::conclusion).forEach(conclusions::add);
            if (conclusions.isEmpty()) {
                throw new IllegalStateException("Nothing is required of " + method);
            }
            required.put(method, Collections.unmodifiableSet(conclusions));
        }
        return required;
    }

    /** In the order of the work; never empty. */
    public static Set<Conclusion> by(Method method) {
        return Objects.requireNonNull(BY_METHOD.get(method));
    }

    /** What a method asks before the birth, in the order of the work; never empty. */
    public static Set<Conclusion> beforeBirth(Method method) {
        return Objects.requireNonNull(BEFORE_BIRTH.get(method));
    }
}
