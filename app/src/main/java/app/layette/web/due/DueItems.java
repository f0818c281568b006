package app.layette.web.due;

import java.sql.Timestamp;
import java.sql.Types;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Period;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The projection of what comes due, and the marks set on it. Plain SQL: a list over many rows, never a graph. */
@Repository
class DueItems {
    private static final Duration HUNG = Duration.ofMinutes(5);

    private static final String COLUMNS =
            "select i.fitting_id, coalesce(f.child_name, a.child_name) as child, a.reference, i.what, i.earliest,"
                    + " i.likely, i.latest, i.every, i.done, i.hidden_until, i.person, r.last_seq as revision from due_item i"
                    + " join fitting f on f.point_id = i.point_id and f.id = i.fitting_id"
                    + " join fitting r on r.point_id = f.point_id and r.id = f.record_id"
                    + " join family a on a.point_id = f.point_id and a.id = f.family_id";
    /** A newer fitting of this child in the same restraint and car tells what comes next; the older one is history. */
    private static final String NOT_TAKEN_OVER =
            " and not exists (select 1 from fitting g where g.point_id = f.point_id and g.family_id = f.family_id and g.rider = f.rider"
                    + " and g.created_at > f.created_at and g.seat_sheet = f.seat_sheet and g.car is not distinct from f.car"
                    + " and g.state in ('HANDED_OVER', 'LEFT_WITH_OPEN_FINDINGS'))";

    /**
     * One thing of one family.
     *
     * @param latest {@code null} where it is after two years
     * @param done whether it was done
     * @param hiddenUntil the day until which it is put off; {@code null} where it is not
     * @param every how long after it was done it comes again, as an ISO 8601 period; {@code null} for what comes once
     * @param person who has to see to it, as they sign in
     * @param revision grows with each change of the fitting
     */
    record Item(
            UUID fittingId,
            String child,
            String reference,
            String what,
            LocalDate earliest,
            LocalDate likely,
            LocalDate latest,
            String every,
            boolean done,
            LocalDate hiddenUntil,
            String person,
            int revision) {
        /** Without what stands elsewhere, as it was read back before anything changed. */
        private Item asKept() {
            return new Item(fittingId, "", "", what, earliest, likely, latest, every, done, hiddenUntil, person, 0);
        }

        Optional<Period> period() {
            return Optional.ofNullable(every).map(Period::parse);
        }
    }

    /** Something noted about it. {@code until} is {@code null} unless it was put off; {@code day} is when it was noted. */
    record Mark(
            UUID fittingId,
            String what,
            LocalDate dueOn,
            Kind kind,
            LocalDate until,
            String note,
            String byUser,
            LocalDate day) {
        /** What was done about it. */
        enum Kind {
            DONE,
            SNOOZED,
            CONTACT
        }
    }

    private final JdbcClient jdbc;

