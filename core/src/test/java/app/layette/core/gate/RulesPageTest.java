package app.layette.core.gate;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Asked;
import app.layette.core.entry.Change;
import app.layette.core.entry.Method;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Rules;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Collection;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * What the rules say of themselves, laid together so that it can be read down and across: {@code docs/rules.md}; run with
 * {@code -Drules.write=true} to write it anew.
 */
class RulesPageTest {
    private static final Path PAGE = Path.of("..", "docs", "rules.md");

    @Test
    void thePageIsAsTheRulesSay() throws IOException {
        StringBuilder page = new StringBuilder("# What the rules say of themselves\n");
        page.append(
                "Written by a test from the rules’ own cards; each stands in its class. A method’s column says what its"
                        + " hand-over rests on; *before* what counts before the birth.\n\n");
        page.append("| step | conclusion | rule | class |");
        Arrays.stream(Method.values())
                .forEach(method -> page.append(' ').append(words(method.name())).append(" |"));
        page.append(" before |\n|")
                .append(" --- |".repeat(Method.values().length + 5))
                .append('\n');
        for (Rule rule : Rules.all()) {
            RuleCard card = rule.card();
            page.append("| ")
                    .append(words(card.step().name()))
                    .append(" | ")
                    .append(words(card.conclusion().name()));
            page.append(" | ")
                    .append(card.code().text())
                    .append(" | `")
                    .append(rule.getClass().getSimpleName());
            page.append("` |");
            for (Method method : Method.values()) {
                page.append(card.isRequiredBy(method) ? " yes |" : " |");
            }
            page.append(card.isRequiredBeforeBirth() ? " yes |\n" : " |\n");
        }
        page.append("\n## What makes it be looked at again\n\n| conclusion | after |\n| --- | --- |\n");
        for (Rule rule : Rules.all()) {
            RuleCard card = rule.card();
            String after = changes(card.reopenedBy());
            String turning = changes(card.reopenedOnTurningBaseBy());
            if (!after.isEmpty()) {
                page.append("| ")
                        .append(words(card.conclusion().name()))
                        .append(" | ")
                        .append(after);
                page.append(turning.isEmpty() ? "" : "; on a base that turns also " + turning)
                        .append(" |\n");
            }
        }
        page.append("\n## What is asked by eye\nAn answer without a weight is left to the rule.\n\n");
        page.append("| conclusion | question | known | answers | seen in |\n| --- | --- | --- | --- | --- |\n");
        for (Rule rule : Rules.all()) {
            for (Asked asked : rule.asked()) {
                page.append("| ").append(words(rule.conclusion().name())).append(" | ");
                page.append(words(asked.question().name()))
                        .append(" | ")
                        .append(words(asked.known().name()));
                page.append(asked.carried() ? ", carried" : "")
                        .append(
                                asked.whose() == Asked.Whose.CAR
                                        ? ""
                                        : ", once for its "
                                                + words(asked.whose().name()))
                        .append(" | ")
                        .append(answers(asked))
                        .append(" | ");
                page.append(asked.byItself() ? "by itself" : looks(asked)).append(" |\n");
            }
        }
        if (Boolean.getBoolean("rules.write")) {
            Files.writeString(PAGE, page);
        }
        assertThat(Files.readString(PAGE)).as("docs/rules.md").isEqualTo(page.toString());
    }

    private static String words(String constant) {
        return constant.toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
    }

    private static String changes(Collection<Change> changes) {
        return changes.stream().sorted().map(change -> words(change.name())).collect(Collectors.joining(", "));
    }

    private static String answers(Asked asked) {
        return asked.answers().entrySet().stream()
                .map(each -> words(each.getKey())
                        + each.getValue()
                                .map(weight -> " (" + weight(weight) + ")")
                                .orElse(""))
                .collect(Collectors.joining(", "));
    }

    private static String weight(Weight weight) {
        return words(weight.name());
    }

    private static String looks(Asked asked) {
        return asked.looks().stream().map(shown -> words(shown.look().name())).collect(Collectors.joining(", "));
    }
}
