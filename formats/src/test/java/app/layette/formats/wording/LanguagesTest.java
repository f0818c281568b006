package app.layette.formats.wording;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.text.MessagePattern;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class LanguagesTest {
    /** Words that two languages share, beside figures, patterns and names. */
    private static final Set<String> SHARED =
            Set.of("Airbag", "base", "Manual", "European i-Size point", "3 h 20, 200 min", "SHA-256");

    private static final Map<String, String> ENGLISH = words(Locale.ENGLISH).under("");

    static Stream<Locale> others() {
        return Languages.all().stream().skip(1);
    }

    @Test
    void englishComesFirstAndSpanishIsThere() {
        assertThat(Languages.all()).startsWith(Locale.ENGLISH).contains(Locale.forLanguageTag("es"));
        assertThat(Languages.of("es-MX").getLanguage()).isEqualTo("es");
        assertThat(Languages.of("tlh")).isEqualTo(Locale.ENGLISH);
        assertThat(Languages.of("")).isEqualTo(Locale.ENGLISH);
    }

    @ParameterizedTest
    @MethodSource("others")
    void everySentenceIsSaidInWordsOfItsOwn(Locale language) {
        Map<String, String> said = words(language).under("");
        assertThat(said.keySet()).containsExactlyElementsOf(ENGLISH.keySet());
        List<String> left = ENGLISH.entrySet().stream()
                .filter(each -> each.getValue().equals(said.get(each.getKey())))
                .filter(each -> !each.getKey().startsWith("date."))
                .filter(each -> each.getValue().replaceAll("\\{[^}]*}", "").matches("(?s).*\\p{L}{3,}.*"))
                .filter(each -> !SHARED.contains(each.getValue()))
                .map(Map.Entry::getKey)
                .toList();
        assertThat(left).as("left in English").isEmpty();
    }

    @ParameterizedTest
    @MethodSource("others")
    void everySentenceTakesTheSameValues(Locale language) {
        Map<String, String> said = words(language).under("");
        ENGLISH.forEach((key, value) -> {
            if (value.indexOf('{') >= 0 || said.get(key).indexOf('{') >= 0) {
                assertThat(arguments(said.get(key))).as(key).isEqualTo(arguments(value));
            }
        });
    }

    @Test
    void figuresAndDaysAreWrittenAsTheLanguageWritesThem() {
        Wording spanish = words(Locale.forLanguageTag("es"));
        assertThat(spanish.figure("2.95 kg (6 lb 8.1 oz)")).isEqualTo("2,95 kg (6 lb 8,1 oz)");
        assertThat(spanish.say(LocalDate.of(2026, 12, 3))).isEqualTo("3 dic 2026");
        assertThat(words(Locale.ENGLISH).figure("2.95 kg")).isEqualTo("2.95 kg");
    }

    private static Set<String> arguments(String message) {
        MessagePattern pattern = new MessagePattern(message);
        Set<String> names = new TreeSet<>();
        for (int i = 0; i < pattern.countParts(); i++) {
            MessagePattern.Part.Type type = pattern.getPartType(i);
            if (type == MessagePattern.Part.Type.ARG_NAME || type == MessagePattern.Part.Type.ARG_NUMBER) {
                names.add(pattern.getSubstring(pattern.getPart(i)));
            }
        }
        return names;
    }

    private static Wording words(Locale language) {
        return new Wording(language, Wording.DEFAULT_UNITS);
    }
}
