package app.layette.web.people;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.account.Points;
import app.layette.web.support.DatabaseTest;
import app.layette.web.trail.Trail;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

class TrailDatabaseTest extends DatabaseTest {
    @Autowired
    private Trail trail;

    @Autowired
    private Points points;

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private TransactionTemplate transactions;

    private int broken(UUID point) {
        return Trail.broken(trail.of(point));
    }

    @Test
    void aLineThatWasChangedOrTakenOutShows() {
        UUID point = points.findAllByOrderByOpenedAt().get(0).id();
        for (String about : List.of("one", "two", "three")) {
            transactions.executeWithoutResult(status -> trail.add(point, "ilse", Trail.What.PERSON_CHANGED, about));
        }
        int last = trail.of(point).size();
        assertThat(last).isGreaterThanOrEqualTo(3);
        assertThat(broken(point)).isZero();
        jdbc.update("update trail set about = 'other' where seq = ?", last - 1);
        assertThat(broken(point)).isEqualTo(last - 1);
        jdbc.update("update trail set about = 'two' where seq = ?", last - 1);
        assertThat(broken(point)).isZero();
        jdbc.update("delete from trail where seq = ?", last - 1);
        assertThat(broken(point)).isEqualTo(last);
        jdbc.update("delete from trail where seq = ?", last);
    }

    @Test
    void aLineIsKeptWithItsActOrNotAtAll() {
        UUID point = points.findAllByOrderByOpenedAt().get(0).id();
        int before = trail.of(point).size();
        transactions.executeWithoutResult(status -> {
            trail.add(point, "ilse", Trail.What.PERSON_RETIRED, "nobody");
            status.setRollbackOnly();
        });
        assertThat(trail.of(point)).hasSize(before);
    }
}
