package app.layette.formats.rules;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Misuse;
import app.layette.core.finding.RuleCode;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RuleWordsTest {
    private static final List<String> PARTS = List.of("name", "what", "why", "seen", "right");
    /** Two or three plain sentences a part; longer is a lecture. */
    private static final int LONGEST = 330;

    @Test
    void everyRuleSaysEveryPart() {
        Set<String> expected = new TreeSet<>();
        for (RuleCode code : RuleCode.values()) {
            PARTS.forEach(part -> expected.add(code.text() + "." + part));
        }
        assertThat(ofRules("rules")).containsAll(expected);
        assertThat(ofRules("rules").stream().filter(key -> !key.endsWith(".schools")))
                .as("none of a rule that is not there")
                .containsExactlyInAnyOrderElementsOf(expected);
    }

    @Test
    void everyMisuseSaysHowItIsSeenAndWhyItMatters() {
        Set<String> expected = Arrays.stream(Misuse.values())
                .flatMap(misuse -> List.of(misuse + ".seen", misuse + ".why").stream())
                .collect(Collectors.toSet());
        assertThat(read("misuses").stringPropertyNames()).containsExactlyInAnyOrderElementsOf(expected);
    }

    @ParameterizedTest
    @ValueSource(strings = {"rules", "misuses"})
    void spanishSaysTheSameInWordsOfItsOwn(String bundle) {
        Properties english = read(bundle);
        Properties spanish = read(bundle + "_es");
        assertThat(spanish.stringPropertyNames()).containsExactlyInAnyOrderElementsOf(english.stringPropertyNames());
        assertThat(english.stringPropertyNames().stream()
                        .filter(key -> english.getProperty(key).equals(spanish.getProperty(key))))
                .as("left in English")
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"rules", "rules_es", "misuses", "misuses_es"})
    void nothingIsEmptyALectureOrAFormat(String bundle) {
        read(bundle)
                .forEach((key, value) -> assertThat((String) value)
                        .as((String) key)
                        .isNotBlank()
                        .hasSizeLessThan(LONGEST)
                        .doesNotContain("{", "'"));
    }

    @Test
    void theFamiliesHoldEveryRuleOnceInTheOrderOfTheWork() {
        RuleWords words = new RuleWords(Locale.ENGLISH);
        assertThat(words.families().values().stream().flatMap(List::stream)).containsExactly(RuleCode.values());
        assertThat(words.families().keySet()).first().isEqualTo("Clearing the seat");
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

    private static Set<String> ofRules(String bundle) {
        return read(bundle).stringPropertyNames().stream()
                .filter(key -> key.matches("[A-Z]+-\\d+\\..*"))
                .collect(Collectors.toSet());
    }

    private static Properties read(String bundle) {
        Properties words = new Properties();
        try (Reader reader = new InputStreamReader(
                RuleWords.class.getResourceAsStream(bundle + ".properties"), StandardCharsets.UTF_8)) {
            words.load(reader);
            return words;
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }
}
