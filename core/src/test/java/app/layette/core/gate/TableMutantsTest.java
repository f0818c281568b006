package app.layette.core.gate;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Answers;
import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Rules;
import app.layette.core.table.Copies;
import app.layette.core.table.CsvTable;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * Nothing on which the gate rests changes unseen: what each rule says of itself is written down a second time, laid
 * together the other way; the gate's own tables, given a card that says one thing otherwise, come to something else; and a
 * rule that is left out of the program is missed by its name.
 */
class TableMutantsTest {
    private static final String TURNING = "@TURNING_BASE";
    private static final String BEFORE = "before the birth ";
    private static final List<RuleCard> CARDS =
            Rules.all().stream().map(Rule::card).toList();

    @Test
    void noRuleIsLeftOut() {
        Set<String> written = new TreeSet<>();
        written("conclusions-by-step.txt")
                .forEach((step, conclusions) -> conclusions.forEach(each -> {
                    assertThat(Rules.stepOf(Conclusion.valueOf(each))).as(each).hasToString(step);
                    written.add(each);
                }));
        assertThat(names(Conclusion.values())).isEqualTo(written);
    }

    @Test
    void whatEachMethodRequiresIsAsItWasAgreed() {
        Map<String, Set<String>> agreed = agreedOfEachMethod();
        assertThat(required(CARDS)).isEqualTo(agreed);
        for (Method method : Method.values()) {
            assertThat(names(Required.by(method))).isEqualTo(agreed.get(method.name()));
            assertThat(names(Required.beforeBirth(method))).isEqualTo(agreed.get(BEFORE + method));
        }
        List<String> survived = new ArrayList<>();
        int mutants = 0;
        for (RuleCard card : CARDS) {
            for (Method method : Method.values()) {
                mutants++;
                Set<Method> other = turned(card.required(), method);
                note(
                        survived,
                        card,
                        "required",
                        other,
                        mutant -> required(mutant).equals(agreed));
            }
            boolean levelAlone = card.conclusion().equals(Conclusion.LEVEL_TIGHT);
            if (levelAlone || !card.required().isEmpty()) {
                mutants++;
                boolean other = !card.isRequiredBeforeBirth();
                note(
                        survived,
                        card,
                        "isRequiredBeforeBirth",
                        other,
                        mutant -> required(mutant).equals(agreed));
            }
        }
        tell("what is required", mutants, survived);
    }

    @Test
    void whatSpoilsEachLookIsAsItWasAgreed() {
        Map<String, Set<String>> agreed = agreedOfEachLook();
        assertThat(spoiled(CARDS)).isEqualTo(agreed);
        for (Change change : Change.values()) {
            assertThat(names(Spoils.by(change)))
                    .as("%s", change)
                    .isEqualTo(agreed.entrySet().stream()
                            .filter(each -> each.getValue().contains(change.name()))
                            .map(each -> each.getKey().replace(TURNING, ""))
                            .collect(Collectors.toCollection(TreeSet::new)));
        }
        List<String> survived = new ArrayList<>();
        int mutants = 0;
        for (RuleCard card : CARDS) {
            for (Change change : Change.values()) {
                mutants++;
                Set<Change> other = turned(card.reopenedBy(), change);
                note(
                        survived,
                        card,
                        "reopenedBy",
                        other,
                        mutant -> spoiled(mutant).equals(agreed));
                // What re-opens it on every restraint re-opens it on one that turns: said twice it says the same.
                if (!card.reopenedBy().contains(change)) {
                    mutants++;
                    Set<Change> turning = turned(card.reopenedOnTurningBaseBy(), change);
                    note(
                            survived,
                            card,
                            "reopenedOnTurningBaseBy",
                            turning,
                            mutant -> spoiled(mutant).equals(agreed));
                }
            }
        }
        tell("what spoils", mutants, survived);
    }

    /** An answer that weighs less than it does would open the gate by itself. */
    @Test
    void whatAnAnswerOrAMisuseWeighsIsAsItWasAgreed() {
        Map<String, Set<String>> answers = new TreeMap<>();
        for (Question question : Question.values()) {
            for (String answer : Answers.to(question)) {
                String weight = Answers.weight(question, answer).map(Enum::name).orElse("RULE");
                answers.computeIfAbsent(weight + " " + question, key -> new TreeSet<>())
                        .add(answer);
            }
            assertThat(Answers.weight(question, "NO_SUCH_ANSWER")).contains(Weight.STOP);
        }
        assertThat(answers).isEqualTo(written("weights-of-answers.txt"));
        assertThat(byWeight("misuse.csv", row -> row.get(2) + " " + row.get(1), row -> row.get(0) + ">" + row.get(3)))
                .isEqualTo(written("weights-of-misuses.txt"));
    }

