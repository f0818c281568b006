package app.layette.web.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.TextNode;
import org.jsoup.parser.Parser;
import org.junit.jupiter.api.Test;

/** No sentence stands in a template, a script or a style sheet: each is a key of the bundles, so that a language is one file. */
class LiteralsTest {
    private static final Path RESOURCES = Path.of("src", "main", "resources");
    private static final Pattern WORD = Pattern.compile("\\p{L}{2,}");
    /** What is no word of any language: our own name, units, forms of documents. */
    private static final Pattern NAMES =
            Pattern.compile("\\b(Layette|PDF|SHA-256|kg|cm|lb|in)\\b|(?U)\\bEn español\\b|[#$@~]\\{[^}]*}|[·,:.]");

    private static final Pattern LITERAL = Pattern.compile("'([^']*)'");
    /** A literal of an expression that is a sentence or its beginning: with a blank, a capital, or an end. */
    private static final Pattern SENTENCE = Pattern.compile("\\p{L}{2,}.* .*|^\\p{Lu}\\p{Ll}{2,}.*|.*\\p{L}{2,}[?!:]$");

    private static final Pattern TEXT_OF_SCRIPT =
            Pattern.compile("(\"(?:[^\"\\\\\\n]|\\\\.)*\"|`(?:[^`\\\\]|\\\\.)*`)", Pattern.DOTALL);

    @Test
    void noneInATemplate() throws IOException {
        List<String> found = new ArrayList<>();
        for (Path template : files(RESOURCES.resolve("templates"), ".html")) {
            String name = template.getFileName().toString();
            if (name.equals("blank.html")) {
                continue;
            }
            Element page = Jsoup.parse(Files.readString(template), "", Parser.xmlParser());
            page.getAllElements().forEach(element -> look(name, element, found));
        }
        assertThat(found).isEmpty();
    }

    private static void look(String name, Element element, List<String> found) {
        boolean replaced = element.hasAttr("th:text") || element.hasAttr("th:utext") || element.hasAttr("th:replace");
        boolean within = element.parents().stream()
                .anyMatch(each -> each.hasAttr("th:text") || each.hasAttr("th:utext") || isReplaced(each));
        boolean code = element.tagName().equals("style") || element.tagName().equals("script");
        if (within || code) {
            return;
        }
        if (!replaced) {
            for (TextNode text : element.textNodes()) {
                if (hasWord(text.getWholeText())) {
                    found.add(name + ": " + text.text().strip());
                }
            }
        }
        for (Attribute attribute : element.attributes()) {
            String value = attribute.getValue();
            if (List.of("placeholder", "aria-label", "title", "alt", "data-waits")
                            .contains(attribute.getKey())
                    && hasWord(value)) {
                found.add(name + " " + attribute.getKey() + ": " + value);
            }
            if (attribute.getKey().startsWith("th:") && !isAddress(attribute.getKey())) {
                Matcher literal = LITERAL.matcher(value);
                while (literal.find()) {
                    if (SENTENCE.matcher(literal.group(1)).matches() && hasWord(literal.group(1))) {
                        found.add(name + " " + attribute.getKey() + ": " + literal.group(1));
                    }
                }
            }
        }
    }

    private static boolean isReplaced(Element element) {
        // The page around a page replaces its <html>, and keeps what stands in it.
        return element.hasAttr("th:replace") && !element.tagName().equals("html");
    }

    private static boolean isAddress(String attribute) {
        return List.of(
                                "th:href",
                                "th:action",
                                "th:class",
                                "th:classappend",
                                "th:if",
                                "th:unless",
                                "th:replace",
                                "th:with")
                        .contains(attribute)
                || attribute.equals("th:style");
    }

    private static boolean hasWord(String text) {
        return WORD.matcher(NAMES.matcher(text).replaceAll(" ")).find();
    }

    /** A word that a style sheet puts on the page is in no language file either. */
    @Test
    void noneInAStyleSheet() throws IOException {
        List<String> found = new ArrayList<>();
        Pattern content = Pattern.compile("content:\\s*\"([^\"]*)\"");
        for (Path sheet : files(RESOURCES.resolve("static"), ".css")) {
            Matcher said = content.matcher(Files.readString(sheet));
            while (said.find()) {
                if (hasWord(said.group(1))) {
                    found.add(sheet.getFileName() + ": " + said.group(1));
                }
            }
        }
        assertThat(found).isEmpty();
    }

    @Test
    void noneInAScript() throws IOException {
        List<String> found = new ArrayList<>();
        for (Path script : files(RESOURCES.resolve("static"), ".js")) {
            String code = Files.readString(script).replaceAll("(?m)^\\s*//.*$", "");
            Matcher text = TEXT_OF_SCRIPT.matcher(code);
            while (text.find()) {
                String said = text.group(1);
                if (isSentence(said.substring(1, said.length() - 1))) {
                    found.add(script.getFileName() + ": " + said);
                }
            }
        }
        assertThat(found).isEmpty();
    }

    /** What a person would read: it begins with a capital or holds several small words, and is no selector. */
    private static boolean isSentence(String text) {
        boolean begins = text.matches("\\p{Lu}\\p{Ll}+[ ,.:;…?!].*");
        boolean selects = text.matches("(?s).*[#\\[\\]=<>(){}/_].*")
                || text.toLowerCase(Locale.ROOT).contains("main ");
        return begins || (text.matches("\\p{L}+( \\p{L}+){2,}.*") && !selects);
    }

    private static List<Path> files(Path folder, String ending) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(file -> file.toString().endsWith(ending)).sorted().toList();
        }
    }
}
