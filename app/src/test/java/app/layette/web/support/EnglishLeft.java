package app.layette.web.support;

import app.layette.formats.wording.Wording;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What of the English bundle is still to be read on a page that is shown in another language. */
public final class EnglishLeft {
    private static final Pattern PLACEHOLDERS = Pattern.compile("\\{[^{}]*(\\{[^{}]*}[^{}]*)*}");
    private static final Pattern TELLING = Pattern.compile("(?i)\\b(the|with|are|this|nobody|not|from|which)\\b");
    private static final int FEWEST_LETTERS = 8;

    /** All that eyes and screen readers read, but what is in a language of its own. */
    private static final String TEXTS = """
            () => {
              const said = [];
              const own = document.documentElement.lang;
              const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_ELEMENT | NodeFilter.SHOW_TEXT);
              for (let node = walk.currentNode; node; node = walk.nextNode()) {
                const element = node.nodeType === Node.TEXT_NODE ? node.parentElement : node;
                if (element.closest(`script, style, [lang]:not([lang=${own}])`)) continue;
                if (node.nodeType === Node.TEXT_NODE) {
                  if (node.textContent.trim()) said.push(node.textContent.trim());
                } else {
                  for (const name of ["aria-label", "placeholder", "title", "alt", "data-waits"]) {
                    if (element.getAttribute(name)) said.push(element.getAttribute(name));
                  }
                }
              }
              return said;
            }
            """;

    private final Set<String> whole = new LinkedHashSet<>();
    private final Set<String> parts = new LinkedHashSet<>();
    /** Most of a page is what the page before it said. */
    private final Map<String, Boolean> english = new HashMap<>();

    public EnglishLeft(Locale shown) {
        Collection<String> other =
                new Wording(shown, Wording.DEFAULT_UNITS).under("").values();
        String allOther = String.join("\n", other);
        new Wording(Locale.ENGLISH, Wording.DEFAULT_UNITS)
                .under("").values().stream()
                        .filter(sentence -> !other.contains(sentence))
                        .forEach(sentence -> {
                            whole.add(sentence);
                            Stream.of(PLACEHOLDERS.split(sentence))
                                    .map(String::strip)
                                    .filter(part -> part.contains(" ") && part.length() >= FEWEST_LETTERS)
                                    .filter(part -> !allOther.contains(part))
                                    .forEach(parts::add);
                        });
        // A word of the one language may be one of the other: only whole sentences tell.
        whole.removeIf(sentence -> allOther.contains(sentence));
    }

    /** What is left on the page as it stands. */
    public List<String> on(Page page) {
        List<String> left = new ArrayList<>();
        for (Object text : (List<?>) page.evaluate(TEXTS)) {
            String said = String.valueOf(text);
            if (english.computeIfAbsent(said, this::isEnglish)) {
                left.add(said);
            }
        }
        return left;
    }

    private boolean isEnglish(String said) {
        return whole.contains(said)
                || TELLING.matcher(said).find()
                || parts.stream().anyMatch(said::contains);
    }
}
