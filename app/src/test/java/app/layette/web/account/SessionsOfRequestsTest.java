package app.layette.web.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.layette.web.account.SessionsOfRequests.Noted;
import jakarta.servlet.FilterChain;
import java.time.Instant;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.MapSession;
import org.springframework.session.Session;
import org.springframework.transaction.support.TransactionOperations;

class SessionsOfRequestsTest {
    private static final Instant NOON = Instant.parse("2026-12-02T12:00:00Z");

    @SuppressWarnings("unchecked")
    private final FindByIndexNameSessionRepository<MapSession> store = mock(FindByIndexNameSessionRepository.class);

    private final SessionsOfRequests<MapSession> sessions =
            new SessionsOfRequests<>(store, TransactionOperations.withoutTransaction());
    private final MapSession kept = new MapSession("one");

    @BeforeEach
    void oneSessionThatWasUsedAtNoon() {
        kept.setLastAccessedTime(NOON);
        when(store.findById("one")).thenReturn(kept);
    }

    private void inOneRequest(FilterChain chain) throws Exception {
        sessions.roundRequests().doFilter(new MockHttpServletRequest(), new MockHttpServletResponse(), chain);
    }

    static Stream<Arguments> whatIsDone() {
        return Stream.of(
                Arguments.of("used at once again", use(NOON.plusSeconds(1)), 0),
                Arguments.of("used within the minute", use(NOON.plusSeconds(60)), 0),
                Arguments.of("used after it", use(NOON.plusSeconds(61)), 1),
                Arguments.of("something kept in it", (Consumer<Session>) each -> each.setAttribute("a", "b"), 1),
                Arguments.of("something taken out", (Consumer<Session>) each -> each.removeAttribute("a"), 1),
                Arguments.of("named anew", (Consumer<Session>) Session::changeSessionId, 1),
                Arguments.of("only looked at", (Consumer<Session>) each -> each.getAttribute("a"), 0));
    }

    private static Consumer<Session> use(Instant at) {
        return session -> session.setLastAccessedTime(at);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("whatIsDone")
    void onlyWhatIsWorthItIsWritten(String what, Consumer<Session> done, int writes) {
        Noted<MapSession> session = sessions.findById("one");
        done.accept(session);
        sessions.save(session);
        sessions.save(session);
        verify(store, times(writes)).save(kept);
    }

    @Test
    void aNewOneIsWrittenOnce() {
        when(store.createSession()).thenReturn(kept);
        Noted<MapSession> session = sessions.createSession();
        sessions.save(session);
        sessions.save(session);
        verify(store, times(1)).save(kept);
    }

    @Test
    void whatARequestHasKeptItDoesNotReadAgain() throws Exception {
        inOneRequest((request, response) -> {
            sessions.save(sessions.findById("one"));
            assertThat(sessions.findById("one").getId()).isEqualTo("one");
            assertThat(sessions.findById("two")).isNull();
        });
        verify(store, times(1)).findById("one");
        verify(store, times(1)).findById("two");
    }

    /** A session that was ended elsewhere is over with the next request, on whichever thread. */
    @Test
    void theNextRequestReadsItAnew() throws Exception {
        inOneRequest((request, response) -> sessions.save(sessions.findById("one")));
        when(store.findById("one")).thenReturn(null);
        inOneRequest((request, response) -> assertThat(sessions.findById("one")).isNull());
        assertThat(sessions.findById("one")).isNull();
    }

    @Test
    void whatTheRequestItselfEndsIsNotThereAnyMore() throws Exception {
        inOneRequest((request, response) -> {
            sessions.save(sessions.findById("one"));
            sessions.deleteById("one");
            when(store.findById("one")).thenReturn(null);
            assertThat(sessions.findById("one")).isNull();
        });
        verify(store).deleteById("one");
        verify(store, never()).save(any());
    }

    @Test
    void whatCannotBeAnIdIsNotAskedOfTheStore() {
        assertThat(sessions.findById("\0one")).isNull();
        verify(store, never()).findById(any());
    }
}
