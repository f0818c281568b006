package app.layette.web.day;

import app.layette.core.day.AtWork;
import app.layette.core.entry.FieldProblem;
import app.layette.web.account.SignedIn;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who may sign here, and on which days they are there. */
@Service
class Staff {
    private static final int FARTHEST_DAYS = 800;

    private final JdbcClient jdbc;
    private final Clock clock;

    Staff(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Somebody who may sign. */
    record Signing(UUID id, String name, Set<DayOfWeek> days, Optional<LocalDate> until, List<AtWork.Away> away) {}

    private record Off(UUID who, AtWork.Away days) {}

    @Transactional(readOnly = true)
    AtWork of(UUID point) {
        return new AtWork(signing(point).stream()
                .map(each -> new AtWork.Person(each.days(), each.until(), each.away()))
                .toList());
    }

    /** Everybody who may sign, by name, with the days off that are not over. */
    @Transactional(readOnly = true)
    List<Signing> signing(UUID point) {
        LocalDate today = LocalDate.now(clock);
        Map<UUID, List<AtWork.Away>> off = jdbc
                .sql("select user_id, from_day, to_day from away where point_id = :point and to_day >= :today"
                        + " order by from_day")
                .param("point", point)
                .param("today", today.minusDays(1))
                .query((row, number) -> new Off(
                        row.getObject("user_id", UUID.class),
                        new AtWork.Away(
                                row.getObject("from_day", LocalDate.class), row.getObject("to_day", LocalDate.class))))
                .list()
                .stream()
                .collect(Collectors.groupingBy(Off::who, Collectors.mapping(Off::days, Collectors.toList())));
        return jdbc.sql(
                        "select u.id, u.display_name, u.certificate_until, w.weekdays from app_user u"
                                + " left join at_work w on w.user_id = u.id where u.point_id = :point"
                                + " and u.role in ('TECHNICIAN', 'LEAD') and u.retired_at is null order by u.display_name, u.id")
                .param("point", point)
                .query((row, number) -> {
                    UUID id = row.getObject("id", UUID.class);
                    return new Signing(
                            id,
                            row.getString("display_name"),
                            days(row.getString("weekdays")),
                            Optional.ofNullable(row.getObject("certificate_until", LocalDate.class)),
                            off.getOrDefault(id, List.of()));
                })
                .list();
    }

    private static Set<DayOfWeek> days(String digits) {
        Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            if (digits == null || digits.contains(String.valueOf(day.getValue()))) {
                days.add(day);
            }
        }
        return days;
    }

    /**
     * On which days of the week somebody works.
     *
     * @return what is wrong; empty when it was kept
     */
    @Transactional
    List<FieldProblem> works(SignedIn lead, String person, List<Integer> weekdays) {
        Optional<Signing> who = one(lead, person);
        if (who.isEmpty()) {
            return List.of(FieldProblem.notAmong("works", person, names(lead)));
        }
        String digits = Arrays.stream(DayOfWeek.values())
                .map(DayOfWeek::getValue)
                .filter(weekdays::contains)
                .map(String::valueOf)
                .collect(Collectors.joining());
        jdbc.sql("insert into at_work (user_id, point_id, weekdays) values (:who, :point, :days)"
                        + " on conflict (point_id, user_id) do update set weekdays = excluded.weekdays")
                .param("who", who.get().id())
                .param("point", lead.pointId())
                .param("days", digits)
                .update();
        return List.of();
    }

    /** Days on which somebody is not here; a span that begins on the same day takes the other's place. */
    @Transactional
    List<FieldProblem> away(SignedIn lead, String person, String from, String to) {
        Optional<Signing> who = one(lead, person);
        if (who.isEmpty()) {
            return List.of(FieldProblem.notAmong("works", person, names(lead)));
        }
        LocalDate today = LocalDate.now(clock);
        LocalDate farthest = today.plusDays(FARTHEST_DAYS);
        Optional<LocalDate> first = day(from)
                .filter(day -> !day.isBefore(today.minusDays(FARTHEST_DAYS)))
                .filter(day -> !day.isAfter(farthest));
        if (first.isEmpty()) {
            return List.of(FieldProblem.outside("awayFrom", from, today, farthest));
        }
        Optional<LocalDate> last = (to.isBlank() ? first : day(to))
                .filter(day -> !day.isBefore(first.get()))
                .filter(day -> !day.isAfter(farthest));
        if (last.isEmpty()) {
            return List.of(FieldProblem.outside("awayTo", to, first.get(), farthest));
        }
        jdbc.sql("insert into away (user_id, point_id, from_day, to_day) values (:who, :point, :from, :to)"
                        + " on conflict (point_id, user_id, from_day) do update set to_day = excluded.to_day")
                .param("who", who.get().id())
                .param("point", lead.pointId())
                .param("from", first.get())
                .param("to", last.get())
                .update();
        return List.of();
    }

    /** They are here after all. */
    @Transactional
    void backAgain(SignedIn lead, String person, String from) {
        Optional<Signing> who = one(lead, person);
        Optional<LocalDate> first = day(from);
        if (who.isPresent() && first.isPresent()) {
            jdbc.sql("delete from away where user_id = :who and point_id = :point and from_day = :from")
                    .param("who", who.get().id())
                    .param("point", lead.pointId())
                    .param("from", first.get())
                    .update();
        }
    }

    private static Optional<LocalDate> day(String text) {
        try {
            return Optional.of(LocalDate.parse(text.strip()));
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    private Optional<Signing> one(SignedIn lead, String person) {
        return signing(lead.pointId()).stream()
                .filter(each -> each.id().toString().equals(person))
                .findFirst();
    }

    private List<String> names(SignedIn lead) {
        return signing(lead.pointId()).stream().map(Signing::name).toList();
    }
}
