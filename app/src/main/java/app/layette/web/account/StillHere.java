package app.layette.web.account;

import app.layette.core.entry.Author;
import app.layette.formats.wording.Wording;
import app.layette.web.wall.Wall;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Asks at each request who somebody is today: a person that was removed, or whose password was changed, is out at once,
 * and a role counts from the next request on. What a browser kept for one person is never taken from another.
 */
final class StillHere extends OncePerRequestFilter {
    /** Says whose entry it is that the browser kept. */
    static final String BY = "Layette-By";

    private static final String ACTED = "layette.acted";
    /** How often it is noted that a session is used: often enough for hours, and seldom enough for the disk. */
    static final Duration NOTED_EACH = Duration.ofMinutes(1);

    private final Users users;
    private final Clock clock;
    private final Duration longest;
    private final Duration idle;

    /**
     * Asks these users.
     *
     * @param longest how long a session lasts at most, however much is done in it
     * @param idle after how long without anything done it is over
     */
    StillHere(Users users, Clock clock, Duration longest, Duration idle) {
        this.idle = idle;
        this.users = users;
        this.clock = clock;
        this.longest = longest;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication known = SecurityContextHolder.getContext().getAuthentication();
        if (known == null || !(known.getPrincipal() instanceof SignedIn before)) {
            chain.doFilter(request, response);
            return;
        }
        Optional<Users.AtWork> atWork = users.findAtWork(before.userId());
        Optional<User> user = atWork.map(Users.AtWork::user).filter(User::works).filter(before::knowsPasswordOf);
        Optional<SignedIn> today = user.map(each -> new SignedIn(each, User.certificatesDay(clock)));
        if (today.isEmpty() || isOver(request)) {
            SecurityContextHolder.clearContext();
            Optional.ofNullable(request.getSession(false)).ifPresent(HttpSession::invalidate);
            chain.doFilter(request, response);
            return;
        }
        user.flatMap(User::language).ifPresent(chosen -> request.setAttribute(PersonsLanguage.CHOSEN, chosen));
        Viewing.knows(request, atWork.get());
        String by = request.getHeader(BY);
        if (by != null && !by.equals(today.get().author().id())) {
            response.setStatus(HttpServletResponse.SC_CONFLICT);
            // Tells this refusal, which waits for its person, from one that would wait for ever.
            response.setHeader(BY, today.get().author().id());
            response.setContentType(MediaType.TEXT_HTML_VALUE);
            response.getWriter()
                    .write("<main><p>"
                            + Viewing.wording(PersonsLanguage.of(request), Wording.DEFAULT_UNITS)
                                    .say("signIn.ofSomebodyElse")
                            + "</p></main>");
            return;
        }
        Optional<String> first = asksFirst(atWork.get(), request);
        if (first.isPresent()) {
            if (Security.isPage(request)) {
                response.sendRedirect(first.get());
            } else {
                response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
            }
            return;
        }
        // For this request alone: what the session keeps is who signed in, not what they may do.
        SecurityContext now = SecurityContextHolder.createEmptyContext();
        now.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                today.get(), null, today.get().getAuthorities()));
        SecurityContextHolder.setContext(now);
        // From here on the database itself shows nothing of another point, whatever a query forgets.
        Wall.Inside own = Wall.inside(today.get().pointId());
        try {
            chain.doFilter(request, response);
        } finally {
            own.close();
        }
    }

    /** The page that comes before everything else; empty where all that is needed was shown. */
    private static Optional<String> asksFirst(Users.AtWork atWork, HttpServletRequest request) {
        User user = atWork.user();
        String path = request.getServletPath();
        if (SecondStep.isPassed(request)) {
            return Optional.empty();
        }
        if (user.hasSecondFactor()) {
            return SecondStep.isOpenToHalf(path) ? Optional.empty() : Optional.of("/sign-in/code");
        }
        boolean hasToSetUp = user.role() == Author.Role.LEAD
                && !SecondStep.isOpenToSetUp(path)
                && atWork.point().leadsNeedSecond();
        return hasToSetUp ? Optional.of("/account/second?needed") : Optional.empty();
    }

    /**
     * Begun on signing in, because nobody has a session before. A page that only asks whether a colleague added anything
     * keeps no session awake: what counts is what somebody did.
     */
    private boolean isOver(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session == null) {
            return false;
        }
        Instant now = clock.instant();
        Instant acted = session.getAttribute(ACTED) instanceof Long at
                ? Instant.ofEpochMilli(at)
                : Instant.ofEpochMilli(session.getCreationTime());
        boolean over =
                now.isAfter(Instant.ofEpochMilli(session.getCreationTime()).plus(longest))
                        || now.isAfter(acted.plus(idle));
        boolean onlyAsks = request.getServletPath().endsWith("/changes");
        if (!over && !onlyAsks && now.isAfter(acted.plus(NOTED_EACH))) {
            session.setAttribute(ACTED, now.toEpochMilli());
        }
        return over;
    }
}
