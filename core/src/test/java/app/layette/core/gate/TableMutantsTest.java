package app.layette.core.gate;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Rules;
import app.layette.core.table.CsvTable;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Nothing on which the gate rests changes unseen: what each rule says of itself is written down a second time, laid
 * together the other way, every single cell of it turned round is told, and a rule that is left out of the program is
 * missed by its name.
 */
class TableMutantsTest {
    private static final String PREPARED = "PREPARED";
    private static final String TURNING = "@TURNING_BASE";
    private static final String LEFT_TO_RULE = "RULE";
    private static final List<String> COLUMNS = Stream.concat(
                    Arrays.stream(Method.values()).map(Enum::name), Stream.of(PREPARED))
            .toList();
    private static final List<String> WEIGHTS = Stream.concat(
                    Arrays.stream(Weight.values()).map(Enum::name), Stream.of(LEFT_TO_RULE))
            .toList();

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
        for (Method method : Method.values()) {
            assertThat(names(Required.by(method)))
                    .isEqualTo(names(Rules.conclusions(card -> card.isRequiredBy(method))));
        }
        Map<String, Set<String>> agreed = written("not-required-by-method.txt");
        assertThat(notRequired("", "")).isEqualTo(agreed);
        List<String> survived = new ArrayList<>();
        int mutants = 0;
        for (Conclusion conclusion : Conclusion.values()) {
            for (String column : COLUMNS) {
                mutants++;
                if (notRequired(conclusion.name(), column).equals(agreed)) {
                    survived.add(conclusion + " of " + column);
                }
            }
        }
        tell("what is required", mutants, survived);
    }

    @Test
    void whatSpoilsEachLookIsAsItWasAgreed() {
        Map<String, Set<String>> agreed = written("spoiled-by-look.txt");
        assertThat(spoiled("", "")).isEqualTo(agreed);
        for (Change change : Change.values()) {
            assertThat(names(Spoils.by(change)))
                    .as("%s", change)
                    .isEqualTo(agreed.entrySet().stream()
                            .filter(each ->
                                    each.getValue().stream().anyMatch(act -> act.split("@")[0].equals(change.name())))
                            .map(Map.Entry::getKey)
                            .collect(Collectors.toCollection(TreeSet::new)));
        }
        List<String> survived = new ArrayList<>();
        int mutants = 0;
        for (Conclusion conclusion : Conclusion.values()) {
            for (Change change : Change.values()) {
                for (String where : List.of("", TURNING)) {
                    mutants++;
                    if (spoiled(conclusion.name(), change + where).equals(agreed)) {
                        survived.add(conclusion + " by " + change + where);
                    }
                }
            }
        }
        tell("what spoils", mutants, survived);
    }

    /** An answer that weighs less than it does would open the gate by itself. */
    @Test
    void whatAnAnswerOrAMisuseWeighsIsAsItWasAgreed() {
        Map<String, Set<String>> agreed = written("weights-of-answers.txt");
        assertThat(weights("", "")).isEqualTo(agreed);
        List<String> survived = new ArrayList<>();
        int mutants = 0;
        for (Question question : Question.values()) {
            for (String answer : question.asked().answers().keySet()) {
                String now = weight(question, answer);
                for (String other : WEIGHTS) {
                    if (!other.equals(now)) {
                        mutants++;
                        if (weights(question + " " + answer, other).equals(agreed)) {
                            survived.add(question + " " + answer + " as " + other);
                        }
                    }
                }
            }
        }
        tell("what an answer weighs", mutants, survived);
        assertThat(byWeight("misuse.csv", row -> row.get(2) + " " + row.get(1), row -> row.get(0) + ">" + row.get(3)))
                .isEqualTo(written("weights-of-misuses.txt"));
    }

    private static void tell(String what, int mutants, List<String> survived) {
        System.out.println(what + ": " + mutants + " single-cell mutants, " + survived.size() + " survived");
        assertThat(mutants).isGreaterThan(500);
        assertThat(survived).isEmpty();
    }

    /** What each method does not require, one cell of it turned round. */
    private static Map<String, Set<String>> notRequired(String conclusion, String column) {
        Map<String, Set<String>> left = new TreeMap<>();
        for (String each : COLUMNS) {
            left.put(each, names(Rules.conclusions(card -> {
                boolean turned = each.equals(column) && card.conclusion().name().equals(conclusion);
                return isRequired(card, each) == turned;
            })));
        }
        return left;
    }

    private static boolean isRequired(RuleCard card, String column) {
        return column.equals(PREPARED) ? card.isRequiredBeforeBirth() : card.isRequiredBy(Method.valueOf(column));
    }

    /** After what each look is taken again, one cell of it turned round. */
    private static Map<String, Set<String>> spoiled(String conclusion, String cell) {
        Map<String, Set<String>> looks = new TreeMap<>();
        for (Rule rule : Rules.all()) {
            RuleCard card = rule.card();
            Set<String> acts = new TreeSet<>();
            card.reopenedBy().forEach(act -> acts.add(act.name()));
            card.reopenedOnTurningBaseBy().forEach(act -> acts.add(act.name() + TURNING));
            if (card.conclusion().name().equals(conclusion) && !acts.remove(cell)) {
                acts.add(cell);
            }
            if (!acts.isEmpty()) {
                looks.put(card.conclusion().name(), acts);
            }
        }
        return looks;
    }

    /** What each answer weighs, one of them something else. */
    private static Map<String, Set<String>> weights(String which, String other) {
        Map<String, Set<String>> answers = new TreeMap<>();
        for (Question question : Question.values()) {
            for (String answer : question.asked().answers().keySet()) {
                boolean turned = which.equals(question + " " + answer);
                String weight = turned ? other : weight(question, answer);
                answers.computeIfAbsent(weight + " " + question, key -> new TreeSet<>())
                        .add(answer);
            }
        }
        return answers;
    }

    private static String weight(Question question, String answer) {
        return question.asked().answers().get(answer).map(Enum::name).orElse(LEFT_TO_RULE);
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
