package app.layette.web.account;

import java.time.Duration;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.session.jdbc.config.annotation.web.http.EnableJdbcHttpSession;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.filter.OncePerRequestFilter;

/** Sessions in the database, so that any process can answer. Each request asks for one: reading it is one statement. */
@Configuration
@EnableJdbcHttpSession
class SessionKeeping {
    private static final String WHERE_THE_SESSION_IS = """
            INSERT INTO %TABLE_NAME%_ATTRIBUTES (SESSION_PRIMARY_ID, ATTRIBUTE_NAME, ATTRIBUTE_BYTES)
            SELECT kept.PRIMARY_ID, now.name, now.bytes
            FROM (SELECT CAST(? AS CHAR(36)) AS key, CAST(? AS VARCHAR(200)) AS name, CAST(? AS BYTEA) AS bytes) AS now
            JOIN %TABLE_NAME% AS kept ON kept.PRIMARY_ID = now.key
            FOR KEY SHARE OF kept
            ON CONFLICT (SESSION_PRIMARY_ID, ATTRIBUTE_NAME) DO UPDATE SET ATTRIBUTE_BYTES = EXCLUDED.ATTRIBUTE_BYTES
            """;

    /** Two requests of one session may note the same thing in the same moment: the later one counts, and neither fails. */
    @Bean
    PostgreSqlJdbcIndexedSessionRepositoryCustomizer sessionsOnPostgres() {
        return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
    }

    /** What is to be kept with a session that was ended meanwhile is kept nowhere, and is no error. */
    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> sessionsThatMayHaveEnded(
            @Value("${spring.session.timeout:2h}") Duration idle) {
        return sessions -> {
            sessions.setDefaultMaxInactiveInterval(idle);
            sessions.setCreateSessionAttributeQuery(WHERE_THE_SESSION_IS);
        };
    }

    /** A single statement is a transaction already; what is more than one is kept by {@link SessionsOfRequests}. */
    @Bean(defaultCandidate = false)
    TransactionOperations springSessionTransactionOperations() {
        return TransactionOperations.withoutTransaction();
    }

    @Bean
    @Primary
    SessionsOfRequests<?> sessionsOfRequests(
            @Qualifier("sessionRepository") JdbcIndexedSessionRepository store,
            PlatformTransactionManager transactions) {
        TransactionTemplate whole = new TransactionTemplate(transactions);
        whole.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        return new SessionsOfRequests<>(store, whole);
    }

    @Bean
    FilterRegistrationBean<OncePerRequestFilter> roundSessions(SessionsOfRequests<?> sessions) {
        FilterRegistrationBean<OncePerRequestFilter> round = new FilterRegistrationBean<>(sessions.roundRequests());
        round.setOrder(SessionRepositoryFilter.DEFAULT_ORDER - 1);
        return round;
    }
}
