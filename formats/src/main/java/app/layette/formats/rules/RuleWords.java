package app.layette.formats.rules;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Misuse;
import app.layette.core.finding.RuleCode;
import app.layette.core.misuse.Misuses;
import app.layette.core.rule.Rules;
import app.layette.formats.wording.Wording;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What the handbook says of each rule and each misuse, in one language. The words stand with all others, under {@code
 * rule.}, {@code rules.} and {@code misuse.}.
 */
public final class RuleWords {
    private static final Map<Class<? extends Fact>, RuleCode> ABOUT = Map.ofEntries(
            Map.entry(Fact.LabelRead.class, RuleCode.CND_9),
            Map.entry(Fact.CrashedSince.class, RuleCode.CND_3),
            Map.entry(Fact.Weighed.class, RuleCode.SUIT_1),
            Map.entry(Fact.Ordered.class, RuleCode.SUIT_7),
            Map.entry(Fact.Screened.class, RuleCode.SUIT_8),
            Map.entry(Fact.InsertSet.class, RuleCode.SUIT_9),
            Map.entry(Fact.ShoulderSeen.class, RuleCode.HAR_3),
            Map.entry(Fact.SlotsSet.class, RuleCode.HAR_1),
            Map.entry(Fact.CrotchSet.class, RuleCode.HAR_5),
            Map.entry(Fact.LayerSeen.class, RuleCode.HAR_9),
            Map.entry(Fact.Placed.class, RuleCode.CAB_13),
            Map.entry(Fact.DeviceSet.class, RuleCode.REC_4),
            Map.entry(Fact.RollPlaced.class, RuleCode.REC_6),
            Map.entry(Fact.LevelRead.class, RuleCode.REC_5),
            Map.entry(Fact.HandleSet.class, RuleCode.SEC_9),
            Map.entry(Fact.Taught.class, RuleCode.OUT_2));

    private final Wording words;

    /**
     * One rule.
     *
     * @param what it asks for
     * @param why the reason that a caregiver understands
     * @param seen how it is seen
     * @param right how it is put right
     * @param schools where careful people differ; empty where they do not
     */
    public record Page(
            RuleCode code, String name, String what, String why, String seen, String right, Optional<String> schools) {}

    public RuleWords(Wording words) {
        this.words = words;
    }

    /** A word of the pages themselves. */
    public String say(String key) {
        return words.say("rules." + key);
    }

    public Page page(RuleCode code) {
        String schools = "rule." + code.text() + ".schools";
        return new Page(
                code,
                name(code),
                of(code, "what"),
                of(code, "why"),
                of(code, "seen"),
                of(code, "right"),
                words.knows(schools) ? Optional.of(words.say(schools)) : Optional.empty());
    }

    public String name(RuleCode code) {
        return of(code, "name");
    }

    private String of(RuleCode code, String part) {
        return words.say("rule." + code.text() + "." + part);
    }

    /** Every code, in the order of the work; those of rules that bring their own among them. */
    public static List<RuleCode> codes() {
        return Stream.concat(
                        Arrays.stream(RuleCode.values()),
                        Rules.all().stream().map(rule -> rule.card().code()))
                .distinct()
                .sorted()
                .toList();
    }

    /** The rules by their family, in the order of the work; the families named in words. */
    public Map<String, List<RuleCode>> families() {
        return codes().stream()
                .collect(Collectors.groupingBy(
                        code -> say("group." + code.text().replaceAll("-.*", "")),
                        LinkedHashMap::new,
                        Collectors.toList()));
    }

    /** How a misuse is seen. */
    public String seen(Misuse misuse) {
        return words.say("misuse." + misuse + ".seen");
    }

    /** Why a misuse matters. */
    public String why(Misuse misuse) {
        return words.say("misuse." + misuse + ".why");
    }

    /** The misuses that a rule is there for. */
    public static List<Misuse> against(RuleCode code) {
        return Arrays.stream(Misuse.values())
                .filter(misuse -> rule(misuse) == code)
                .toList();
    }

    /** The rule that an entry is about; empty where it is about none in particular. */
    public static Optional<RuleCode> rule(Fact fact) {
        if (fact instanceof Fact.Answered answered) {
            return Optional.of(answered.question().rule());
        }
        if (fact instanceof Fact.FoundSo found) {
            return Optional.of(rule(found.misuse()));
        }
        return Optional.ofNullable(ABOUT.get(fact.getClass()));
    }

    /** The rule that a misuse is against. */
    public static RuleCode rule(Misuse misuse) {
        return Misuses.of(misuse).putRightBy().code();
    }
}
