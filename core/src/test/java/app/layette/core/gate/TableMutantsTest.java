package app.layette.core.gate;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Rules;
import app.layette.core.table.CsvTable;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * Nothing on which the gate rests changes unseen: what each rule says of itself is written down a second time, laid
 * together the other way, and a rule that is left out of the program is missed by its name.
 */
class TableMutantsTest {
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
        Map<String, Set<String>> left = new TreeMap<>();
        for (Method method : Method.values()) {
            left.put(method.name(), names(Rules.conclusions(card -> !card.isRequiredBy(method))));
            assertThat(names(Required.by(method)))
                    .isEqualTo(names(Rules.conclusions(card -> card.isRequiredBy(method))));
        }
        left.put("PREPARED", names(Rules.conclusions(card -> !card.isRequiredBeforeBirth())));
        assertThat(left).isEqualTo(written("not-required-by-method.txt"));
    }

    @Test
    void whatSpoilsEachLookIsAsItWasAgreed() {
        Map<String, Set<String>> looks = new TreeMap<>();
        for (Rule rule : Rules.all()) {
            RuleCard card = rule.card();
            Set<String> acts = new TreeSet<>();
            card.reopenedBy().forEach(act -> acts.add(act.name()));
            card.reopenedOnTurningBaseBy().forEach(act -> acts.add(act.name() + "@TURNING_BASE"));
            if (!acts.isEmpty()) {
                looks.put(card.conclusion().name(), acts);
            }
        }
        assertThat(looks).isEqualTo(written("spoiled-by-look.txt"));
        for (Change change : Change.values()) {
            assertThat(names(Spoils.by(change)))
                    .as("%s", change)
                    .isEqualTo(looks.entrySet().stream()
                            .filter(each ->
                                    each.getValue().stream().anyMatch(act -> act.split("@")[0].equals(change.name())))
                            .map(Map.Entry::getKey)
                            .collect(Collectors.toCollection(TreeSet::new)));
        }
    }

    /** An answer that weighs less than it does would open the gate by itself. */
    @Test
    void whatAnAnswerOrAMisuseWeighsIsAsItWasAgreed() {
        Map<String, Set<String>> answers = new TreeMap<>();
        for (Question question : Question.values()) {
            question.asked()
                    .answers()
                    .forEach((answer, weight) -> answers.computeIfAbsent(
                                    weight.map(Enum::name).orElse("RULE") + " " + question, key -> new TreeSet<>())
                            .add(answer));
        }
        assertThat(answers).isEqualTo(written("weights-of-answers.txt"));
        assertThat(byWeight("misuse.csv", row -> row.get(2) + " " + row.get(1), row -> row.get(0) + ">" + row.get(3)))
                .isEqualTo(written("weights-of-misuses.txt"));
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
