package app.layette.formats.wording;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/**
 * The languages that everything can be said in: English, and each that has a file of its own beside the English one
 * ({@code messages_es.properties}). Another language is another file and nothing else.
 */
public final class Languages {
    private static final List<Locale> ALL = Stream.concat(
                    Stream.of(Locale.ENGLISH),
                    Arrays.stream(Locale.getISOLanguages())
                            .filter(code -> Languages.class.getResource("messages_" + code + ".properties") != null)
                            .map(Locale::forLanguageTag))
            .toList();

    private static final int MOST_KEPT = 200;
    private static final Map<String, Optional<Locale>> FOUND = new ConcurrentHashMap<>();

    private Languages() {}

    /** Each language, English first. */
    public static List<Locale> all() {
        return ALL;
    }

    /**
     * The language of a tag such as {@code es} or {@code es-MX}.
     *
     * @return empty for a language that nothing is said in
     */
    public static Optional<Locale> known(String tag) {
        // Asked with every sentence: what was found is kept, for as many tags as people send.
        Optional<Locale> before = FOUND.get(tag);
        if (before != null) {
            return before;
        }
        Optional<Locale> found = find(tag);
        if (FOUND.size() < MOST_KEPT) {
            FOUND.put(tag, found);
        }
        return found;
    }

    private static Optional<Locale> find(String tag) {
        String language = Locale.forLanguageTag(tag).getLanguage();
        return ALL.stream().filter(each -> each.getLanguage().equals(language)).findFirst();
    }

    /** The language of a tag; English for one that nothing is said in. */
    public static Locale of(String tag) {
        return known(tag).orElse(Locale.ENGLISH);
    }

    /**
     * A language to switch to.
     *
     * @param tag its tag
     * @param says what is pressed to read one page in it, in its own words
     * @param name what it calls itself
     */
    public record Other(String tag, String says, String name) {}

    /** All languages but this one. */
    public static List<Other> others(Locale than) {
        return ALL.stream()
                .filter(each -> !each.getLanguage().equals(than.getLanguage()))
                .map(each -> new Other(
                        each.getLanguage(),
                        new Wording(each, Wording.DEFAULT_UNITS).say("language.in"),
                        Wording.capital(each.getDisplayLanguage(each))))
                .toList();
    }
}
