package app.layette.web.day;

import app.layette.core.coming.Preparation;
import app.layette.core.day.FreeTimes;
import app.layette.core.day.Span;
import app.layette.core.day.Taken;
import app.layette.core.day.Wish;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.day.Appointment.Place;
import app.layette.web.day.Appointment.State;
import app.layette.web.day.Appointment.What;
import app.layette.web.fitting.FamilyErased;
import app.layette.web.fitting.FittingChanged;
import app.layette.web.fitting.FittingLists;
import app.layette.web.shell.TypedText;
import app.layette.web.wall.Turns;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Time;
import java.sql.Timestamp;
import java.sql.Types;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Appointments: free times found, booked, moved, and what became of them. */
@Service
class Appointments {
    private static final String COLUMNS = "select id, bay_id, day, from_time, to_time, minutes, what, who, reference,"
            + " due_on, several, sooner_by, fitting_id, state, revision, told from appointment";
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_REFERENCE = 40;
    private static final int FARTHEST_DAYS = 400;
    private static final int SEARCHED_AT_ONCE_DAYS = 28;
    private static final int MOST_LEARNED = 200;
    private static final int LONGEST_LEARNED_MINUTES = 180;
    private static final int LEAST_LEARNED = 5;
    private static final int ROUNDED_TO = 5;
    /** A fitting begins with as many entries at most. */
    private static final int MOST_WHEN_BEGUN = 16;

    private final JdbcClient jdbc;
    private final Turns turns;
    private final Openings openings;
    private final Staff staff;
    private final FittingLists lists;
    private final Viewing viewing;

    Appointments(JdbcClient jdbc, Turns turns, Openings openings, Staff staff, FittingLists lists, Viewing viewing) {
        this.jdbc = jdbc;
        this.turns = turns;
        this.openings = openings;
        this.staff = staff;
        this.lists = lists;
        this.viewing = viewing;
    }

    /**
     * What came of booking or moving.
     *
     * @param id of the appointment; empty when it was refused
     * @param next the next free time where the one that was asked for is taken
     */
    record Outcome(Optional<UUID> id, List<FieldProblem> problems, Optional<FreeTimes.Free> next) {
        static Outcome done(UUID id) {
            return new Outcome(Optional.of(id), List.of(), Optional.empty());
        }

        static Outcome refused(List<FieldProblem> problems) {
            return new Outcome(Optional.empty(), problems, Optional.empty());
        }
    }

    @Transactional(readOnly = true)
    List<Appointment> on(UUID point, LocalDate day) {
        return jdbc.sql(COLUMNS
                        + " where point_id = :point and day = :day and state <> 'CANCELLED' order by from_time, who")
                .param("point", point)
                .param("day", day)
                .query(Appointments::read)
                .list();
    }

    @Transactional(readOnly = true)
    List<Appointment> waiting(UUID point) {
        return jdbc.sql(COLUMNS + " where point_id = :point and state = 'WAITING' order by changed_at limit 100")
                .param("point", point)
                .query(Appointments::read)
                .list();
    }

    @Transactional(readOnly = true)
    Optional<Appointment> one(UUID point, UUID id) {
        return jdbc.sql(COLUMNS + " where point_id = :point and id = :id")
                .param("point", point)
                .param("id", id)
                .query(Appointments::read)
                .optional();
    }

