package app.layette.web.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
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