    DueItems(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void replace(UUID fitting, UUID point, List<Item> items) {
        List<Item> before = jdbc.sql("select fitting_id, '' as child, '' as reference, what, earliest, likely, latest,"
                        + " every, done, hidden_until, person, 0 as revision from due_item"
                        + " where point_id = :point and fitting_id = :fitting")
                .param("point", point)
                .param("fitting", fitting)
                .query(Item.class)
                .list();
        List<Item> now = items.stream().map(Item::asKept).toList();
        // Most entries change none of it: then nothing is written.
        List<Item> gone = before.stream().filter(each -> !now.contains(each)).toList();
        for (Item item : gone) {
            jdbc.sql("delete from due_item where point_id = :point and fitting_id = :fitting and what = :what"
                            + " and likely = :likely")
                    .param("point", point)
                    .param("fitting", fitting)
                    .param("what", item.what())
                    .param("likely", item.likely())
                    .update();
        }
        for (Item item : now.stream().filter(each -> !before.contains(each)).toList()) {
            jdbc.sql(
                            "insert into due_item (fitting_id, point_id, what, earliest, likely, latest, every, done,"
                                    + " hidden_until, person) values (:fitting, :point, :what, :earliest, :likely, :latest, :every, :done, :hidden, :person)")
                    .param("fitting", fitting)
                    .param("point", point)
                    .param("what", item.what())
                    .param("earliest", item.earliest())
                    .param("likely", item.likely())
                    .param("latest", item.latest(), Types.DATE)
                    .param("every", item.every(), Types.VARCHAR)
                    .param("done", item.done())
                    .param("hidden", item.hiddenUntil(), Types.DATE)
                    .param("person", item.person())
                    .update();
        }
    }

    /**
     * What comes due up to a day and is neither done nor put off: what is overdue first, then the earliest. Asked in two
     * parts, each in the order of the index: whatever is overdue, and then what is ahead while there is room.
     */
    List<Item> open(UUID point, LocalDate today, LocalDate until, int most) {
        List<Item> open = new ArrayList<>(open(point, today, until, most, " and i.likely < :today"));
        if (open.size() < most) {
            open.addAll(open(point, today, until, most - open.size(), " and i.likely >= :today"));
        }
        return open;
    }

    private List<Item> open(UUID point, LocalDate today, LocalDate until, int most, String part) {
        return jdbc.sql(COLUMNS + " where i.point_id = :point and not i.done and i.earliest <= :until"
                        + " and (i.hidden_until is null or i.hidden_until <= :today)" + part + NOT_TAKEN_OVER
                        + " order by i.earliest, i.fitting_id, i.what limit :most")
                .param("point", point)
                .param("until", until)
                .param("today", today)
                .param("most", most)
                .query(Item.class)
                .list();
    }

    /** What a family still has before it: what was put off for us is not put off for them. */
    List<Item> of(UUID point, UUID fitting) {
        return jdbc.sql(
                        COLUMNS
                                + " where i.point_id = :point and i.fitting_id = :fitting and not i.done order by i.earliest, i.what")
                .param("point", point)
                .param("fitting", fitting)
                .query(Item.class)
                .list();
    }

    Optional<Item> find(UUID point, UUID fitting, String what, LocalDate likely) {
        return of(point, fitting).stream()
                .filter(item -> item.what().equals(what) && item.likely().equals(likely))
                .findFirst();
    }

    /** Whether a mark with this id was noted before. */
    boolean isMarked(UUID point, UUID id) {
        return jdbc.sql("select count(*) from due_mark where point_id = :point and id = :id")
                        .param("point", point)
                        .param("id", id)
                        .query(Long.class)
                        .single()
                > 0;
    }

    /** Whether nobody else is sending this letter just now; one that hung is sent again after some minutes. */
    boolean beginsToSend(UUID point, UUID id, Instant now) {
        return jdbc.sql("insert into letter_under_way (point_id, id, at) values (:point, :id, :at)"
                                + " on conflict (point_id, id) do update set at = excluded.at"
                                + " where letter_under_way.at < :hung")
                        .param("point", point)
                        .param("id", id)
                        .param("at", Timestamp.from(now))
                        .param("hung", Timestamp.from(now.minus(HUNG)))
                        .update()
                == 1;
    }

    /** It is under way no more, sent or not. */
    void isSent(UUID point, UUID id) {
        jdbc.sql("delete from letter_under_way where point_id = :point and id = :id")
                .param("point", point)
                .param("id", id)
                .update();
    }

    /** Notes a mark; false when it was noted before. */
    boolean mark(UUID point, UUID id, Mark mark, Instant at) {
        return jdbc.sql(
                                "insert into due_mark (point_id, id, fitting_id, what, due_on, kind, until, note, by_user, at, day)"
                                        + " values (:point, :id, :fitting, :what, :due, :kind, :until, :note, :by, :at, :day)"
                                        + " on conflict (point_id, id) do nothing")
                        .param("point", point)
                        .param("id", id)
                        .param("fitting", mark.fittingId())
                        .param("what", mark.what())
                        .param("due", mark.dueOn())
                        .param("kind", mark.kind().name())
                        .param("until", mark.until(), Types.DATE)
                        .param("note", mark.note())
                        .param("by", mark.byUser())
                        .param("at", Timestamp.from(at))
                        .param("day", mark.day())
                        .update()
                > 0;
    }

    /** The seat sheet of each of these fittings. */
    Map<UUID, String> seats(UUID point, List<UUID> fittings) {
        if (fittings.isEmpty()) {
            return Map.of();
        }
        Map<UUID, String> seats = new HashMap<>();
        jdbc.sql("select id, seat_sheet from fitting where point_id = :point and id in (:fittings)")
                .param("point", point)
                .param("fittings", fittings)
                .query(row -> {
                    seats.put(row.getObject(1, UUID.class), row.getString(2));
                });
        return seats;
    }

    /** What was said to or by a family that is erased; that something was done stays. */
    void forgetNotes(UUID point, List<UUID> fittings) {
        jdbc.sql("update due_mark set note = '' where point_id = :point and fitting_id in (:fittings)")
                .param("point", point)
                .param("fittings", fittings)
                .update();
    }

    /** Every mark on these fittings, the newest first. */
    List<Mark> marks(UUID point, List<UUID> fittings) {
        return fittings.isEmpty()
                ? List.of()
                : jdbc.sql("select fitting_id, what, due_on, kind, until, note, by_user, day from due_mark"
                                + " where point_id = :point and fitting_id in (:fittings) order by at desc")
                        .param("point", point)
                        .param("fittings", fittings)
                        .query(Mark.class)
                        .list();
    }
}
