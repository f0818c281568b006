package app.layette.web.ledger;

import app.layette.web.account.Point;
import java.sql.Timestamp;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Counts what was ended in a year, out of the lines that {@link LedgerLines} writes. */
@Service
class Ledger {
    /** How fittings are laid together. */
    enum By {
        MONTH("to_char(day, 'MM')"),
        WEEK("to_char(day, 'IW')"),
        PERSON("by_user"),
        METHOD("method"),
        /** Of the restraint. */
        KIND("kind");

        private final String sql;

        By(String sql) {
            this.sql = sql;
        }
    }

    /** How a fitting ended, in the order in which it is drawn. */
    static final List<String> ENDINGS = List.of("HANDED_OVER", "LEFT_WITH_OPEN_FINDINGS", "TAUGHT", "NOT_FITTED");

    private final JdbcClient jdbc;

    Ledger(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * A fitting that ended.
     *
     * @param by who ended it, as they sign in
     * @param method its constant; empty where none was chosen
     */
    record Ended(UUID id, String state, ZonedDateTime at, String by, String method) {}

    /**
     * Fittings laid together.
     *
     * @param key of the group, as an address names it
     * @param endings how many by how they ended
     */
    record Group(String key, Map<String, Integer> endings, OptionalInt medianMinutes) {
        int whole() {
            return endings.values().stream().mapToInt(Integer::intValue).sum();
        }
    }

    /** Something counted beside the fittings. */
    record Beside(String what, int count) {}

    /** What ended in a year of the point's own calendar, laid together; the database counts. */
    @Transactional(readOnly = true)
    List<Group> groups(Point point, int year, By by) {
        Map<String, Map<String, Integer>> endings = new TreeMap<>();
        jdbc.sql("select " + by.sql + " as key, ending, count(*) as count from ledger_line where point_id = :point"
                        + " and day between :from and :until group by 1, 2")
                .param("point", point.id())
                .param("from", LocalDate.of(year, 1, 1))
                .param("until", LocalDate.of(year, 12, 31))
                .query(row -> {
                    Map<String, Integer> here =
                            endings.computeIfAbsent(row.getString("key"), key -> new LinkedHashMap<>());
                    ENDINGS.forEach(ending -> here.putIfAbsent(ending, 0));
                    here.put(row.getString("ending"), row.getInt("count"));
                });
        Map<String, Integer> medians = new TreeMap<>();
        jdbc.sql("select " + by.sql + " as key, percentile_disc(0.5) within group (order by minutes) as minutes"
                        + " from ledger_line where point_id = :point and day between :from and :until"
                        + " and ending = 'HANDED_OVER' group by 1")
                .param("point", point.id())
                .param("from", LocalDate.of(year, 1, 1))
                .param("until", LocalDate.of(year, 12, 31))
                .query(row -> {
                    medians.put(row.getString("key"), row.getInt("minutes"));
                });
        return endings.entrySet().stream()
                .map(each -> new Group(
                        each.getKey(),
                        each.getValue(),
                        medians.containsKey(each.getKey())
                                ? OptionalInt.of(medians.get(each.getKey()))
                                : OptionalInt.empty()))
                .toList();
    }

    /** The fittings behind a number, the first of them. */
    @Transactional(readOnly = true)
    List<Ended> behind(Point point, int year, By by, String key, String ending, int most) {
        return jdbc.sql("select fitting_id, ending, ended_at, by_user, method from ledger_line"
                        + " where point_id = :point and day between :from and :until and ending = :ending"
                        + " and " + by.sql + " = :key order by ended_at, fitting_id limit :most")
                .param("point", point.id())
                .param("from", LocalDate.of(year, 1, 1))
                .param("until", LocalDate.of(year, 12, 31))
                .param("ending", ending)
                .param("key", key)
                .param("most", most)
                .query((row, number) -> new Ended(
                        row.getObject("fitting_id", UUID.class),
                        row.getString("ending"),
                        row.getTimestamp("ended_at").toInstant().atZone(point.zone()),
                        row.getString("by_user"),
                        row.getString("method")))
                .list();
    }

    /**
     * What the year's fittings came to.
     *
     * @param found things that were wrong on arrival
     * @param putRight how many of those were put right
     * @param medianLooks at the level that a hand-over took; empty where none was handed over
     */
    record Whole(int found, int putRight, OptionalInt medianLooks) {}

    @Transactional(readOnly = true)
    Whole whole(Point point, int year) {
        return jdbc.sql("select coalesce(sum(found), 0) as found, coalesce(sum(put_right), 0) as put_right,"
                        + " percentile_disc(0.5) within group (order by looks) filter (where ending = 'HANDED_OVER') as looks"
                        + " from ledger_line where point_id = :point and day between :from and :until")
                .param("point", point.id())
                .param("from", LocalDate.of(year, 1, 1))
                .param("until", LocalDate.of(year, 12, 31))
                .query((row, number) -> new Whole(
                        row.getInt("found"),
                        row.getInt("put_right"),
                        row.getObject("looks") == null ? OptionalInt.empty() : OptionalInt.of(row.getInt("looks"))))
                .single();
    }

    private static Timestamp begins(Point point, int year) {
        return Timestamp.from(
                LocalDate.of(year, 1, 1).atStartOfDay(point.zone()).toInstant());
    }

    /** What was found wrong on arrival, the most frequent first; as entries spell it. */
    @Transactional(readOnly = true)
    List<Beside> found(Point point, int year) {
        return jdbc.sql("select e.document #>> '{fact,misuse}' as what, count(*) as times from entry e"
                        + " where e.point_id = :point and e.document #>> '{fact,kind}' = 'foundSo' and e.document #>> '{fact,there}' = 'true'"
                        + " and e.at >= :from and e.at < :until group by 1 order by 2 desc, 1 limit 10")
                .param("point", point.id())
                .param("from", begins(point, year))
                .param("until", begins(point, year + 1))
                .query((row, number) -> new Beside(row.getString("what"), row.getInt("times")))
                .list();
    }

    /** Seats lent, follow-ups reached, dry runs ended. */
    @Transactional(readOnly = true)
    List<Beside> beside(Point point, int year) {
        List<Beside> beside = new ArrayList<>();
        beside.add(new Beside(
                "lent",
                count(
                        "select count(*) from stock_event e where e.point_id = :point"
                                + " and e.what = 'LENT' and e.at >= :from and e.at < :until",
                        point,
                        year)));
        beside.add(new Beside(
                "reached",
                count(
                        "select count(*) from due_mark m where m.point_id = :point"
                                + " and m.kind in ('DONE', 'CONTACT') and m.at >= :from and m.at < :until",
                        point,
                        year)));
        beside.add(new Beside(
                "practised",
                count(
                        "select count(*) from bench_run where point_id = :point and ended_at >= :from and ended_at < :until",
                        point,
                        year)));
        beside.add(new Beside(
                "practisedHours",
                count(
                        "select coalesce(round(extract(epoch from sum(least(ended_at - begun_at, interval '1 hour'))) / 3600), 0)"
                                + " from bench_run where point_id = :point and ended_at >= :from and ended_at < :until",
                        point,
                        year)));
        return beside;
    }

    private int count(String sql, Point point, int year) {
        return jdbc.sql(sql)
                .param("point", point.id())
                .param("from", begins(point, year))
                .param("until", begins(point, year + 1))
                .query(Integer.class)
                .single();
    }
}
