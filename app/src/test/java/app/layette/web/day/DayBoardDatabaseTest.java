package app.layette.web.day;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.Points;
import app.layette.web.account.TestUsers;
import app.layette.web.account.Users;
import app.layette.web.account.Viewing;
import app.layette.web.day.Appointment.What;
import app.layette.web.support.DatabaseTest;
import app.layette.web.workbench.TodayPlan;
import java.sql.Timestamp;
import java.time.LocalDate;
import java.util.Locale;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.annotation.Transactional;

/** What the day's page says of the days before, over the real database; each test takes back what it wrote. */
@Transactional
class DayBoardDatabaseTest extends DatabaseTest {
    @Autowired
    private TodayPlan plan;

    @Autowired
    private Appointments appointments;

    @Autowired
    private Points points;

    @Autowired
    private Users users;

    @Autowired
    private Viewing viewing;

    @Autowired
    private JdbcTemplate jdbc;

    private Point point;
    private LocalDate today;

    @BeforeEach
    void find() {
        point = points.findAllByOrderByOpenedAt().get(0);
        today = viewing.today(point);
        jdbc.update("update fitting set touched_at = touched_at - interval '30 days'");
        jdbc.update("update entry set at = at - interval '30 days'");
    }

    private String yesterday() {
        return plan.on(TestUsers.signedIn(users.findByName("marit").orElseThrow()), today)
                .yesterday();
    }

    private void found(UUID fitting, String misuse, boolean there, LocalDate day) {
        jdbc.update(
                "insert into entry (point_id, fitting_id, seq, id, at, document) select ?, ?, max(seq) + 1,"
                        + " gen_random_uuid(), ?, cast(? as jsonb) from entry where fitting_id = ?",
                point.id(),
                fitting,
                Timestamp.from(day.atTime(11, 0).atZone(point.zone()).toInstant()),
                "{\"fact\": {\"kind\": \"foundSo\", \"misuse\": \"" + misuse + "\", \"there\": " + there + "}}",
                fitting);
    }

    @Test
    void yesterdaySaysWhatWasFoundWrongMostOften() {
        assertThat(yesterday()).isEmpty();
        UUID fitting = jdbc.queryForObject(
                "select id from fitting where point_id = ? and id = record_id order by id limit 1",
                UUID.class,
                point.id());
        LocalDate before = today.minusDays(1);
        jdbc.update(
                "update fitting set touched_at = ? where id = ?",
                Timestamp.from(before.atTime(12, 0).atZone(point.zone()).toInstant()),
                fitting);
        assertThat(yesterday()).contains("1 fitting").doesNotContain("×");
        found(fitting, "clipLow", true, before);
        found(fitting, "harnessLoose", true, before);
        found(fitting, "harnessLoose", true, before);
        for (int i = 0; i < 4; i++) {
            found(fitting, "clipHigh", false, before);
            found(fitting, "clipLow", true, before.minusDays(1));
        }
        String loose = Viewing.wording(Locale.ENGLISH, Wording.DEFAULT_UNITS).say("misuse.HARNESS_LOOSE");
        assertThat(yesterday()).contains(loose + " (2×)");
    }

    @Test
    void howLongAThingTakesIsLearnedFromTheLastThatEnded() {
        assertThat(appointments.minutes(point.id(), What.FULL))
                .as("too few ended")
                .isEqualTo(What.FULL.floorMinutes());
        int lines = jdbc.update(
                "insert into ledger_line (point_id, fitting_id, day, ended_at, ending, by_user, method, minutes, looks,"
                        + " kind) select point_id, id, ?, now(), 'HANDED_OVER', 'marit', '', 93, 0, '' from fitting"
                        + " where point_id = ? and id not in (select fitting_id from ledger_line) limit 6",
                today,
                point.id());
        assertThat(lines).isEqualTo(6);
        assertThat(appointments.minutes(point.id(), What.FULL)).isEqualTo(95);
    }
}
