package app.layette.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.DatabaseTest;
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
}
