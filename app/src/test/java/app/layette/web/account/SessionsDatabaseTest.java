package app.layette.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.DatabaseTest;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;

/** Each minute a session is noted to be in use, by several requests in the same moment: none of them fails. */
class SessionsDatabaseTest extends DatabaseTest {
    @Test
    void twoRequestsNoteTheSameThingAndTheLaterOneCounts(@Autowired SessionRepository<? extends Session> sessions) {
        noteTwice(sessions);
    }

    /** Each note is a write to the disk that an answer would wait for. */
    @Test
    void thatItWasUsedIsNotedOnceAMinuteAndWhatElseChangesAtOnce(
            @Autowired SessionRepository<? extends Session> sessions) {
        noteTheUse(sessions);
    }

    /** Somebody signs themselves out everywhere, and their own request still has something to keep. */
    @Test
    void whatIsKeptWithASessionThatIsOverIsNoError(@Autowired SessionRepository<? extends Session> sessions) {
        keepWithWhatIsOver(sessions);
    }

    private static <S extends Session> void noteTheUse(SessionRepository<S> sessions) {
        S begun = sessions.createSession();
        sessions.save(begun);
        Instant noted = sessions.findById(begun.getId()).getLastAccessedTime();
        assertThat(usedAt(sessions, begun.getId(), noted.plusSeconds(59))).isEqualTo(noted);
        assertThat(usedAt(sessions, begun.getId(), noted.plusSeconds(61))).isEqualTo(noted.plusSeconds(61));
        S known = sessions.findById(begun.getId());
        String other = known.changeSessionId();
        sessions.save(known);
        assertThat(sessions.findById(begun.getId())).as("the old address of it").isNull();
        assertThat(sessions.findById(other).getLastAccessedTime()).isEqualTo(noted.plusSeconds(61));
        sessions.deleteById(other);
    }

    private static <S extends Session> Instant usedAt(SessionRepository<S> sessions, String id, Instant at) {
        S session = sessions.findById(id);
        session.setLastAccessedTime(at);
        sessions.save(session);
        return sessions.findById(id).getLastAccessedTime();
    }

    private static <S extends Session> void noteTwice(SessionRepository<S> sessions) {
        S begun = sessions.createSession();
        sessions.save(begun);
        S first = sessions.findById(begun.getId());
        S second = sessions.findById(begun.getId());
        first.setAttribute("acted", 1L);
        second.setAttribute("acted", 2L);
        sessions.save(first);
        sessions.save(second);
        Object kept = sessions.findById(begun.getId()).getAttribute("acted");
        assertThat(kept).isEqualTo(2L);
        sessions.deleteById(begun.getId());
    }

    private static <S extends Session> void keepWithWhatIsOver(SessionRepository<S> sessions) {
        S begun = sessions.createSession();
        sessions.save(begun);
        S here = sessions.findById(begun.getId());
        sessions.deleteById(begun.getId());
        here.setAttribute("said", "Signed out everywhere.");
        here.setAttribute("acted", 3L);
        sessions.save(here);
        assertThat(sessions.findById(begun.getId())).isNull();
    }
}
