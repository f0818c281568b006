package app.layette.web.account;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.security.web.access.AccessDeniedHandlerImpl;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import org.springframework.security.web.savedrequest.RequestCache;

/** Signing in, and what the browser may load: only what ships with the application, nothing inline. */
@Configuration
public class Security {
    private static final int LONGEST_WAY_BACK = 1000;
    private static final String CONTENT_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; "
            + "font-src 'self'; img-src 'self' data:; connect-src 'self'; form-action 'self'; base-uri 'none'; "
            + "frame-ancestors 'none'; manifest-src 'self'; worker-src 'self'";

    @Bean
    public SecurityFilterChain filters(
            HttpSecurity http,
            Users users,
            Attempts attempts,
            Clock clock,
            @Value("${layette.session.longest:12h}") Duration longest,
            @Value("${spring.session.timeout:2h}") Duration idle)
            throws Exception {
        return http.authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/sign-in",
                                "/password/*",
                                "/.well-known/security.txt",
                                "/css/**",
                                "/js/**",
                                "/fonts/**",
                                "/webjars/**",
                                "/favicon.svg",
                                "/manifest.webmanifest",
                                "/sw.js",
                                "/offline",
                                "/rules",
                                "/rules/*",
                                "/r/*",
                                "/f/*",
                                "/f/*/calendar.ics",
                                "/calendar/*")
                        .permitAll()
                        // What could not be answered is said to whoever asked.
                        .dispatcherTypeMatchers(DispatcherType.ERROR, DispatcherType.FORWARD)
                        .permitAll()
                        .requestMatchers("/actuator/health/**")
                        .permitAll()
                        .requestMatchers("/actuator/prometheus")
                        .denyAll()
                        .anyRequest()
                        .authenticated())
                .formLogin(form -> form.loginPage("/sign-in").defaultSuccessUrl("/", false))
                .addFilterBefore(new SlowedSignIn(attempts), UsernamePasswordAuthenticationFilter.class)
                .addFilterBefore(new StillHere(users, clock, longest, idle), AuthorizationFilter.class)
                // Nobody has a session who has not signed in: reading a family's page leaves no row behind.
                .requestCache(cache -> cache.requestCache(pagesAlone()))
                .csrf(csrf -> csrf.csrfTokenRepository(tokens()))
                .exceptionHandling(refused -> refused.defaultAuthenticationEntryPointFor(
                                new LoginUrlAuthenticationEntryPoint("/sign-in"), Security::isPage)
                        .defaultAuthenticationEntryPointFor(
                                new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED), request -> !isPage(request))
                        .accessDeniedHandler(staleSignIn()))
                .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in"))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN)))
                .build();
    }

    /** Signing in leads back to a page that was asked for, never to a piece that some script wanted. */
    private static RequestCache pagesAlone() {
        CookieRequestCache cache = new CookieRequestCache();
        // It is kept in a cookie: an address that is no page of ours is not worth one.
        cache.setRequestMatcher(request -> request.getMethod().equals("GET")
                && isPage(request)
                && request.getRequestURI().length()
                                + String.valueOf(request.getQueryString()).length()
                        <= LONGEST_WAY_BACK);
        return cache;
    }

    /** Whether somebody is looking at what comes back, not a script. */
    static boolean isPage(HttpServletRequest request) {
        return request.getHeader("HX-Request") == null
                && String.valueOf(request.getHeader("Accept")).contains("text/html");
    }

    private static CsrfTokenRepository tokens() {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Lax"));
        return new GivenWithPages(tokens);
    }

    /** Somebody whose sign-in page is older than the browser's token signs in once more; that is no offence. */
    private static AccessDeniedHandler staleSignIn() {
        AccessDeniedHandler otherwise = new AccessDeniedHandlerImpl();
        return (request, response, refused) -> {
            if (request.getServletPath().equals("/sign-in")) {
                response.sendRedirect("/sign-in?stale");
            } else {
                otherwise.handle(request, response, refused);
            }
        };
    }

    @Bean
    Attempts attempts(Clock clock, JdbcClient jdbc) {
        return new Attempts(clock, jdbc);
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    @Bean
    UserDetailsService userDetails(Users users, Clock clock) {
        return name -> users.findByName(name)
                .filter(app.layette.web.account.User::works)
                .map(user -> new SignedIn(user, User.certificatesDay(clock)))
                .orElseThrow(() -> new UsernameNotFoundException("There is no user " + name));
    }
}
