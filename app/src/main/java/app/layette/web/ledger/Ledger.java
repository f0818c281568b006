package app.layette.web.ledger;

import app.layette.web.account.Point;
import java.sql.Timestamp;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.time.temporal.IsoFields;
import java.util.ArrayList;
import java.util.Comparator;
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
        MONTH,
        WEEK,
        PERSON,
        METHOD
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
     * @param minutes from its first entry to its end
     * @param looks at the level with the child in
     * @param found how many things were wrong on arrival
     * @param putRight how many of those were put right
     */
    record Ended(
            UUID id,
            String state,
            ZonedDateTime at,
            String by,
            String method,
            int minutes,
            int looks,
            int found,
            int putRight) {}

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

    /** What ended in a year of the point's own calendar. */
    @Transactional(readOnly = true)
    List<Ended> ended(Point point, int year) {
        return jdbc.sql("select fitting_id, ending, ended_at, by_user, method, minutes, looks, found, put_right"
                        + " from ledger_line where point_id = :point and day between :from and :until"
                        + " order by ended_at, fitting_id")
                .param("point", point.id())
                .param("from", LocalDate.of(year, 1, 1))
                .param("until", LocalDate.of(year, 12, 31))
                .query((row, number) -> new Ended(
                        row.getObject("fitting_id", UUID.class),
                        row.getString("ending"),
                        row.getTimestamp("ended_at").toInstant().atZone(point.zone()),
                        row.getString("by_user"),
                        row.getString("method"),
                        row.getInt("minutes"),
                        row.getInt("looks"),
                        row.getInt("found"),
                        row.getInt("put_right")))
                .list();
    }

    private static Timestamp begins(Point point, int year) {
        return Timestamp.from(
                LocalDate.of(year, 1, 1).atStartOfDay(point.zone()).toInstant());
    }

    /** The fittings laid together, in the order of their keys. */
    static List<Group> groups(List<Ended> ended, By by) {
        Map<String, List<Ended>> together = new TreeMap<>();
        ended.forEach(each -> together.computeIfAbsent(key(each, by), key -> new ArrayList<>())
                .add(each));
        return together.entrySet().stream()
                .map(each -> group(each.getKey(), each.getValue()))
                .toList();
    }

    static String key(Ended of, By by) {
        return switch (by) {
            case MONTH -> String.format("%02d", of.at().getMonthValue());
            case WEEK -> String.format("%02d", of.at().get(IsoFields.WEEK_OF_WEEK_BASED_YEAR));
            case PERSON -> of.by();
            case METHOD -> of.method();
        };
    }

    private static Group group(String key, List<Ended> of) {
        Map<String, Integer> endings = new LinkedHashMap<>();
        ENDINGS.forEach(ending -> endings.put(ending, (int)
                of.stream().filter(each -> each.state().equals(ending)).count()));
        List<Integer> minutes = of.stream()
                .filter(each -> each.state().equals("HANDED_OVER"))
                .map(Ended::minutes)
                .sorted()
                .toList();
        return new Group(
                key,
                endings,
                minutes.isEmpty() ? OptionalInt.empty() : OptionalInt.of(minutes.get(minutes.size() / 2)));
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

    /** The middle one of the looks at the level that a hand-over took; empty where none was handed over. */
    static OptionalInt medianLooks(List<Ended> ended) {
        List<Integer> looks = ended.stream()
                .filter(each -> each.state().equals("HANDED_OVER"))
                .map(Ended::looks)
                .sorted(Comparator.naturalOrder())
                .toList();
        return looks.isEmpty() ? OptionalInt.empty() : OptionalInt.of(looks.get(looks.size() / 2));
    }
}
