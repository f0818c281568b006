package app.layette.web.api;

import app.layette.web.wall.Wall;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.temporal.ChronoField;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets a program in by its token, counts how often it asks, and puts it behind the wall of its point. */
final class ProgramFilter extends OncePerRequestFilter {
    private static final String BEARER = "Bearer ";
    private static final int LONGEST_TOKEN = 100;
    private static final int SECONDS_A_MINUTE = 60;

    private final Programs programs;
    private final Clock clock;

    ProgramFilter(Programs programs, Clock clock) {
        this.programs = programs;
        this.clock = clock;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String header = request.getHeader(HttpHeaders.AUTHORIZATION);
        Optional<Program> program = Optional.ofNullable(header)
                .filter(each -> each.startsWith(BEARER) && each.length() < LONGEST_TOKEN)
                .map(each -> each.substring(BEARER.length()).strip())
                .flatMap(programs::owner);
        if (program.isEmpty()) {
            if (header == null) {
                // The description is open; everything else is refused behind here.
                chain.doFilter(request, response);
                return;
            }
            response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer error=\"invalid_token\"");
            Problems.write(response, HttpStatus.UNAUTHORIZED, "token", "The token counts no more, or never did");
            return;
        }
        Wall.Inside own = Wall.inside(program.get().pointId());
        try {
            int asked = programs.count(program.get());
            int left = SECONDS_A_MINUTE - clock.instant().atZone(ZoneOffset.UTC).get(ChronoField.SECOND_OF_MINUTE);
            response.setHeader("RateLimit-Limit", String.valueOf(Programs.A_MINUTE));
            response.setHeader("RateLimit-Remaining", String.valueOf(Math.max(0, Programs.A_MINUTE - asked)));
            response.setHeader("RateLimit-Reset", String.valueOf(left));
            if (asked > Programs.A_MINUTE) {
                response.setHeader(HttpHeaders.RETRY_AFTER, String.valueOf(left));
                Problems.write(
                        response,
                        HttpStatus.TOO_MANY_REQUESTS,
                        "too-often",
                        "Asked " + asked + " times in this minute; allowed " + Programs.A_MINUTE);
                return;
            }
            SecurityContext context = SecurityContextHolder.createEmptyContext();
            context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                    program.get(),
                    null,
                    program.get().scopes().stream()
                            .map(scope -> new SimpleGrantedAuthority(scope.authority()))
                            .toList()));
            SecurityContextHolder.setContext(context);
            chain.doFilter(request, response);
        } finally {
            SecurityContextHolder.clearContext();
            own.close();
        }
    }
}
