package app.layette.web.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import org.springframework.web.filter.OncePerRequestFilter;

/** Looks at no password while an account has to wait at an address. */
final class SlowedSignIn extends OncePerRequestFilter {
    private final Attempts attempts;

    SlowedSignIn(Attempts attempts) {
        this.attempts = attempts;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean signsIn =
                request.getMethod().equals("POST") && request.getServletPath().equals("/sign-in");
        if (!signsIn) {
            chain.doFilter(request, response);
            return;
        }
        String account = String.valueOf(request.getParameter("username"));
        String address = request.getRemoteAddr();
        Duration wait = attempts.wait(account, address);
        if (!wait.isZero()) {
            response.sendRedirect("/sign-in?wait=" + Math.max(1, wait.toMinutes() + 1));
            return;
        }
        chain.doFilter(request, response);
        String to = String.valueOf(response.getHeader("Location"));
        if (to.contains("/sign-in?error")) {
            attempts.failed(account, address);
        } else if (response.getStatus() == HttpServletResponse.SC_FOUND && !to.contains("/sign-in")) {
            attempts.succeeded(account, address);
        }
    }
}
