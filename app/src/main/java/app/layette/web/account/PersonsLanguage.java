package app.layette.web.account;

import app.layette.formats.wording.Languages;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Collections;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.LocaleResolver;

/** The language of a request: the one its person chose, else the first that their browser asks for and we have. */
@Component("localeResolver")
class PersonsLanguage implements LocaleResolver {
    /** Attribute of a request with the language that its person chose. */
    static final String CHOSEN = PersonsLanguage.class.getName() + ".chosen";

    @Override
    public Locale resolveLocale(HttpServletRequest request) {
        return of(request);
    }

    static Locale of(HttpServletRequest request) {
        if (request.getAttribute(CHOSEN) instanceof Locale chosen) {
            return chosen;
        }
        if (request.getHeader("Accept-Language") == null) {
            return Locale.ENGLISH;
        }
        return Collections.list(request.getLocales()).stream()
                .flatMap(asked -> Languages.known(asked.toLanguageTag()).stream())
                .findFirst()
                .orElse(Locale.ENGLISH);
    }

    @Override
    public void setLocale(HttpServletRequest request, @Nullable HttpServletResponse response, @Nullable Locale locale) {
        throw new UnsupportedOperationException("A language is chosen by its person");
    }
}
