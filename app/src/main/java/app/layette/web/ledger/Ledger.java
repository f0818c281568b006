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

/** Counts what was ended in a year, out of the seals and entries; it keeps nothing of its own. */
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

    private static final String LAST_OF =
            "(select e.document #>> '{fact,%s}' from entry e where e.fitting_id = f.record_id"
                    + " and e.document #>> '{fact,kind}' = '%s' order by e.seq desc limit 1)";

    private final JdbcClient jdbc;

    Ledger(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * A fitting that ended.
     *
     * @param by who ended it, as they sign in
     * @param method as its entry spells it; empty where none was chosen
     * @param minutes from its first entry to its end
     * @param looks at the level with the child in
     */
    record Ended(UUID id, String state, ZonedDateTime at, String by, String method, double minutes, int looks) {}

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
        return jdbc.sql("select f.id, f.state, s.sealed_at, s.sealed_by, "
                        + String.format(LAST_OF, "method", "placed") + " as method,"
                        + " extract(epoch from (s.sealed_at - f.created_at)) / 60 as minutes,"
                        + " (select count(*) from entry e where e.fitting_id = f.record_id"
                        + " and e.document #>> '{fact,kind}' = 'levelRead') as looks"
                        + " from seal s join fitting f on f.id = s.fitting_id where f.point_id = :point"
                        + " and s.sealed_at >= :from and s.sealed_at < :until order by s.sealed_at, f.id")
                .param("point", point.id())
                .param("from", begins(point, year))
                .param("until", begins(point, year + 1))
                .query((row, number) -> new Ended(
                        row.getObject("id", UUID.class),
                        row.getString("state"),
                        row.getTimestamp("sealed_at").toInstant().atZone(point.zone()),
                        row.getString("sealed_by"),
                        row.getString("method") == null ? "" : row.getString("method"),
                        row.getDouble("minutes"),
                        row.getInt("looks")))
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
        List<Double> minutes = of.stream()
                .filter(each -> each.state().equals("HANDED_OVER"))
                .map(Ended::minutes)
                .sorted()
                .toList();
        return new Group(
                key,
                endings,
                minutes.isEmpty()
                        ? OptionalInt.empty()
                        : OptionalInt.of((int) Math.round(minutes.get(minutes.size() / 2))));
    }

    /** What was found wrong on arrival, the most frequent first; as entries spell it. */
    @Transactional(readOnly = true)
    List<Beside> found(Point point, int year) {
        return jdbc.sql("select e.document #>> '{fact,misuse}' as what, count(*) as times from fitting f"
                        + " join entry e on e.fitting_id = f.record_id where f.point_id = :point and f.id = f.record_id"
                        + " and e.document #>> '{fact,kind}' = 'foundSo' and e.document #>> '{fact,there}' = 'true'"
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
                        "select count(*) from stock_event e join stock_seat s on s.id = e.seat_id where s.point_id = :point"
                                + " and e.what = 'LENT' and e.at >= :from and e.at < :until",
                        point,
                        year)));
        beside.add(new Beside(
                "reached",
                count(
                        "select count(*) from due_mark m join fitting f on f.id = m.fitting_id where f.point_id = :point"
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
