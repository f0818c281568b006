package app.layette.formats.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** One search for the key of a finding finds where it is made, and one for its sentence finds the key. */
class FindingKeysTest {
    private static final Path CORE = Path.of("..", "core", "src", "main", "java");
    private static final Path ENGLISH =
            Path.of("src", "main", "resources", "app", "layette", "formats", "wording", "messages.properties");
    private static final Pattern KEY = Pattern.compile("\"(finding\\.[A-Z]+-\\d+\\.\\w+)\"");
    private static final Pattern SENTENCE = Pattern.compile("(?m)^(finding\\.[A-Z]+-\\d+\\.\\w+) *=");
    /** What several rules say alike, each under its own code. */
    private static final Pattern SHARED = Pattern.compile(".*\\.(placeNotOnSheet|lookFirst|prove[A-Z]\\w*)");

    private static Set<String> all(Pattern pattern, String text) {
        Set<String> found = new TreeSet<>();
        Matcher matcher = pattern.matcher(text);
        while (matcher.find()) {
            found.add(matcher.group(1));
        }
        return found;
    }

    private static Set<String> inTheSource() throws IOException {
        Set<String> found = new TreeSet<>();
        try (Stream<Path> files = Files.walk(CORE)) {
            for (Path file :
                    files.filter(each -> each.toString().endsWith(".java")).toList()) {
                found.addAll(all(KEY, Files.readString(file)));
            }
        }
        return found;
    }

    @Test
    void everyKeyStandsWholeInTheSourceAndHasItsSentence() throws IOException {
        Set<String> sentences = all(SENTENCE, Files.readString(ENGLISH));
        Set<String> source = inTheSource();
        assertThat(source).hasSizeGreaterThan(200);
        assertThat(source)
                .filteredOn(each -> !sentences.contains(each))
                .as("made, and said")
                .isEmpty();
        assertThat(sentences)
                .filteredOn(each -> !SHARED.matcher(each).matches())
                .filteredOn(each -> !source.contains(each))
                .as("said, and made")
                .isEmpty();
    }
}
