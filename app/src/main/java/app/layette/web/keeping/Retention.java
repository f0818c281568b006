package app.layette.web.keeping;

import app.layette.core.entry.Author;
import app.layette.core.finding.Argument;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Erasing;
import app.layette.web.trail.Trail;
import app.layette.web.wall.Wall;
import java.sql.Timestamp;
import java.sql.Types;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * How long a point keeps who its families were. A rule is tried first: whom it would forget is listed, and nothing is done.
 * Put in force, it forgets every night whoever was last here longer ago, has nothing under way and nothing to come. Records
 * and seals stay, for whom no longer.
 */
@Service
class Retention {
    static final int FEWEST_MONTHS = 6;
    static final int MOST_MONTHS = 240;

    private static final Logger LOG = LoggerFactory.getLogger(Retention.class);
    private static final int A_NIGHT = 500;
    private static final int SHOWN = 50;
    private static final int UNCLAIMED_DAYS = 30;

    private static final String WHOM =
            " from family a where a.point_id = :point and a.child_name <> '" + Erasing.NAME + "'"
                    + " and exists (select 1 from fitting f where f.point_id = a.point_id and f.family_id = a.id)"
                    + " and not exists (select 1 from fitting f where f.point_id = a.point_id and f.family_id = a.id"
                    + " and (f.touched_at >= :before or f.state in ('OPEN', 'PREPARED')))"
                    + " and not exists (select 1 from due_item d join fitting f on f.point_id = d.point_id and f.id = d.fitting_id"
                    + " where f.point_id = a.point_id and f.family_id = a.id and not d.done and d.likely >= :today)"
                    + " and not exists (select 1 from stock_seat s join fitting f on f.point_id = s.point_id and f.id = s.fitting_id"
                    + " where f.point_id = a.point_id and f.family_id = a.id)";

    private final JdbcClient jdbc;
    private final Erasing erasing;
    private final Viewing viewing;
    private final Trail trail;

    Retention(JdbcClient jdbc, Erasing erasing, Viewing viewing, Trail trail) {
        this.jdbc = jdbc;
        this.erasing = erasing;
        this.viewing = viewing;
        this.trail = trail;
    }

    /**
     * The rule of a point.
     *
     * @param from since when it counts
     * @param by who put it in force
     */
    record Rule(int months, LocalDate from, String by) {}

    /** A family that a rule would forget, with the day on which it was last here. */
    record Whom(String reference, LocalDate last) {}

    /** What a rule would do today: how many it is about, and the first of them. */
    record Trial(int families, List<Whom> first) {}

    @Transactional(readOnly = true)
    Optional<Rule> rule(UUID point) {
        return jdbc.sql("select keep_months as months, keep_from as \"from\", keep_by as by from point"
                        + " where id = :point and keep_months is not null")
                .param("point", point)
                .query(Rule.class)
                .optional();
    }

    /** Whom a rule would forget today; nothing is done. */
    @Transactional(readOnly = true)
    Trial tried(Point point, int months) {
        LocalDate today = viewing.today(point);
        Timestamp before = before(point, months, today);
        int families = jdbc.sql("select count(*)" + WHOM)
                .param("point", point.id())
                .param("before", before)
                .param("today", today)
                .query(Integer.class)
                .single();
        List<Whom> first = jdbc.sql("select a.reference, (select max(f.touched_at)::date from fitting f"
                        + " where f.point_id = a.point_id and f.family_id = a.id) as last" + WHOM
                        + " order by 2, 1 limit " + SHOWN)
                .param("point", point.id())
                .param("before", before)
                .param("today", today)
                .query(Whom.class)
                .list();
        return new Trial(families, first);
    }

    private static Timestamp before(Point point, int months, LocalDate today) {
        return Timestamp.from(
                today.minusMonths(months).atStartOfDay(point.zone()).toInstant());
    }

    /** Puts a rule in force, or takes it back where there are no months. */
    @Transactional
    void put(SignedIn lead, Optional<Integer> months) {
        jdbc.sql("update point set keep_months = :months, keep_from = :from, keep_by = :by where id = :point")
                .param("months", months.orElse(null), Types.INTEGER)
                .param(
                        "from",
                        months.map(each -> viewing.today(viewing.point(lead))).orElse(null),
                        Types.DATE)
                .param("by", months.map(each -> lead.getUsername()).orElse(null), Types.VARCHAR)
                .param("point", lead.pointId())
                .update();
        trail.add(
                lead.pointId(),
                lead.getUsername(),
                Trail.What.RETENTION_CHANGED,
                viewing.wording(lead).say("keeping.ruleSet", Map.of("months", Argument.of(months.orElse(0)))));
    }

    /** Every night, for each point by its own rule. */
    @Scheduled(cron = "0 10 3 * * *")
    void night() {
        List<UUID> points = jdbc.sql("select id from point").query(UUID.class).list();
        for (UUID point : points) {
            Wall.Inside own = Wall.inside(point);
            try {
                forget(viewing.point(point));
                tidy(point);
            } catch (RuntimeException e) {
                // One point's fault is not the others'.
                LOG.error("What the point {} keeps was not looked through", point, e);
            } finally {
                own.close();
            }
        }
    }

    /** Does what the rule says; how many families were forgotten. */
    int forget(Point point) {
        Optional<Rule> rule = rule(point.id());
        if (rule.isEmpty()) {
            return 0;
        }
        LocalDate today = viewing.today(point);
        List<UUID> fittings = jdbc.sql("select (select f.id from fitting f where f.point_id = a.point_id"
                        + " and f.family_id = a.id order by f.created_at desc limit 1)" + WHOM + " limit " + A_NIGHT)
                .param("point", point.id())
                .param("before", before(point, rule.get().months(), today))
                .param("today", today)
                .query(UUID.class)
                .list();
        String note = viewing.wordingOf(rule.get().by())
                .say("keeping.byRule", Map.of("months", Argument.of(rule.get().months())));
        for (UUID fitting : fittings) {
            erasing.erase(fitting, note, point.id(), new Author(rule.get().by(), Author.Role.LEAD));
        }
        return fittings.size();
    }

    /** What was never a family's, and is of no use any more. */
    private void tidy(UUID point) {
        Timestamp now = Timestamp.from(viewing.clock().instant());
        jdbc.sql("delete from brought_in where point_id = :point and fitting_id is null and at < :old")
                .param("point", point)
                .param("old", Timestamp.from(viewing.clock().instant().minus(UNCLAIMED_DAYS, ChronoUnit.DAYS)))
                .update();
        jdbc.sql(
                        "delete from program_answer where point_id = :point and at < cast(:now as timestamptz) - interval '1 day'")
                .param("point", point)
                .param("now", now)
                .update();
        jdbc.sql(
                        "delete from program_use where point_id = :point and minute < cast(:now as timestamptz) - interval '7 days'")
                .param("point", point)
                .param("now", now)
                .update();
    }
}
