package app.layette.formats.rules;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Misuse;
import app.layette.core.finding.RuleCode;
import app.layette.formats.wording.Languages;
import app.layette.formats.wording.Wording;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class RuleWordsTest {
    private static final List<String> PARTS = List.of("name", "what", "why", "seen", "right");
    /** Two or three plain sentences a part; longer is a lecture. */
    private static final int LONGEST = 330;

    private static final Locale SPANISH = Locale.forLanguageTag("es");

    private final Map<String, String> english = all(Locale.ENGLISH);

    @Test
    void everyRuleSaysEveryPart() {
        Set<String> expected = new TreeSet<>();
        for (RuleCode code : RuleCode.values()) {
            PARTS.forEach(part -> expected.add("rule." + code.text() + "." + part));
        }
        assertThat(english.keySet().stream().filter(key -> key.startsWith("rule.") && !key.endsWith(".schools")))
                .as("all, and none of a rule that is not there")
                .containsExactlyInAnyOrderElementsOf(expected);
    }

    @Test
    void everyMisuseSaysHowItIsSeenAndWhyItMatters() {
        Set<String> expected = Arrays.stream(Misuse.values())
                .flatMap(misuse -> List.of("misuse." + misuse + ".seen", "misuse." + misuse + ".why").stream())
                .collect(Collectors.toSet());
        assertThat(english.keySet().stream().filter(key -> key.matches("misuse\\.\\w+\\..*")))
                .containsExactlyInAnyOrderElementsOf(expected);
    }

    @Test
    void nothingIsEmptyALectureOrAFormat() {
        for (Locale language : Languages.all()) {
            all(language)
                    .forEach((key, value) -> assertThat(value)
                            .as(key)
                            .isNotBlank()
                            .hasSizeLessThan(LONGEST)
                            .doesNotContain("{", "'"));
        }
    }

    @Test
    void theFamiliesHoldEveryRuleOnceInTheOrderOfTheWork() {
        RuleWords words = new RuleWords(words(Locale.ENGLISH));
        assertThat(words.families().values().stream().flatMap(List::stream)).containsExactly(RuleCode.values());
        assertThat(words.families().keySet()).first().isEqualTo("Clearing the seat");
        assertThat(new RuleWords(words(SPANISH)).families()).hasSameSizeAs(words.families());
    }

    @Test
    void aMisuseBelongsToTheRuleThatPutsItRight() {
        assertThat(RuleWords.against(RuleCode.HAR_8))
                .containsExactly(Misuse.CLIP_LOW, Misuse.CLIP_HIGH, Misuse.CLIP_OPEN);
        assertThat(Arrays.stream(RuleCode.values())
                        .mapToLong(code -> RuleWords.against(code).size())
                        .sum())
                .isEqualTo(Misuse.values().length);
    }

    private static Wording words(Locale language) {
        return new Wording(language, Wording.DEFAULT_UNITS);
    }

    /** Every sentence on the pages of the rules, by its key. */
    private static Map<String, String> all(Locale language) {
        Map<String, String> all = new TreeMap<>();
        words(language).under("").forEach((key, value) -> {
            if (key.startsWith("rule.") || key.startsWith("rules.") || key.matches("misuse\\.\\w+\\..*")) {
                all.put(key, value);
            }
        });
        return all;
    }
}
