package app.layette.core.gate;

import app.layette.core.entry.Method;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Rules;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** The conclusions that each method requires before a hand-over, as each rule says of itself. */
public final class Required {
    private static final Map<Method, Set<Conclusion>> BY_METHOD = each(method -> card -> card.isRequiredBy(method));
    private static final Map<Method, Set<Conclusion>> BEFORE_BIRTH = each(Required::beforeBirthOf);

    private Required() {}

    private static Map<Method, Set<Conclusion>> each(Function<Method, Predicate<RuleCard>> such) {
        return Arrays.stream(Method.values())
                .collect(Collectors.toMap(
                        method -> method,
                        method -> inOrder(method, Rules.conclusions(such.apply(method))),
                        (one, other) -> one,
                        () -> new EnumMap<>(Method.class)));
    }

    private static Set<Conclusion> inOrder(Method method, List<Conclusion> conclusions) {
        if (conclusions.isEmpty()) {
            throw new IllegalStateException("Nothing is required of " + method);
        }
        return Collections.unmodifiableSet(new LinkedHashSet<>(conclusions));
    }

    /** Of what the method asks, what needs no child; the level without one in place of the level with it. */
    private static Predicate<RuleCard> beforeBirthOf(Method method) {
        boolean level = Rules.card(Conclusion.LEVEL).isRequiredBy(method);
        return card -> card.isRequiredBeforeBirth()
                && (card.conclusion().equals(Conclusion.LEVEL_TIGHT) ? level : card.isRequiredBy(method));
    }

    /** In the order of the work; never empty. */
    public static Set<Conclusion> by(Method method) {
        return BY_METHOD.get(method);
    }

    /** What a method asks before the birth, in the order of the work; never empty. */
    public static Set<Conclusion> beforeBirth(Method method) {
        return BEFORE_BIRTH.get(method);
    }
}