    private static void tell(String what, int mutants, List<String> survived) {
        System.out.println(what + ": " + mutants + " single-cell mutants, " + survived.size() + " survived");
        assertThat(survived).isEmpty();
    }

    /** Gives the gate's own tables one card that says something else, and notes it where they come to the same. */
    private static void note(
            List<String> survived, RuleCard card, String part, Object other, Predicate<List<RuleCard>> same) {
        RuleCard mutant = Copies.with(card, part, other);
        List<RuleCard> cards =
                CARDS.stream().map(each -> each == card ? mutant : each).toList();
        boolean survives;
        try {
            survives = same.test(cards);
        } catch (IllegalStateException e) {
            survives = false;
        }
        if (survives) {
            survived.add(card.conclusion() + ": " + part + " " + other);
        }
    }

    private static <E> Set<E> turned(Set<E> all, E one) {
        Set<E> other = new HashSet<>(all);
        if (!other.remove(one)) {
            other.add(one);
        }
        return other;
    }

    /** What the gate requires by these cards, after the birth and before it. */
    private static Map<String, Set<String>> required(List<RuleCard> cards) {
        Map<String, Set<String>> required = new TreeMap<>();
        Required.by(cards).forEach((method, asked) -> required.put(method.name(), names(asked)));
        Required.beforeBirth(cards).forEach((method, asked) -> required.put(BEFORE + method, names(asked)));
        return required;
    }

    /** The same from what was agreed: all conclusions but those that are not asked about. */
    private static Map<String, Set<String>> agreedOfEachMethod() {
        Map<String, Set<String>> not = written("not-required-by-method.txt");
        Set<String> all = new TreeSet<>();
        written("conclusions-by-step.txt").values().forEach(all::addAll);
        Map<String, Set<String>> agreed = new TreeMap<>();
        for (Method method : Method.values()) {
            Set<String> asked = new TreeSet<>(all);
            asked.removeAll(not.get(method.name()));
            agreed.put(method.name(), asked);
            Set<String> before = new TreeSet<>(asked);
            if (before.contains("LEVEL")) {
                before.add("LEVEL_TIGHT");
            }
            before.removeAll(not.get("PREPARED"));
            agreed.put(BEFORE + method, before);
        }
        return agreed;
    }

    /** What re-opens each look by these cards, on a restraint that stands still and on one that turns. */
    private static Map<String, Set<String>> spoiled(List<RuleCard> cards) {
        Map<String, Set<String>> looks = new TreeMap<>();
        for (RuleCard card : cards) {
            looks.put(card.conclusion().name(), changes(Spoils.of(card, false)));
            looks.put(card.conclusion().name() + TURNING, changes(Spoils.of(card, true)));
        }
        return looks;
    }

    private static Map<String, Set<String>> agreedOfEachLook() {
        Map<String, Set<String>> written = written("spoiled-by-look.txt");
        Map<String, Set<String>> agreed = new TreeMap<>();
        for (Conclusion conclusion : Conclusion.values()) {
            Set<String> acts = written.getOrDefault(conclusion.name(), Set.of());
            agreed.put(
                    conclusion.name(),
                    acts.stream().filter(act -> !act.endsWith(TURNING)).collect(Collectors.toCollection(TreeSet::new)));
            agreed.put(
                    conclusion.name() + TURNING,
                    acts.stream().map(act -> act.replace(TURNING, "")).collect(Collectors.toCollection(TreeSet::new)));
        }
        return agreed;
    }

    private static Set<String> changes(Set<Change> changes) {
        return changes.stream().map(Enum::name).collect(Collectors.toCollection(TreeSet::new));
    }

    private static Set<String> names(Iterable<Conclusion> conclusions) {
        Set<String> names = new TreeSet<>();
        conclusions.forEach(each -> names.add(each.name()));
        return names;
    }

    private static Map<String, Set<String>> byWeight(
            String table, Function<List<String>, String> group, Function<List<String>, String> member) {
        return CsvTable.withHeading(table).stream()
                .skip(1)
                .collect(Collectors.groupingBy(
                        group, TreeMap::new, Collectors.mapping(member, Collectors.toCollection(TreeSet::new))));
    }

    private static Map<String, Set<String>> written(String file) {
        Map<String, Set<String>> lines = new TreeMap<>();
        try (InputStream in = TableMutantsTest.class.getResourceAsStream("/app/layette/core/" + file)) {
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
                if (line.startsWith("#") || line.isBlank()) {
                    continue;
                }
                String[] parts = line.split(":", 2);
                lines.put(
                        parts[0].strip(), new TreeSet<>(List.of(parts[1].strip().split(" "))));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return lines;
    }
}