    private static Appointment read(ResultSet row, int number) throws SQLException {
        Optional<UUID> bay = Optional.ofNullable(row.getObject("bay_id", UUID.class));
        Optional<Place> place = bay.isEmpty() || row.getTime("from_time") == null
                ? Optional.empty()
                : Optional.of(new Place(
                        bay.get(),
                        row.getObject("day", LocalDate.class),
                        new Span(
                                row.getTime("from_time").toLocalTime(),
                                row.getTime("to_time").toLocalTime())));
        return AppointmentParts.builder()
                .id(row.getObject("id", UUID.class))
                .place(place)
                .minutes(row.getInt("minutes"))
                .what(What.valueOf(row.getString("what")))
                .who(row.getString("who"))
                .reference(row.getString("reference"))
                .due(Optional.ofNullable(row.getObject("due_on", LocalDate.class)))
                .several(row.getBoolean("several"))
                .soonerBy(Optional.ofNullable(row.getObject("sooner_by", LocalDate.class)))
                .fitting(Optional.ofNullable(row.getObject("fitting_id", UUID.class)))
                .state(State.valueOf(row.getString("state")))
                .revision(row.getInt("revision"))
                .told(Optional.ofNullable(row.getObject("told", Integer.class)))
                .build();
    }

    /** How long something takes: the median of this point's own last fittings of that sort, never below its floor. */
    @Transactional(readOnly = true)
    int minutes(UUID point, What what) {
        if (what == What.CLASS) {
            return what.floorMinutes();
        }
        String ended = what == What.BEDSIDE ? "TAUGHT" : "HANDED_OVER";
        List<Double> took = jdbc
                .sql("select minutes from ledger_line where point_id = :point and ending = :state"
                        + " order by day desc, ended_at desc limit " + MOST_LEARNED)
                .param("point", point)
                .param("state", ended)
                .query(Double.class)
                .list()
                .stream()
                .filter(each -> each > 1 && each < LONGEST_LEARNED_MINUTES)
                .sorted()
                .toList();
        if (took.size() < LEAST_LEARNED) {
            return what.floorMinutes();
        }
        int median = (int) Math.ceil(took.get(took.size() / 2) / ROUNDED_TO) * ROUNDED_TO;
        return Math.max(what.floorMinutes(), median);
    }

    /** The first free times of a wish, read no farther than they are found. */
    @Transactional
    List<FreeTimes.Free> free(Point point, Wish wish, int most) {
        return free(point, wish, most, null);
    }

    private List<FreeTimes.Free> free(Point point, Wish wish, int most, @Nullable UUID but) {
        List<FreeTimes.Free> found = new ArrayList<>();
        LocalDate from = wish.from();
        while (found.size() < most && !from.isAfter(wish.until())) {
            LocalDate until = from.plusDays(SEARCHED_AT_ONCE_DAYS - 1);
            Wish part = new Wish(
                    wish.minutes(),
                    wish.ward(),
                    from,
                    from.equals(wish.from()) ? wish.notBefore() : LocalTime.MIN,
                    until.isAfter(wish.until()) ? wish.until() : until);
            found.addAll(times(point, part.from(), part.until(), but).search(part, most - found.size()));
            from = until.plusDays(1);
        }
        return found;
    }

    private FreeTimes times(Point point, LocalDate from, LocalDate until, @Nullable UUID but) {
        List<Taken> taken = jdbc
                .sql("select id, bay_id, day, from_time, to_time from appointment where point_id = :point"
                        + " and day between :from and :until and state in ('BOOKED', 'CAME')")
                .param("point", point.id())
                .param("from", from)
                .param("until", until)
                .query((row, number) -> Map.entry(
                        row.getObject("id", UUID.class),
                        new Taken(
                                row.getString("bay_id"),
                                row.getObject("day", LocalDate.class),
                                new Span(
                                        row.getTime("from_time").toLocalTime(),
                                        row.getTime("to_time").toLocalTime()))))
                .list()
                .stream()
                .filter(each -> !each.getKey().equals(but))
                .map(Map.Entry::getValue)
                .toList();
        return new FreeTimes(
                openings.hours(point.id()),
                openings.bays(point.id()).stream().map(Openings.NamedBay::core).toList(),
                staff.of(point.id()),
                point.zone(),
                taken);
    }

