package app.layette.web.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.HttpSessionRequestCache;

/** Signing in, and what the browser may load: only what ships with the application, nothing inline. */
@Configuration
public class Security {
    private static final String CONTENT_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; "
            + "font-src 'self'; img-src 'self' data:; connect-src 'self'; form-action 'self'; base-uri 'none'; "
            + "frame-ancestors 'none'; manifest-src 'self'; worker-src 'self'";

    @Bean
    public SecurityFilterChain filters(HttpSecurity http, Users users) throws Exception {
        return http.authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/sign-in",
                                "/css/**",
                                "/js/**",
                                "/fonts/**",
                                "/webjars/**",
                                "/favicon.svg",
                                "/manifest.webmanifest",
                                "/sw.js",
                                "/f/*",
                                "/f/*/calendar.ics",
                                "/calendar/*",
                                "/error")
                        .permitAll()
                        .requestMatchers("/actuator/health/**")
                        .permitAll()
                        .anyRequest()
                        .authenticated())
                .formLogin(form -> form.loginPage("/sign-in").defaultSuccessUrl("/", false))
                .addFilterBefore(new StillHere(users), AuthorizationFilter.class)
                .requestCache(cache -> cache.requestCache(pagesAlone()))
                .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in"))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN)))
                .build();
    }

    /** Signing in leads back to a page that was asked for, never to a piece that some script wanted. */
    private static HttpSessionRequestCache pagesAlone() {
        HttpSessionRequestCache cache = new HttpSessionRequestCache();
        cache.setRequestMatcher(request -> request.getMethod().equals("GET")
                && request.getHeader("HX-Request") == null
                && String.valueOf(request.getHeader("Accept")).contains("text/html"));
        return cache;
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    @Bean
    UserDetailsService userDetails(Users users) {
        return name -> users.findByName(name)
                .map(SignedIn::new)
                .orElseThrow(() -> new UsernameNotFoundException("There is no user " + name));
    }
}
