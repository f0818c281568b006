package app.layette.web.day;

import app.layette.core.day.Bay;
import app.layette.core.day.OpenHours;
import app.layette.core.day.Span;
import app.layette.core.entry.FieldProblem;
import app.layette.web.account.SignedIn;
import app.layette.web.shell.TypedText;
import java.sql.Time;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When a fitting point is open, and which bays it has. */
@Service
class Openings {
    private static final Span USUAL = new Span(LocalTime.of(9, 0), LocalTime.of(17, 0));
    private static final DateTimeFormatter SHORT = DateTimeFormatter.ofPattern("H:mm");
    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_WAY = 120;
    private static final int MOST_BAYS = 24;
    /** As a column holds it. */
    private static final int LONGEST_HOURS = 80;

    private static final int FARTHEST_DAYS = 800;

    private final JdbcClient jdbc;
    private final Clock clock;

    Openings(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** A bay with what it is called. */
    record NamedBay(UUID id, String name, boolean ward, int travel) {
        Bay core() {
            return new Bay(id.toString(), ward, travel);
        }
    }

    /** The bays of a point in their order; a point that never named one has one. */
    @Transactional
    List<NamedBay> bays(UUID point) {
        List<NamedBay> bays = read(point);
        if (bays.isEmpty()) {
            jdbc.sql("insert into bay (id, point_id, name, place) values (:id, :point, '1', 1) on conflict do nothing")
                    .param("id", UUID.randomUUID())
                    .param("point", point)
                    .update();
            return read(point);
        }
        return bays;
    }

    private List<NamedBay> read(UUID point) {
        return jdbc.sql("select id, name, ward, travel_minutes from bay where point_id = :point order by place, name")
                .param("point", point)
                .query((row, number) -> new NamedBay(
                        row.getObject("id", UUID.class),
                        row.getString("name"),
                        row.getBoolean("ward"),
                        row.getInt("travel_minutes")))
                .list();
    }

    /** The hours; a point that never set any is open from nine to five from Monday to Friday. */
    @Transactional(readOnly = true)
    OpenHours hours(UUID point) {
        Map<DayOfWeek, List<Span>> weekly = new EnumMap<>(DayOfWeek.class);
        jdbc.sql("select weekday, from_time, to_time from opening where point_id = :point order by from_time")
                .param("point", point)
                .query(row -> {
                    Span span = new Span(
                            row.getTime("from_time").toLocalTime(),
                            row.getTime("to_time").toLocalTime());
                    weekly.computeIfAbsent(DayOfWeek.of(row.getInt("weekday")), day -> new ArrayList<>())
                            .add(span);
                });
        if (weekly.isEmpty()) {
            for (int day = DayOfWeek.MONDAY.getValue(); day <= DayOfWeek.FRIDAY.getValue(); day++) {
                weekly.put(DayOfWeek.of(day), List.of(USUAL));
            }
        }
        Map<LocalDate, List<Span>> exceptions = new LinkedHashMap<>();
        jdbc.sql("select day, hours from opening_exception where point_id = :point")
                .param("point", point)
                .query(row -> {
                    exceptions.put(row.getObject("day", LocalDate.class), spans(row.getString("hours")));
                });
        return new OpenHours(weekly, exceptions);
    }

    /**
     * Sets the hours of one day of the week.
     *
     * @param text {@code 9:00-12:30, 13:30-17:00}; empty for closed
     * @return what is wrong; empty when they were set
     */
    @Transactional
    List<FieldProblem> set(SignedIn user, DayOfWeek day, String text) {
        List<Span> spans;
        try {
            spans = spans(text);
        } catch (IllegalArgumentException | DateTimeParseException e) {
            return List.of(FieldProblem.notAmong("hours", text, "9:00-12:30, 13:30-17:00"));
        }
        keepUsual(user.pointId());
        jdbc.sql("delete from opening where point_id = :point and weekday = :day")
                .param("point", user.pointId())
                .param("day", day.getValue())
                .update();
        spans.forEach(span -> insert(user.pointId(), day, span));
        return List.of();
    }

    /** The usual hours are written down before one of them changes. */
    private void keepUsual(UUID point) {
        boolean none = jdbc.sql("select count(*) from opening where point_id = :point")
                        .param("point", point)
                        .query(Integer.class)
                        .single()
                == 0;
        if (none) {
            hours(point).weekly().forEach((day, spans) -> spans.forEach(span -> insert(point, day, span)));
        }
    }

    private void insert(UUID point, DayOfWeek day, Span span) {
        jdbc.sql("insert into opening (point_id, weekday, from_time, to_time) values (:point, :day, :from, :to)")
                .param("point", point)
                .param("day", day.getValue())
                .param("from", Time.valueOf(span.from()))
                .param("to", Time.valueOf(span.to()))
                .update();
    }

    /** A day that is otherwise; with no times it is closed. */
    @Transactional
    List<FieldProblem> except(SignedIn user, String day, String text) {
        try {
            LocalDate on = LocalDate.parse(day.strip());
            LocalDate today = LocalDate.now(clock);
            if (on.isBefore(today.minusDays(FARTHEST_DAYS)) || on.isAfter(today.plusDays(FARTHEST_DAYS))) {
                return List.of(FieldProblem.outside(
                        "day", day, today.minusDays(FARTHEST_DAYS), today.plusDays(FARTHEST_DAYS)));
            }
            spans(text);
            jdbc.sql("insert into opening_exception (point_id, day, hours) values (:point, :day, :hours)"
                            + " on conflict (point_id, day) do update set hours = excluded.hours")
                    .param("point", user.pointId())
                    .param("day", on)
                    .param("hours", text.strip())
                    .update();
            return List.of();
        } catch (IllegalArgumentException | DateTimeParseException e) {
            return List.of(FieldProblem.notAmong("day", day + " " + text, "2026-12-24 9:00-12:00"));
        }
    }

    /** Another bay, or the ward. */
    @Transactional
    List<FieldProblem> addBay(SignedIn user, Map<String, String> fields) {
        List<FieldProblem> problems = new ArrayList<>();
        String name = TypedText.needed(fields, "bayName", LONGEST_NAME, problems);
        int travel = 0;
        String way = fields.getOrDefault("travel", "").strip();
        if (!way.isEmpty()) {
            if (way.matches("\\d{1,3}") && Integer.parseInt(way) <= LONGEST_WAY) {
                travel = Integer.parseInt(way);
            } else {
                problems.add(FieldProblem.outside("travel", way, 0, LONGEST_WAY));
            }
        }
        List<NamedBay> there = bays(user.pointId());
        if (there.stream().anyMatch(each -> each.name().equalsIgnoreCase(name))) {
            problems.add(new FieldProblem("bayName", name, "BAY_TWICE", "", ""));
        }
        if (there.size() >= MOST_BAYS) {
            problems.add(FieldProblem.outside("bays", there.size() + 1, 1, MOST_BAYS));
        }
        if (problems.isEmpty()) {
            jdbc.sql("insert into bay (id, point_id, name, ward, travel_minutes, place)"
                            + " values (:id, :point, :name, :ward, :travel, :place)")
                    .param("id", UUID.randomUUID())
                    .param("point", user.pointId())
                    .param("name", name)
                    .param("ward", fields.containsKey("ward"))
                    .param("travel", travel)
                    .param("place", there.size() + 1)
                    .update();
        }
        return problems;
    }

    /** {@code 9:00-12:30, 13:30-17:00} read; nothing is closed. */
    static List<Span> spans(String text) {
        if (text.strip().length() > LONGEST_HOURS) {
            throw new IllegalArgumentException("longer than " + LONGEST_HOURS);
        }
        List<Span> spans = new ArrayList<>();
        for (String part : text.split("[,;]")) {
            if (!part.isBlank()) {
                String[] ends = part.split("[-–]");
                if (ends.length != 2) {
                    throw new IllegalArgumentException(part);
                }
                spans.add(new Span(time(ends[0]), time(ends[1])));
            }
        }
        spans.sort(Comparator.comparing(Span::from));
        for (int i = 1; i < spans.size(); i++) {
            if (spans.get(i).overlaps(spans.get(i - 1))) {
                throw new IllegalArgumentException(text);
            }
        }
        return spans;
    }

    static LocalTime time(String text) {
        String plain = text.strip();
        return LocalTime.parse(plain.matches("\\d{1,2}") ? plain + ":00" : plain, SHORT);
    }

    /** As it is typed. */
    static String text(List<Span> spans) {
        return String.join(
                ", ",
                spans.stream()
                        .map(span -> SHORT.format(span.from()) + "-" + SHORT.format(span.to()))
                        .toList());
    }
}
