package app.layette.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;

/**
 * Gives a browser its token with a page that it reads, never with a form that is refused for want of one: what another
 * tab sends just then would make the page that was read a moment before stale.
 */
record GivenWithPages(CsrfTokenRepository tokens) implements CsrfTokenRepository {
    private static final Set<String> READING = Set.of("GET", "HEAD");

    @Override
    public CsrfToken generateToken(HttpServletRequest request) {
        return tokens.generateToken(request);
    }

    @Override
    public void saveToken(@Nullable CsrfToken token, HttpServletRequest request, HttpServletResponse response) {
        boolean takesAway = token == null;
        if (takesAway || READING.contains(request.getMethod())) {
            tokens.saveToken(token, request, response);
        }
    }

    @Override
    public @Nullable CsrfToken loadToken(HttpServletRequest request) {
        return tokens.loadToken(request);
    }
}
