package app.layette.web.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.templateresolver.StringTemplateResolver;

class KeptPiecesTest {
    private static final String LINES = "<ul><li th:each=\"line : ${lines}\" kept:by=\"${line.text}\">"
            + "<b th:text=\"${line.text()}\">x</b><i th:if=\"${line.bold}\">!</i></li></ul>";

    /** A line that counts how often it was asked for what only its inside shows. */
    public record Line(String text, boolean bold, AtomicInteger asked) {
        public boolean isBold() {
            asked.incrementAndGet();
            return bold;
        }
    }

    private final SpringTemplateEngine engine = engine();
    private final AtomicInteger asked = new AtomicInteger();

    private static SpringTemplateEngine engine() {
        SpringTemplateEngine engine = new SpringTemplateEngine();
        engine.setTemplateResolver(new StringTemplateResolver());
        engine.addDialect(new KeptPieces());
        return engine;
    }

    private String page(Locale locale, Line... lines) {
        return engine.process(LINES, new Context(locale, Map.of("lines", List.of(lines))));
    }

    @Test
    void anEqualValueIsRenderedOnceAndSaysTheSame() {
        Line line = new Line("a < b & ½", true, asked);
        String first = page(Locale.ENGLISH, line, new Line("other", false, asked));
        int once = asked.get();
        String second = page(Locale.ENGLISH, line, new Line("other", false, asked));
        assertThat(first)
                .isEqualTo("<ul><li><b>a &lt; b &amp; ½</b><i>!</i></li><li><b>other</b></li></ul>")
                .isEqualTo(second);
        assertThat(asked.get()).as("nobody asked again").isEqualTo(once).isPositive();
    }

    private static final Pattern KEPT =
            Pattern.compile("<(\\w+)[^>]*?th:each=\"(\\w+) :[^>]*?kept:by=\"([^\"]*)\"", Pattern.DOTALL);
    private static final Pattern ASKED = Pattern.compile("[$][{]([^}]*)[}]");
    private static final Pattern NAMES = Pattern.compile("'[^']*'|#?\\b[a-z]\\w*(?:[.]\\w+)*");

    /** What a kept piece shows besides its value would stay as it was when that changes. */
    @Test
    void aKeptPieceShowsNothingButItsValue() throws IOException {
        int pieces = 0;
        for (Path template : templates()) {
            String text = Files.readString(template);
            Matcher kept = KEPT.matcher(text);
            while (kept.find()) {
                pieces++;
                String own = kept.group(2);
                boolean onPage = kept.group(3).equals("${bench.onPage(" + own + ")}");
                assertThat(onPage || kept.group(3).equals("${" + own + "}"))
                        .as(kept.group(3))
                        .isTrue();
                String inside = text.substring(kept.end(), text.indexOf("</" + kept.group(1) + ">", kept.end()));
                assertThat(inside).doesNotContain("<form", "randomUUID", "_csrf");
                Matcher asked = ASKED.matcher(inside);
                while (asked.find()) {
                    NAMES.matcher(asked.group(1))
                            .results()
                            .map(MatchResult::group)
                            .filter(name -> !name.startsWith("'") && !name.startsWith("#"))
                            .forEach(name -> assertThat(name.equals(own)
                                            || name.startsWith(own + ".")
                                            || onPage && name.equals("bench.id"))
                                    .as("%s in a piece kept by %s of %s", name, own, template)
                                    .isTrue());
                }
            }
        }
        assertThat(pieces).isEqualTo(3);
    }

    private static List<Path> templates() throws IOException {
        try (Stream<Path> files = Files.walk(Path.of("src", "main", "resources", "templates"))) {
            return files.filter(each -> each.toString().endsWith(".html")).toList();
        }
    }

    @Test
    void anotherValueOrLanguageIsRenderedAnew() {
        page(Locale.ENGLISH, new Line("one", true, asked));
        int once = asked.get();
        page(Locale.forLanguageTag("es"), new Line("one", true, asked));
        assertThat(asked.get()).isEqualTo(2 * once);
        assertThat(page(Locale.ENGLISH, new Line("two", true, asked))).contains("<b>two</b>");
        assertThat(asked.get()).isEqualTo(3 * once);
    }
}
