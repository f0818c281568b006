package app.layette.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;

/**
 * What a session has shown beside a password. Until it has, nothing opens but the page that asks for it; where a lead has
 * nothing to show yet and the fitting point wants it, nothing but the page that sets it up.
 */
public final class SecondStep {
    /** How long after a password was typed what guards the account may be changed. */
    private static final Duration FRESH = Duration.ofMinutes(10);

    private static final String PASSED = "layette.second";
    private static final String TYPED = "layette.passwordTyped";

    private SecondStep() {}

    static boolean isPassed(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session != null && session.getAttribute(PASSED) != null;
    }

    /** From now on the session is whole, under another id than the half one had. */
    public static void pass(HttpServletRequest request) {
        request.changeSessionId();
        request.getSession().setAttribute(PASSED, Boolean.TRUE);
    }

    /** Notes that the password was typed once more. */
    public static void typed(HttpServletRequest request, Clock clock) {
        request.getSession().setAttribute(TYPED, clock.instant().toEpochMilli());
    }

    /** Whether the password was typed a moment ago: a tablet left open changes no lock. */
    public static boolean isFresh(HttpServletRequest request, Clock clock) {
        HttpSession session = request.getSession(false);
        if (session == null) {
            return false;
        }
        Object typed = session.getAttribute(TYPED);
        long at = typed instanceof Long later ? later : session.getCreationTime();
        return Instant.ofEpochMilli(at).plus(FRESH).isAfter(clock.instant());
    }

    /** What is open to a session that has shown a password and nothing else yet. */
    static boolean isOpenToHalf(String path) {
        return path.startsWith("/sign-in/code") || isAlways(path);
    }

    /** What is open to a lead who has to set up a second factor first. */
    static boolean isOpenToSetUp(String path) {
        return path.equals("/account") || path.startsWith("/account/second") || isAlways(path);
    }

    private static boolean isAlways(String path) {
        return path.equals("/sign-out")
                || path.equals("/sign-in")
                || path.equals("/account/token")
                || path.equals("/error")
                || path.matches("/(css|js|fonts|webjars)/.*|/favicon\\.svg|/manifest\\.webmanifest|/sw\\.js|/f/.*|"
                        + "/password/.*|/calendar/.*|/\\.well-known/.*|/actuator/health.*");
    }
}