    /** From when on and until when something is looked for. */
    Wish wish(Point point, What what, LocalDate from, Optional<LocalDate> until) {
        LocalDate today = viewing.today(point);
        LocalDate first = from.isBefore(today) ? today : from;
        LocalTime now =
                ZonedDateTime.now(viewing.clock().withZone(point.zone())).toLocalTime();
        LocalDate last = until.filter(each -> !each.isBefore(first)).orElse(first.plusDays(FARTHEST_DAYS));
        return new Wish(
                minutes(point.id(), what), what.isOnTheWard(), first, first.equals(today) ? now : LocalTime.MIN, last);
    }

    /** What a due date proposes for the base; empty where no due date is known. */
    Optional<Preparation> proposed(Point point, Appointment of) {
        return of.due().map(due -> Preparation.of(due, of.several(), of.soonerBy(), viewing.today(point)));
    }

    /**
     * Books an appointment, or puts the family on the waiting list where no time was chosen.
     *
     * @param id made by the client, so that sending twice is harmless
     */
    @Transactional
    Outcome book(SignedIn user, UUID id, Map<String, String> fields) {
        Point point = viewing.point(user);
        List<FieldProblem> problems = new ArrayList<>();
        String who = TypedText.needed(fields, "called", LONGEST_NAME, problems);
        String reference = TypedText.needed(fields, "reference", LONGEST_REFERENCE, problems);
        What what = what(fields.getOrDefault("what", ""), problems);
        Optional<LocalDate> due = day("due", fields, problems);
        Optional<LocalDate> sooner = day("soonerBy", fields, problems);
        String time = fields.getOrDefault("time", "");
        Optional<Place> place =
                time.isBlank() ? Optional.empty() : place(time, minutes(user.pointId(), what), problems);
        if (!problems.isEmpty()) {
            return Outcome.refused(problems);
        }
        if (one(user.pointId(), id).isPresent()) {
            return Outcome.done(id);
        }
        lockTheDay(point, place);
        Optional<Outcome> taken = place.flatMap(each -> taken(point, what, each, null));
        if (taken.isPresent()) {
            return taken.get();
        }
        jdbc.sql(
                        "insert into appointment (id, point_id, bay_id, day, from_time, to_time, minutes, what, who, reference,"
                                + " due_on, several, sooner_by, state, made_by, changed_at) values (:id, :point, :bay, :day, :from,"
                                + " :to, :minutes, :what, :who, :reference, :due, :several, :sooner, :state, :by, :at)")
                .param("id", id)
                .param("point", user.pointId())
                .param("bay", place.map(Place::bay).orElse(null), Types.OTHER)
                .param("day", place.map(Place::day).orElse(null), Types.DATE)
                .param(
                        "from",
                        place.map(each -> Time.valueOf(each.span().from())).orElse(null),
                        Types.TIME)
                .param("to", place.map(each -> Time.valueOf(each.span().to())).orElse(null), Types.TIME)
                .param("minutes", minutes(user.pointId(), what))
                .param("what", what.name())
                .param("who", who)
                .param("reference", reference)
                .param("due", due.orElse(null), Types.DATE)
                .param("several", fields.containsKey("several"))
                .param("sooner", sooner.orElse(null), Types.DATE)
                .param("state", place.isPresent() ? State.BOOKED.name() : State.WAITING.name())
                .param("by", user.author().id())
                .param("at", Timestamp.from(viewing.clock().instant()))
                .update();
        return Outcome.done(id);
    }

    private static What what(String text, List<FieldProblem> problems) {
        for (What what : What.values()) {
            if (what.name().equals(text)) {
                return what;
            }
        }
        problems.add(FieldProblem.notAmong("what", text, List.of(What.values())));
        return What.FULL;
    }

