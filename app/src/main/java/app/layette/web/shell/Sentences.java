package app.layette.web.shell;

import app.layette.formats.wording.Languages;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Viewing;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.context.MessageSource;
import org.springframework.context.MessageSourceResolvable;
import org.springframework.context.NoSuchMessageException;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * The sentences of the templates, {@code #{…}}, from the same bundles as all others. Their arguments are numbered from 0
 * and come as text that is ready to be shown.
 */
@Component("messageSource")
class Sentences implements MessageSource {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static final Map<Locale, String> SCRIPTS = new ConcurrentHashMap<>();

    @Override
    public @Nullable String getMessage(
            String code, Object @Nullable [] args, @Nullable String fallback, @Nullable Locale locale) {
        return words(locale).knows(code) ? said(code, args, locale) : fallback;
    }

    @Override
    public String getMessage(String code, Object @Nullable [] args, @Nullable Locale locale) {
        if (!words(locale).knows(code)) {
            throw new NoSuchMessageException(code, locale == null ? Locale.ENGLISH : locale);
        }
        return said(code, args, locale);
    }

    private static String said(String code, Object @Nullable [] args, @Nullable Locale locale) {
        return words(locale).sayNumbered(code, args == null ? new Object[0] : args);
    }

    @Override
    public String getMessage(MessageSourceResolvable wanted, @Nullable Locale locale) {
        String[] codes = wanted.getCodes() == null ? new String[0] : wanted.getCodes();
        for (String code : codes) {
            if (words(locale).knows(code)) {
                return said(code, wanted.getArguments(), locale);
            }
        }
        String fallback = wanted.getDefaultMessage();
        if (fallback == null) {
            throw new NoSuchMessageException(String.join(", ", codes), locale == null ? Locale.ENGLISH : locale);
        }
        return fallback;
    }

    /** What the scripts say, as one JSON object that may stand in a page. */
    static String ofScripts(Locale locale) {
        return SCRIPTS.computeIfAbsent(
                Languages.of(locale.getLanguage()),
                each -> JSON.writeValueAsString(words(each).under("script.")).replace("<", "\\u003c"));
    }

    private static Wording words(@Nullable Locale locale) {
        Locale asked = locale == null ? Locale.ENGLISH : locale;
        return Viewing.wording(Languages.of(asked.getLanguage()), Wording.DEFAULT_UNITS);
    }
}
