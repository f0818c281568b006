package app.layette.web.day;

import java.sql.Time;
import java.sql.Timestamp;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Bays, hours and a few appointments for the made-up fitting point. */
@Component
public class DemoDay {
    private static final int DUE_IN_DAYS = 38;

    private final JdbcClient jdbc;

    DemoDay(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Once; a point that has bays is left as it is. */
    @Transactional
    public void load(UUID point, LocalDate today, Instant now) {
        boolean isThere = jdbc.sql("select count(*) from bay where point_id = :point")
                        .param("point", point)
                        .query(Integer.class)
                        .single()
                > 0;
        if (isThere) {
            return;
        }
        UUID one = bay(point, "1", false, 0, 1);
        UUID two = bay(point, "2", false, 0, 2);
        UUID ward = bay(point, "Ward 3", true, 15, 3);
        for (DayOfWeek day : DayOfWeek.values()) {
            jdbc.sql(
                            "insert into opening (point_id, weekday, from_time, to_time) values (:point, :day, '09:00', '17:00')")
                    .param("point", point)
                    .param("day", day.getValue())
                    .update();
        }
        book(point, one, today, "9:00", "10:00", "FOLLOW_UP", "Ottilie", "CAME", now);
        book(point, one, today, "10:45", "12:00", "FULL", "Aldis", "CAME", now);
        book(point, two, today, "11:00", "12:15", "FULL", "Petra", "CAME", now);
        book(point, two, today, "14:00", "14:45", "FOLLOW_UP", "Soren", "BOOKED", now);
        book(point, ward, today, "10:00", "10:40", "BEDSIDE", "Edda", "NO_SHOW", now);
        expecting(point, one, today, now);
    }

    /** A family that called: its child is due in five weeks, and the base goes in today. */
    private void expecting(UUID point, UUID bay, LocalDate today, Instant now) {
        jdbc.sql(
                        "insert into appointment (id, point_id, bay_id, day, from_time, to_time, minutes, what, who, reference,"
                                + " due_on, state, made_by, changed_at) values (:id, :point, :bay, :day, '15:00', '15:45', 45,"
                                + " 'BEFORE_BIRTH', 'Winifred', 'W-1070', :due, 'BOOKED', 'marit', :at)")
                .param("id", UUID.randomUUID())
                .param("point", point)
                .param("bay", bay)
                .param("day", today)
                .param("due", today.plusDays(DUE_IN_DAYS))
                .param("at", Timestamp.from(now))
                .update();
    }

    private UUID bay(UUID point, String name, boolean ward, int travel, int place) {
        UUID id = UUID.randomUUID();
        jdbc.sql("insert into bay (id, point_id, name, ward, travel_minutes, place)"
                        + " values (:id, :point, :name, :ward, :travel, :place)")
                .param("id", id)
                .param("point", point)
                .param("name", name)
                .param("ward", ward)
                .param("travel", travel)
                .param("place", place)
                .update();
        return id;
    }

    /** With the family's own fitting, where it has one. */
    private void book(
            UUID point,
            UUID bay,
            LocalDate day,
            String from,
            String to,
            String what,
            String child,
            String state,
            Instant now) {
        LocalTime begins = Openings.time(from);
        LocalTime ends = Openings.time(to);
        jdbc.sql(
                        "insert into appointment (id, point_id, bay_id, day, from_time, to_time, minutes, what, who, reference,"
                                + " fitting_id, state, made_by, changed_at) select :id, :point, :bay, :day, :from, :to, :minutes,"
                                + " :what, a.child_name, a.reference, f.id, :state, 'marit', :at from family a join fitting f"
                                + " on f.family_id = a.id where f.point_id = :point and a.child_name = :child limit 1")
                .param("id", UUID.randomUUID())
                .param("point", point)
                .param("bay", bay)
                .param("day", day)
                .param("from", Time.valueOf(begins))
                .param("to", Time.valueOf(ends))
                .param("minutes", (ends.toSecondOfDay() - begins.toSecondOfDay()) / 60)
                .param("what", what)
                .param("state", state)
                .param("at", Timestamp.from(now))
                .param("child", child)
                .update();
    }
}