    private Optional<LocalDate> day(String field, Map<String, String> fields, List<FieldProblem> problems) {
        String text = fields.getOrDefault(field, "").strip();
        if (text.isEmpty()) {
            return Optional.empty();
        }
        LocalDate today = LocalDate.now(viewing.clock());
        try {
            LocalDate day = LocalDate.parse(text);
            if (day.isAfter(today.minusDays(FARTHEST_DAYS)) && day.isBefore(today.plusDays(FARTHEST_DAYS))) {
                return Optional.of(day);
            }
        } catch (DateTimeParseException e) {
            // Said below.
        }
        problems.add(FieldProblem.outside(field, text, today.minusDays(FARTHEST_DAYS), today.plusDays(FARTHEST_DAYS)));
        return Optional.empty();
    }

    /** {@code bay day from}, as a form sends it. */
    private Optional<Place> place(String text, int minutes, List<FieldProblem> problems) {
        String[] parts = text.split(" ");
        try {
            LocalTime from = Openings.time(parts[2]);
            LocalTime end = from.plusMinutes(minutes);
            // Past midnight nobody is open: it is refused as not free.
            LocalTime to = end.isAfter(from) ? end : LocalTime.MAX;
            LocalDate day = LocalDate.parse(parts[1]);
            LocalDate today = LocalDate.now(viewing.clock());
            if (day.isBefore(today.minusDays(1)) || day.isAfter(today.plusDays(FARTHEST_DAYS))) {
                problems.add(FieldProblem.outside("time", text, today, today.plusDays(FARTHEST_DAYS)));
                return Optional.empty();
            }
            return Optional.of(new Place(UUID.fromString(parts[0]), day, new Span(from, to)));
        } catch (IllegalArgumentException | DateTimeParseException | ArrayIndexOutOfBoundsException e) {
            problems.add(FieldProblem.notAmong("time", text, "0:00–24:00"));
            return Optional.empty();
        }
    }

    /** Two who book on one day come one after the other: each sees what the other took. */
    private void lockTheDay(Point point, Optional<Place> place) {
        place.ifPresent(each -> turns.take("day " + point.id() + " " + each.day()));
    }

    /** That a time cannot be had, with the next one that can; empty where it can. */
    private Optional<Outcome> taken(Point point, What what, Place place, @Nullable UUID but) {
        FreeTimes times = times(point, place.day(), place.day(), but);
        Optional<Openings.NamedBay> bay = openings.bays(point.id()).stream()
                .filter(each -> each.id().equals(place.bay()))
                .findFirst();
        if (bay.isPresent() && times.isFree(bay.get().core(), place.day(), place.span())) {
            return Optional.empty();
        }
        Wish wish = new Wish(
                minutes(point.id(), what),
                bay.map(Openings.NamedBay::ward).orElse(what.isOnTheWard()),
                place.day(),
                place.span().from(),
                place.day().plusDays(FARTHEST_DAYS));
        Optional<FreeTimes.Free> next = free(point, wish, 1, but).stream().findFirst();
        FieldProblem problem =
                new FieldProblem("time", place.day() + " " + place.span().from(), "TIME_TAKEN", "", "");
        return Optional.of(new Outcome(Optional.empty(), List.of(problem), next));
    }

    /** Moves an appointment, or takes it from the waiting list. */
    @Transactional
    Outcome move(SignedIn user, UUID id, String time) {
        Point point = viewing.point(user);
        Appointment of = one(user.pointId(), id).orElseThrow(NoSuchAppointmentException::new);
        List<FieldProblem> problems = new ArrayList<>();
        Optional<Place> place = place(time, of.minutes(), problems);
        boolean isOver = of.state() == State.CANCELLED || of.state() == State.NO_SHOW;
        if (isOver) {
            problems.add(new FieldProblem("time", time, "APPOINTMENT_OVER", "", ""));
        }
        if (!problems.isEmpty() || place.isEmpty()) {
            return Outcome.refused(problems);
        }
        lockTheDay(point, place);
        Optional<Outcome> taken = taken(point, of.what(), place.get(), id);
        if (taken.isPresent()) {
            return taken.get();
        }
        jdbc.sql(
                        "update appointment set bay_id = :bay, day = :day, from_time = :from, to_time = :to, revision = revision + 1,"
                                + " state = case when state = 'WAITING' then 'BOOKED' else state end, changed_at = :at where point_id = :point and id = :id")
                .param("point", user.pointId())
                .param("bay", place.get().bay())
                .param("day", place.get().day())
                .param("from", Time.valueOf(place.get().span().from()))
                .param("to", Time.valueOf(place.get().span().to()))
                .param("at", Timestamp.from(viewing.clock().instant()))
                .param("id", id)
                .update();
        return Outcome.done(id);
    }

