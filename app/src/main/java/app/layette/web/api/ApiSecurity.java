package app.layette.web.api;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;

/** Programs come in by token alone: no session, no cookie, and each address by its scope. */
@Configuration(proxyBeanMethods = false)
class ApiSecurity {
    @Bean
    @Order(1)
    SecurityFilterChain programFilters(HttpSecurity http, Programs programs, Clock clock) throws Exception {
        return http.securityMatcher("/api/**", "/actuator/prometheus")
                .authorizeHttpRequests(requests -> requests.requestMatchers(
                                HttpMethod.GET, "/api/v1/openapi.json", "/api/v1/schemas/*")
                        .permitAll()
                        .requestMatchers("/api/v1/plans")
                        .hasAuthority(Scope.PLAN.authority())
                        .requestMatchers("/api/v1/sheets/**")
                        .hasAuthority(Scope.SHEETS.authority())
                        .requestMatchers("/api/v1/fittings/**")
                        .hasAuthority(Scope.FITTINGS.authority())
                        .requestMatchers("/api/v1/due")
                        .hasAuthority(Scope.DUE.authority())
                        .requestMatchers("/api/v1/appointments")
                        .hasAuthority(Scope.APPOINTMENTS.authority())
                        .requestMatchers("/api/v1/recalls")
                        .hasAuthority(Scope.RECALLS.authority())
                        .requestMatchers("/api/v1/fhir/**")
                        .hasAuthority(Scope.FHIR.authority())
                        .requestMatchers("/actuator/prometheus")
                        .hasAuthority(Scope.METRICS.authority())
                        .anyRequest()
                        .authenticated())
                .addFilterBefore(new ProgramFilter(programs, clock), AuthorizationFilter.class)
                .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .csrf(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .exceptionHandling(refused -> refused.authenticationEntryPoint((request, response, why) -> {
                            response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer");
                            Problems.write(
                                    response,
                                    HttpStatus.UNAUTHORIZED,
                                    "token",
                                    "A token is needed: Authorization: Bearer …");
                        })
                        .accessDeniedHandler((request, response, why) -> Problems.write(
                                response, HttpStatus.FORBIDDEN, "scope", "The token has not the scope for this")))
                .build();
    }
}
