package app.layette.web.shell;

import app.layette.formats.wording.Languages;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Viewing;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
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
    public String getMessage(String code, Object[] args, String fallback, Locale locale) {
        Wording words = words(locale);
        return words.knows(code) ? words.sayNumbered(code, args == null ? new Object[0] : args) : fallback;
    }

    @Override
    public String getMessage(String code, Object[] args, Locale locale) {
        if (!words(locale).knows(code)) {
            throw new NoSuchMessageException(code, locale);
        }
        return getMessage(code, args, null, locale);
    }

    @Override
    public String getMessage(MessageSourceResolvable wanted, Locale locale) {
        String[] codes = wanted.getCodes() == null ? new String[0] : wanted.getCodes();
        for (String code : codes) {
            if (words(locale).knows(code)) {
                return getMessage(code, wanted.getArguments(), null, locale);
            }
        }
        return wanted.getDefaultMessage();
    }

    /** What the scripts say, as one JSON object that may stand in a page. */
    static String ofScripts(Locale locale) {
        return SCRIPTS.computeIfAbsent(
                Languages.of(locale.getLanguage()),
                each -> JSON.writeValueAsString(words(each).under("script.")).replace("<", "\\u003c"));
    }

    private static Wording words(Locale locale) {
        return Viewing.wording(Languages.of(locale.getLanguage()), Wording.DEFAULT_UNITS);
    }
}