    /**
     * Claims a letter: the family is being written of this change. Pressed twice, or by two people, only one of them does.
     *
     * @param shown of which change the page said that the family was told
     */
    @Transactional
    boolean claimLetter(SignedIn user, Appointment of, Optional<Integer> shown) {
        return tell(user, of.id(), shown, Optional.of(of.revision()));
    }

    /** It was not sent after all. */
    @Transactional
    void notTold(SignedIn user, Appointment of, Optional<Integer> before) {
        tell(user, of.id(), Optional.of(of.revision()), before);
    }

    private boolean tell(SignedIn user, UUID id, Optional<Integer> from, Optional<Integer> to) {
        return jdbc.sql("update appointment set told = :to where id = :id and point_id = :point"
                                + " and told is not distinct from cast(:from as int)")
                        .param("to", to.orElse(null), Types.INTEGER)
                        .param("from", from.orElse(null), Types.INTEGER)
                        .param("id", id)
                        .param("point", user.pointId())
                        .update()
                == 1;
    }

    /** What became of it. */
    @Transactional
    void mark(SignedIn user, UUID id, State state) {
        one(user.pointId(), id).orElseThrow(NoSuchAppointmentException::new);
        jdbc.sql("update appointment set state = :state, revision = revision + 1, changed_at = :at"
                        + " where id = :id and point_id = :point and state in ('BOOKED', 'CAME', 'WAITING')"
                        + " and (:state not in ('BOOKED', 'CAME') or bay_id is not null)")
                .param("state", state.name())
                .param("at", Timestamp.from(viewing.clock().instant()))
                .param("id", id)
                .param("point", user.pointId())
                .update();
    }

    /** The first fitting of a family that came is what its appointment was for; a birth makes what was for before it whole. */
    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onChanged(FittingChanged changed) {
        if (changed.entry().seq() <= MOST_WHEN_BEGUN) {
            String reference = lists.listed(changed.fitting(), changed.point())
                    .map(FittingLists.Listed::reference)
                    .orElse("");
            jdbc.sql("update appointment set fitting_id = :fitting where point_id = :point and reference = :reference"
                            + " and fitting_id is null and state in ('BOOKED', 'CAME', 'WAITING')")
                    .param("fitting", changed.fitting())
                    .param("point", changed.point())
                    .param("reference", reference)
                    .update();
        }
        if (changed.entry().fact() instanceof Fact.ChildDescribed) {
            jdbc.sql(
                            "update appointment set what = case when what = 'BEFORE_BIRTH' then 'FULL' else what end,"
                                    + " due_on = null, revision = revision + 1"
                                    + " where point_id = :point and fitting_id = :fitting and state in ('BOOKED', 'WAITING') and due_on is not null")
                    .param("point", changed.point())
                    .param("fitting", changed.fitting())
                    .update();
        }
    }

    /** Of who it was nothing is left. */
    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onErased(FamilyErased erased) {
        jdbc.sql("update appointment set who = '', reference = '' where point_id = :point and reference = :reference")
                .param("point", erased.point())
                .param("reference", erased.reference())
                .update();
    }

    /** There is no such appointment here. */
    @ResponseStatus(HttpStatus.NOT_FOUND)
    static class NoSuchAppointmentException extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }
}
