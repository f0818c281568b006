package app.layette.web.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Author;
import app.layette.web.account.Point;
import app.layette.web.account.Points;
import app.layette.web.account.SignedIn;
import app.layette.web.support.DatabaseTest;
import jakarta.persistence.EntityManager;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.transaction.annotation.Transactional;

/** A rule is tried first and does nothing; in force it forgets whom it named, and nobody who still has something here. */
@Transactional
class RetentionDatabaseTest extends DatabaseTest {
    private static final int TWO_YEARS = 24;

    @Autowired
    Retention retention;

    @Autowired
    Points points;

    @Autowired
    JdbcTemplate jdbc;

    @Autowired
    EntityManager entities;

    @Autowired
    UserDetailsService people;

    private Point point;
    private SignedIn lead;
    private UUID ottilie;

    @BeforeEach
    void longAgo() {
        point = points.findAll().stream()
                .filter(each -> each.name().startsWith("Weir"))
                .findFirst()
                .orElseThrow();
        lead = (SignedIn) people.loadUserByUsername("ilse");
        ottilie = jdbc.queryForObject(
                "select f.id from fitting f join family a on a.id = f.family_id where a.reference = 'W-1031'",
                UUID.class);
        // Everybody was here three years ago.
        jdbc.update("update fitting set touched_at = now() - interval '3 years'");
        jdbc.update("update due_item set done = true where fitting_id = ?", ottilie);
    }

    private String nameOf(UUID fitting) {
        return jdbc.queryForObject(
                "select a.child_name from fitting f join family a on a.id = f.family_id where f.id = ?",
                String.class,
                fitting);
    }

    @Test
    void aTrialNamesWhomAndDoesNothing() {
        Retention.Trial trial = retention.tried(point, TWO_YEARS);
        assertThat(trial.first()).extracting(Retention.Whom::reference).contains("W-1031");
        assertThat(retention.tried(point, 60).families()).isZero();
        assertThat(nameOf(ottilie)).isEqualTo("Ottilie");
        assertThat(retention.forget(point)).as("no rule is in force").isZero();
    }

    @Test
    void inForceItForgetsWhomTheTrialNamedAndKeepsTheSeal() {
        int open =
                jdbc.queryForObject("select count(*) from fitting where state in ('OPEN', 'PREPARED')", Integer.class);
        String seal = jdbc.queryForObject("select sha256 from seal where fitting_id = ?", String.class, ottilie);
        int named = retention.tried(point, TWO_YEARS).families();
        retention.put(lead, Optional.of(TWO_YEARS));
        assertThat(retention.rule(point.id()).orElseThrow().by()).isEqualTo("ilse");
        assertThat(retention.forget(point)).isEqualTo(named).isPositive();
        assertThat(nameOf(ottilie)).isEqualTo("(erased)");
        entities.flush();
        assertThat(jdbc.queryForObject(
                        "select count(*) from entry where fitting_id = ? and document::text like '%last here more than 24 months ago%'",
                        Integer.class, ottilie))
                .as("the record says by which rule")
                .isEqualTo(1);
        assertThat(jdbc.queryForObject("select sha256 from seal where fitting_id = ?", String.class, ottilie))
                .isEqualTo(seal);
        assertThat(jdbc.queryForObject(
                        "select count(*) from fitting f join family a on a.id = f.family_id"
                                + " where f.state in ('OPEN', 'PREPARED') and a.child_name = '(erased)'",
                        Integer.class))
                .as("who has something under way is known on, all %d of them", open)
                .isZero();
        assertThat(retention.forget(point)).as("once").isZero();
        retention.put(lead, Optional.empty());
        assertThat(retention.rule(point.id())).isEmpty();
    }

    @Test
    void whoHasSomethingToComeOrOnLoanIsKept() {
        jdbc.update("update due_item set done = false, likely = current_date + 3 where fitting_id = ?", ottilie);
        retention.put(lead, Optional.of(TWO_YEARS));
        retention.forget(point);
        assertThat(nameOf(ottilie)).isEqualTo("Ottilie");
        assertThat(lead.author().role()).isEqualTo(Author.Role.LEAD);
    }
}
