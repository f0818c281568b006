package app.layette.web.due;

import app.layette.core.coming.DueKind;
import app.layette.core.evidence.Complete;
import java.sql.ResultSet;
import java.sql.SQLException;
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
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.core.simple.JdbcClient.StatementSpec;
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
    private static final String OPEN = " i.point_id = :point and i.earliest <= :until and" + DueOpen.on(":today");
    /** Of a child in the same restraint and car the newest fitting tells what comes next; older ones are history. */
    private static final String TAKE_OVER = "update due_item i set taken_over = t.over from (select f.id, exists"
            + " (select 1 from fitting g where g.point_id = f.point_id and g.family_id = f.family_id and g.rider = f.rider"
            + " and g.created_at > f.created_at and g.seat_sheet = f.seat_sheet and g.car is not distinct from f.car"
            + " and g.state in ('HANDED_OVER', 'LEFT_WITH_OPEN_FINDINGS')) as over from fitting f where f.point_id = :point"
            + " and f.family_id = (select family_id from fitting where point_id = :point and id = :fitting)) t"
            + " where i.point_id = :point and i.fitting_id = t.id and i.taken_over <> t.over";

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
    @Complete
    record Item(
            UUID fittingId,
            String child,
            String reference,
            String what,
            LocalDate earliest,
            LocalDate likely,
            @Nullable LocalDate latest,
            @Nullable String every,
            boolean done,
            @Nullable LocalDate hiddenUntil,
            String person,
            int revision) {
        /** Without what stands elsewhere, as it was read back before anything changed. */
        private Item asKept() {
            return DueItemsItemParts.builder()
                    .fittingId(fittingId)
                    .child("")
                    .reference("")
                    .what(what)
                    .earliest(earliest)
                    .likely(likely)
                    .latest(latest)
                    .every(every)
                    .done(done)
                    .hiddenUntil(hiddenUntil)
                    .person(person)
                    .revision(0)
                    .build();
        }

        DueKind kind() {
            return DueKind.ofKey(what);
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
            @Nullable LocalDate until,
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
                .query(DueItems::read)
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

    /** After an ending: older fittings of the same child in the same restraint and car are history. */
    void takeOver(UUID fitting, UUID point) {
        jdbc.sql(TAKE_OVER).param("fitting", fitting).param("point", point).update();
    }

    /**
     * What is asked for.
     *
     * @param what key of one kind; empty for all
     * @param person who has to see to it; empty for everybody
     * @param family part of a name or reference, in lower case; empty for all
     * @param together whether what is due of one family stands together
     */
    record Asked(String what, String person, String family, boolean together) {
        static final Asked ALL = new Asked("", "", "", false);

        private String where() {
            return (what.isEmpty() ? "" : " and i.what = :what")
                    + (person.isEmpty() ? "" : " and i.person = :person")
                    + (family.isEmpty()
                            ? ""
                            : " and lower(coalesce(f.child_name, a.child_name) || ' ' || a.reference) like :family");
        }

        private String order() {
            String own = "case when i.likely < :today then 0 else 1 end, i.earliest, i.fitting_id, i.what, i.likely";
            return together
                    ? "min(case when i.likely < :today then 0 else 1000000 end + (i.earliest - date '2000-01-01'))"
                            + " over (partition by f.family_id), f.family_id, " + own
                    : own;
        }
    }

    /** What comes due up to a day and is neither done nor put off: what is overdue first, then the earliest. */
    List<Item> open(UUID point, LocalDate today, LocalDate until, int most) {
        return open(point, today, until, Asked.ALL, most, 0);
    }

    /** The same, of what is asked for, from a line on. */
    List<Item> open(UUID point, LocalDate today, LocalDate until, Asked asked, int most, int from) {
        if (!asked.family().isEmpty() || asked.together()) {
            return read(
                    COLUMNS + " where" + OPEN + asked.where() + " order by " + asked.order()
                            + " limit :most offset :from",
                    point,
                    today,
                    until,
                    asked,
                    most,
                    from);
        }
        // Two walks along the index, each ending after a page; families are looked up for its lines alone.
        List<Item> open = new ArrayList<>(part(" and i.likely < :today", point, today, until, asked, most, from));
        if (open.size() < most) {
            int overdue = open.isEmpty() && from > 0 ? overdue(point, today, until, asked) : from + open.size();
            open.addAll(part(
                    " and i.likely >= :today",
                    point,
                    today,
                    until,
                    asked,
                    most - open.size(),
                    Math.max(0, from - overdue)));
        }
        return open;
    }

    private List<Item> part(
            String part, UUID point, LocalDate today, LocalDate until, Asked asked, int most, int from) {
        String lines = "from (select i.* from due_item i where" + OPEN + asked.where() + part
                + " order by i.earliest, i.fitting_id, i.what, i.likely limit :most offset :from) i";
        String sql = COLUMNS.replace("from due_item i", lines) + " order by i.earliest, i.fitting_id, i.what, i.likely";
        return read(sql, point, today, until, asked, most, from);
    }

    private List<Item> read(String sql, UUID point, LocalDate today, LocalDate until, Asked asked, int most, int from) {
        return params(jdbc.sql(sql), point, today, until, asked)
                .param("most", most)
                .param("from", from)
                .query(DueItems::read)
                .list();
    }

    private int overdue(UUID point, LocalDate today, LocalDate until, Asked asked) {
        return params(
                        jdbc.sql("select count(*) from due_item i where" + OPEN + asked.where()
                                + " and i.likely < :today"),
                        point,
                        today,
                        until,
                        asked)
                .query(Integer.class)
                .single();
    }

    private static StatementSpec params(StatementSpec sql, UUID point, LocalDate today, LocalDate until, Asked asked) {
        StatementSpec filled = sql.param("point", point)
                .param("today", today)
                .param("until", until)
                .param("what", asked.what())
                .param("person", asked.person());
        return filled.param(
                "family",
                "%" + asked.family().replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_") + "%");
    }

    /** How many there are of what is asked for. */
    int count(UUID point, LocalDate today, LocalDate until, Asked asked) {
        String joined = asked.family().isEmpty()
                ? ""
                : " join fitting f on f.point_id = i.point_id and f.id = i.fitting_id"
                        + " join family a on a.point_id = f.point_id and a.id = f.family_id";
        return params(
                        jdbc.sql("select count(*) from due_item i" + joined + " where" + OPEN + asked.where()),
                        point,
                        today,
                        until,
                        asked)
                .query(Integer.class)
                .single();
    }

    /** How many there are of one kind for one person. */
    record Count(String what, String person, int count) {}

    List<Count> counts(UUID point, LocalDate today, LocalDate until) {
        return params(
                        jdbc.sql("select i.what, i.person, count(*) as count from due_item i where" + OPEN
                                + " group by i.what, i.person"),
                        point,
                        today,
                        until,
                        Asked.ALL)
                .query((row, number) -> new Count(row.getString("what"), row.getString("person"), row.getInt("count")))
                .list();
    }

    private static Item read(ResultSet row, int number) throws SQLException {
        return DueItemsItemParts.builder()
                .fittingId(row.getObject("fitting_id", UUID.class))
                .child(row.getString("child"))
                .reference(row.getString("reference"))
                .what(row.getString("what"))
                .earliest(row.getObject("earliest", LocalDate.class))
                .likely(row.getObject("likely", LocalDate.class))
                .latest(row.getObject("latest", LocalDate.class))
                .every(row.getString("every"))
                .done(row.getBoolean("done"))
                .hiddenUntil(row.getObject("hidden_until", LocalDate.class))
                .person(row.getString("person"))
                .revision(row.getInt("revision"))
                .build();
    }

    /** What a family still has before it: what was put off for us is not put off for them. */
    List<Item> of(UUID point, UUID fitting) {
        return jdbc.sql(
                        COLUMNS
                                + " where i.point_id = :point and i.fitting_id = :fitting and not i.done order by i.earliest, i.what")
                .param("point", point)
                .param("fitting", fitting)
                .query(DueItems::read)
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
