package app.layette.web.people;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** The open sessions of somebody. */
@Component
class Sessions {
    /**
     * A session as its owner sees it.
     *
     * @param key tells it apart; it is not what the browser holds
     */
    record Open(UUID key, Instant since, Instant lastUsed, boolean here) {}

    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    Sessions(FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.sessions = sessions;
    }

    /** The sessions that are not over, the last used first. */
    List<Open> of(String name, String here) {
        return sessions.findByPrincipalName(name).values().stream()
                .filter(each -> !each.isExpired())
                .map(each -> new Open(
                        key(each),
                        each.getCreationTime(),
                        each.getLastAccessedTime(),
                        each.getId().equals(here)))
                .sorted(Comparator.comparing(Open::lastUsed).reversed())
                .toList();
    }

    void end(String name, UUID key) {
        sessions.findByPrincipalName(name).values().stream()
                .filter(each -> key(each).equals(key))
                .forEach(each -> sessions.deleteById(each.getId()));
    }

    void endAll(String name) {
        sessions.findByPrincipalName(name).keySet().forEach(sessions::deleteById);
    }

    void endOthers(String name, String here) {
        sessions.findByPrincipalName(name).keySet().stream()
                .filter(each -> !each.equals(here))
                .forEach(sessions::deleteById);
    }

    private static UUID key(Session session) {
        return UUID.nameUUIDFromBytes(session.getId().getBytes(java.nio.charset.StandardCharsets.UTF_8));
    }
}
