package app.layette.formats.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import java.util.Properties;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** What the family's page may say, it says in Spanish too. */
class SpanishTest {
    /** Beginnings of the keys that the page is made of. */
    private static final List<String> OF_THE_PAGE = List.of(
            "handout.",
            "method.",
            "handle.",
            "snug.",
            "state.",
            "reading.",
            "date.",
            "letter.subject",
            "letter.body",
            "worksheet.",
            "removal.",
            "insert.in",
            "insert.out",
            "current.opening",
            "ride.BASE",
            "ride.FIXED",
            "ride.FLAT",
            "ride.LAY_FLAT",
            "ride.LEVEL",
            "says.",
            "sheet.",
            "drawing.harness.",
            "drawing.side.",
            "drawing.cabin.reach.");

    /** Keys that are the same in every language: numbers, units, question marks. */
    private static final List<String> THE_SAME = List.of(
            "drawing.side.tick",
            "drawing.side.recline",
            "drawing.side.reclineUnknown",
            "drawing.side.gap",
            "drawing.harness.school");

    private static Properties read(String file) throws IOException {
        Properties properties = new Properties();
        try (Reader reader = new InputStreamReader(
                Objects.requireNonNull(Wording.class.getResourceAsStream(file)), StandardCharsets.UTF_8)) {
            properties.load(reader);
        }
        return properties;
    }

    @Test
    void thePageIsWholeInSpanishAndNothingIsLeftOver() throws IOException {
        Properties english = read("messages.properties");
        Properties spanish = read("messages_es.properties");
        TreeSet<String> missing = new TreeSet<>();
        for (String key : english.stringPropertyNames()) {
            boolean ofPage = OF_THE_PAGE.stream().anyMatch(key::startsWith);
            if (ofPage && !THE_SAME.contains(key) && !spanish.containsKey(key)) {
                missing.add(key);
            }
        }
        assertThat(missing).isEmpty();
        assertThat(spanish.stringPropertyNames()).allMatch(english::containsKey);
    }

    @Test
    void itTakesTheSameValues() throws IOException {
        Properties english = read("messages.properties");
        Properties spanish = read("messages_es.properties");
        for (String key : spanish.stringPropertyNames()) {
            assertThat(names(spanish.getProperty(key))).as(key).isEqualTo(names(english.getProperty(key)));
        }
    }

    private static TreeSet<String> names(String pattern) {
        TreeSet<String> names = new TreeSet<>();
        java.util.regex.Matcher matcher =
                java.util.regex.Pattern.compile("\\{([a-zA-Z]+)[,}]").matcher(pattern);
        while (matcher.find()) {
            names.add(matcher.group(1));
        }
        return names;
    }
}
