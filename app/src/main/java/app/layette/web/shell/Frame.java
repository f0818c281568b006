package app.layette.web.shell;

import app.layette.core.measure.UnitSystem;
import app.layette.formats.wording.Languages;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What the frame around every page shows. */
@ControllerAdvice
class Frame {
    /**
     * The frame's model.
     *
     * @param name of the user
     * @param role of the user, in words
     * @param metric whether metric units come first
     * @param here path of this page, to come back to
     * @param user who an entry that waits in the browser belongs to
     * @param steadyMs how long a button must have stood in its place before a press on it counts, in milliseconds
     */
    public record FrameView(String name, String role, boolean metric, String here, String user, long steadyMs) {}

    /** The sentences that the scripts say, as one JSON object; on every page, signed in or not. */
    @ModelAttribute("scriptWords")
    String scriptWords(Locale locale) {
        return Sentences.ofScripts(locale);
    }

    /** The languages that somebody can switch to, each as it calls itself. */
    @ModelAttribute("otherLanguages")
    List<Languages.Other> otherLanguages(Locale locale) {
        return Languages.others(locale);
    }

    private final Viewing viewing;
    private final Duration steady;

    /**
     * Reads how long a button must stand.
     *
     * @param steady from the configuration; 400 ms is what hands and eyes need
     */
    Frame(Viewing viewing, @Value("${layette.steady:400ms}") Duration steady) {
        this.viewing = viewing;
        this.steady = steady;
    }

    @ModelAttribute("frame")
    @Nullable
    FrameView frame(@AuthenticationPrincipal SignedIn user, HttpServletRequest request) {
        // Between the two steps of signing in nobody is in yet, and nothing that waits in the browser is sent.
        if (user == null || request.getServletPath().startsWith("/sign-in")) {
            return null;
        }
        boolean metric = viewing.wording(user).units() == UnitSystem.METRIC;
        String query = request.getQueryString();
        String here = request.getRequestURI() + (query == null ? "" : "?" + query);
        boolean canComeBack = request.getMethod().equals("GET");
        return new FrameView(
                user.displayName(),
                user.role().name().toLowerCase(Locale.ROOT),
                metric,
                canComeBack ? here : "/",
                user.author().id(),
                steady.toMillis());
    }
}
