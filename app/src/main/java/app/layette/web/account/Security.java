package app.layette.web.account;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
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
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;

/** Signing in, and what the browser may load: only what ships with the application, nothing inline. */
@Configuration
public class Security {
    private static final String NOTED_ONCE_A_MINUTE = """
            UPDATE %TABLE_NAME% AS kept
            SET SESSION_ID = now.id, LAST_ACCESS_TIME = now.used, MAX_INACTIVE_INTERVAL = now.idle,
                EXPIRY_TIME = now.over, PRINCIPAL_NAME = now.who
            FROM (SELECT CAST(? AS CHAR(36)) AS id, CAST(? AS BIGINT) AS used, CAST(? AS INT) AS idle,
                         CAST(? AS BIGINT) AS over, CAST(? AS VARCHAR(100)) AS who, CAST(? AS CHAR(36)) AS key) AS now
            WHERE kept.PRIMARY_ID = now.key
              AND (kept.SESSION_ID <> now.id OR kept.LAST_ACCESS_TIME < now.used - 60000
                   OR kept.MAX_INACTIVE_INTERVAL <> now.idle OR kept.PRINCIPAL_NAME IS DISTINCT FROM now.who)
            """;

    private static final String WHERE_THE_SESSION_IS = """
            INSERT INTO %TABLE_NAME%_ATTRIBUTES (SESSION_PRIMARY_ID, ATTRIBUTE_NAME, ATTRIBUTE_BYTES)
            SELECT kept.PRIMARY_ID, now.name, now.bytes
            FROM (SELECT CAST(? AS CHAR(36)) AS key, CAST(? AS VARCHAR(200)) AS name, CAST(? AS BYTEA) AS bytes) AS now
            JOIN %TABLE_NAME% AS kept ON kept.PRIMARY_ID = now.key
            FOR KEY SHARE OF kept
            ON CONFLICT (SESSION_PRIMARY_ID, ATTRIBUTE_NAME) DO UPDATE SET ATTRIBUTE_BYTES = EXCLUDED.ATTRIBUTE_BYTES
            """;

    private static final int LONGEST_WAY_BACK = 1000;
    private static final String CONTENT_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; "
            + "font-src 'self'; img-src 'self' data:; connect-src 'self'; form-action 'self'; base-uri 'none'; "
            + "frame-ancestors 'none'; manifest-src 'self'; worker-src 'self'";

    @Bean
    public SecurityFilterChain filters(
            HttpSecurity http,
            Users users,
            Points points,
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
                .addFilterBefore(new StillHere(users, points, clock, longest, idle), AuthorizationFilter.class)
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

    /** Two requests of one session may note the same thing in the same moment: the later one counts, and neither fails. */
    @Bean
    PostgreSqlJdbcIndexedSessionRepositoryCustomizer sessionsOnPostgres() {
        return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
    }

    /**
     * That a session was used is noted once a minute, not with every answer: each note is a write to the disk. When a
     * session is over is decided by {@link StillHere}, which keeps a note of its own. What is to be kept with a session that
     * was ended meanwhile, by its own person or by a lead, is kept nowhere, and is no error.
     */
    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> sessionsNotedOnceAMinute() {
        return sessions -> {
            sessions.setUpdateSessionQuery(NOTED_ONCE_A_MINUTE);
            sessions.setCreateSessionAttributeQuery(WHERE_THE_SESSION_IS);
        };
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    @Bean
    UserDetailsService userDetails(Users users, Clock clock) {
        return name -> users.findByName(name)
                .filter(app.layette.web.account.User::works)
                .map(user -> new SignedIn(user, LocalDate.now(clock.withZone(StillHere.LAST_ON_EARTH))))
                .orElseThrow(() -> new UsernameNotFoundException("There is no user " + name));
    }
}
