package app.layette.web.due;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The projection of what comes due, and the marks set on it. Plain SQL: a list over many rows, never a graph. */
@Repository
class DueItems {
    /** One thing of one family. {@code latest} may be {@code null}. */
    record Item(
            UUID fittingId,
            String child,
            String reference,
            String what,
            LocalDate earliest,
            LocalDate likely,
            LocalDate latest) {}

    /** Something noted about it. {@code until} is {@code null} unless it was put off. */
    record Mark(
            UUID fittingId, String what, LocalDate dueOn, String kind, LocalDate until, String note, String byUser) {}

    private final JdbcClient jdbc;

    DueItems(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void replace(UUID fitting, UUID point, List<Item> items) {
        jdbc.sql("delete from due_item where fitting_id = ?").param(fitting).update();
        for (Item item : items) {
            jdbc.sql("insert into due_item (fitting_id, point_id, what, earliest, likely, latest)"
                            + " values (:fitting, :point, :what, :earliest, :likely, :latest)")
                    .param("fitting", fitting)
                    .param("point", point)
                    .param("what", item.what())
                    .param("earliest", item.earliest())
                    .param("likely", item.likely())
                    .param("latest", item.latest(), java.sql.Types.DATE)
                    .update();
        }
    }

    /** What comes due up to a day and is neither done nor put off, the earliest first. */
    List<Item> open(UUID point, LocalDate today, LocalDate until, int most) {
        return jdbc.sql(
                        "select i.fitting_id, a.child_name as child, a.reference, i.what, i.earliest, i.likely, i.latest"
                                + " from due_item i join fitting f on f.id = i.fitting_id join family a on a.id = f.family_id"
                                + " where i.point_id = :point and i.earliest <= :until and not exists (select 1 from due_mark m"
                                + " where m.fitting_id = i.fitting_id and m.what = i.what and m.due_on = i.likely"
                                + " and (m.kind = 'DONE' or m.kind = 'SNOOZED' and m.until > :today))"
                                + " order by i.earliest, a.reference, i.what limit :most")
                .param("point", point)
                .param("until", until)
                .param("today", today)
                .param("most", most)
                .query(Item.class)
                .list();
    }

    List<Item> of(UUID fitting) {
        return jdbc.sql(
                        "select i.fitting_id, a.child_name as child, a.reference, i.what, i.earliest, i.likely, i.latest"
                                + " from due_item i join fitting f on f.id = i.fitting_id join family a on a.id = f.family_id"
                                + " where i.fitting_id = :fitting order by i.earliest, i.what")
                .param("fitting", fitting)
                .query(Item.class)
                .list();
    }

    boolean exists(UUID fitting, String what, LocalDate likely) {
        return jdbc.sql(
                                "select count(*) from due_item where fitting_id = :fitting and what = :what and likely = :likely")
                        .param("fitting", fitting)
                        .param("what", what)
                        .param("likely", likely)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    void mark(UUID id, Mark mark, java.time.Instant at) {
        jdbc.sql(
                        "insert into due_mark (id, fitting_id, what, due_on, kind, until, note, by_user, at)"
                                + " values (:id, :fitting, :what, :due, :kind, :until, :note, :by, :at) on conflict (id) do nothing")
                .param("id", id)
                .param("fitting", mark.fittingId())
                .param("what", mark.what())
                .param("due", mark.dueOn())
                .param("kind", mark.kind())
                .param("until", mark.until(), java.sql.Types.DATE)
                .param("note", mark.note())
                .param("by", mark.byUser())
                .param("at", java.sql.Timestamp.from(at))
                .update();
    }

    List<Mark> marks(UUID point) {
        return jdbc.sql("select m.fitting_id, m.what, m.due_on, m.kind, m.until, m.note, m.by_user from due_mark m"
                        + " join fitting f on f.id = m.fitting_id where f.point_id = :point order by m.at")
                .param("point", point)
                .query(Mark.class)
                .list();
    }

    /** The feed of a user, made where there is none. */
    String feed(UUID user, String freshToken, java.time.Instant at) {
        jdbc.sql("insert into calendar_feed (token, user_id, made_at) values (:token, :user, :at)"
                        + " on conflict (user_id) do nothing")
                .param("token", freshToken)
                .param("user", user)
                .param("at", java.sql.Timestamp.from(at))
                .update();
        return jdbc.sql("select token from calendar_feed where user_id = :user")
                .param("user", user)
                .query(String.class)
                .single();
    }

    /** The fitting point whose follow-ups a feed shows; empty when there is no such feed. */
    java.util.Optional<UUID> pointOfFeed(String token) {
        return jdbc.sql(
                        "select u.point_id from calendar_feed c join app_user u on u.id = c.user_id where c.token = :token")
                .param("token", token)
                .query(UUID.class)
                .optional();
    }
}
