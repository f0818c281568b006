package app.layette.web.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Sessions as requests need them: that one was used is noted seldom, and what a request has just kept it does not
 * read again. Everything else is the store's own affair; when a session is over is decided by {@link StillHere}.
 */
final class SessionsOfRequests<S extends Session>
        implements FindByIndexNameSessionRepository<SessionsOfRequests.Noted<S>> {
    private static final char NEVER_IN_TEXT = 0;

    private final FindByIndexNameSessionRepository<S> store;
    private final TransactionOperations whole;
    /** What this request has kept last; nothing outside of requests. */
    private final ThreadLocal<Answering<S>> answering = new ThreadLocal<>();

    /**
     * Keeps sessions in this store.
     *
     * @param whole writes all of a session or nothing
     */
    SessionsOfRequests(FindByIndexNameSessionRepository<S> store, TransactionOperations whole) {
        this.store = store;
        this.whole = whole;
    }

    @Override
    public Noted<S> createSession() {
        return new Noted<>(store.createSession(), true);
    }

    /** Once the answer is on its way, it is asked whether its session is still there: it was a moment ago. */
    @Override
    public void save(Noted<S> session) {
        if (session.isChanged) {
            whole.executeWithoutResult(now -> store.save(session.kept));
            session.isChanged = false;
        }
        Answering<S> request = answering.get();
        if (request != null) {
            request.kept = session;
        }
    }

    @Override
    public @Nullable Noted<S> findById(String id) {
        Answering<S> request = answering.get();
        if (request != null && request.kept != null && request.kept.getId().equals(id)) {
            return request.kept;
        }
        // A cookie is whatever somebody sends; the database refuses such a text instead of not finding it.
        S found = id.indexOf(NEVER_IN_TEXT) < 0 ? store.findById(id) : null;
        return found == null ? null : new Noted<>(found, false);
    }

    /** With whatever it is ended for: a password that is not changed after all ends no session. */
    @Override
    public void deleteById(String id) {
        Answering<S> request = answering.get();
        if (request != null) {
            request.kept = null;
        }
        store.deleteById(id);
    }

    @Override
    public Map<String, Noted<S>> findByIndexNameAndIndexValue(String name, String value) {
        return store.findByIndexNameAndIndexValue(name, value).entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, each -> new Noted<>(each.getValue(), false)));
    }

    /** Stands round everything that asks for a session, and knows when a request begins and ends. */
    OncePerRequestFilter roundRequests() {
        return new OncePerRequestFilter() {
            @Override
            protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                    throws ServletException, IOException {
                answering.set(new Answering<>());
                try {
                    chain.doFilter(request, response);
                } finally {
                    answering.remove();
                }
            }
        };
    }

    private static final class Answering<S extends Session> {
        private @Nullable Noted<S> kept;
    }

    /** A session that knows whether anything in it is worth a write. */
    static final class Noted<S extends Session> implements Session {
        private final S kept;
        private boolean isChanged;

        private Noted(S kept, boolean isNew) {
            this.kept = kept;
            this.isChanged = isNew;
        }

        @Override
        public void setLastAccessedTime(Instant now) {
            if (now.isAfter(kept.getLastAccessedTime().plus(StillHere.NOTED_EACH))) {
                isChanged = true;
                kept.setLastAccessedTime(now);
            }
        }

        @Override
        public String changeSessionId() {
            isChanged = true;
            return kept.changeSessionId();
        }

        @Override
        public void setAttribute(String name, Object value) {
            isChanged = true;
            kept.setAttribute(name, value);
        }

        @Override
        public void removeAttribute(String name) {
            isChanged = true;
            kept.removeAttribute(name);
        }

        @Override
        public void setMaxInactiveInterval(Duration longest) {
            isChanged = true;
            kept.setMaxInactiveInterval(longest);
        }

        @Override
        public String getId() {
            return kept.getId();
        }

        @Override
        public <T> @Nullable T getAttribute(String name) {
            return kept.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return kept.getAttributeNames();
        }

        @Override
        public Instant getCreationTime() {
            return kept.getCreationTime();
        }

        @Override
        public Instant getLastAccessedTime() {
            return kept.getLastAccessedTime();
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return kept.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return kept.isExpired();
        }
    }
}
