package app.layette.web.drill;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.progress.Skill;
import app.layette.core.bench.run.DryRun;
import app.layette.core.bench.run.TakenApart.Point;
import app.layette.core.bench.run.Task;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Dry runs as they are kept: who did what when, and what they know since. */
@Service
class Drills {
    /** Areas of the rules that the bench practises, in the order of the work. */
    static final List<String> AREAS = List.of("CND", "SUIT", "CAB", "REC", "SEC", "HAR", "OUT");

    private static final int MOST_DOINGS = 600;
    private static final int MOST_LISTED = 12;
    private static final int STARTS_KEPT = 256;
    /** Who went away in the middle did not practise meanwhile. */
    private static final Duration LONGEST_PAUSE = Duration.ofMinutes(5);

    private static final String COLUMNS =
            "select id, user_id, kind, number, begun_at, ended_at, clean, choice, set_by from bench_run";

    private final JdbcClient jdbc;
    private final Viewing viewing;
    /** What a run begins with follows from its kind and number alone; the perfect hands before it take a moment. */
    private final Map<Task, Task.Start> starts = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Task, Task.Start> eldest) {
            return size() > STARTS_KEPT;
        }
    });

    Drills(JdbcClient jdbc, Viewing viewing) {
        this.jdbc = jdbc;
        this.viewing = viewing;
    }

    /**
     * A run.
     *
     * @param ended when it was ended; empty while it goes on
     * @param choice what was chosen, in a run of that kind
     * @param setBy who asked for it
     */
    record Run(
            UUID id,
            UUID user,
            Task task,
            Instant begun,
            Optional<Instant> ended,
            Optional<Boolean> clean,
            Optional<String> choice,
            Optional<String> setBy) {
        boolean isOver() {
            return ended.isPresent();
        }
    }

    /** What was done, with the seconds since it began. */
    record Done(List<Doing> doings, List<Long> seconds) {}

    /** Somebody of the point, for a lead. */
    record Person(UUID id, String name, int runs, int clean, Duration practised) {}

    /** A run that somebody is asked to do. */
    record Asked(UUID id, Task task, String by) {}

    /** Begins a run. */
    @Transactional
    UUID begin(SignedIn user, Task task, Optional<UUID> asked) {
        UUID id = UUID.randomUUID();
        Optional<Asked> of = asked.flatMap(each -> asked(user.userId()).stream()
                .filter(one -> one.id().equals(each))
                .findFirst());
        jdbc.sql("insert into bench_run (id, point_id, user_id, kind, number, begun_at, set_by)"
                        + " values (:id, :point, :user, :kind, :number, :at, :by)")
                .param("id", id)
                .param("point", user.pointId())
                .param("user", user.userId())
                .param("kind", task.kind().name())
                .param("number", task.number())
                .param("at", now())
                .param("by", of.map(Asked::by).orElse(null))
                .update();
        of.ifPresent(each -> jdbc.sql("update bench_asked set run_id = :run where id = :id")
                .param("run", id)
                .param("id", each.id())
                .update());
        return id;
    }

    private Timestamp now() {
        return Timestamp.from(viewing.clock().instant());
    }

    /** A run of one's own; a lead sees everybody's of the point. */
    @Transactional(readOnly = true)
    Run one(SignedIn user, UUID id) {
        return jdbc.sql(COLUMNS + " where id = :id and point_id = :point")
                .param("id", id)
                .param("point", user.pointId())
                .query(Drills::run)
                .optional()
                .filter(run -> user.isLead() || run.user().equals(user.userId()))
                .orElseThrow(NoSuchRunException::new);
    }

    private static Run run(ResultSet row, int number) throws SQLException {
        Timestamp ended = row.getTimestamp("ended_at");
        return new Run(
                row.getObject("id", UUID.class),
                row.getObject("user_id", UUID.class),
                new Task(Task.Kind.valueOf(row.getString("kind")), row.getInt("number")),
                row.getTimestamp("begun_at").toInstant(),
                Optional.ofNullable(ended).map(Timestamp::toInstant),
                Optional.ofNullable(row.getObject("clean", Boolean.class)),
                Optional.ofNullable(row.getString("choice")),
                Optional.ofNullable(row.getString("set_by")));
    }

    /** The last runs of somebody, the newest first. */
    @Transactional(readOnly = true)
    List<Run> of(UUID user) {
        return jdbc.sql(COLUMNS + " where user_id = :user order by begun_at desc limit " + MOST_LISTED)
                .param("user", user)
                .query(Drills::run)
                .list();
    }

    @Transactional(readOnly = true)
    Done done(Run run) {
        List<Doing> doings = new ArrayList<>();
        List<Long> seconds = new ArrayList<>();
        jdbc.sql("select doing, at from bench_doing where run_id = :run order by number")
                .param("run", run.id())
                .query(row -> {
                    doings.add(Doing.parse(row.getString("doing")));
                    seconds.add(
                            Duration.between(run.begun(), row.getTimestamp("at").toInstant())
                                    .toSeconds());
                });
        return new Done(doings, seconds);
    }

    /** The run with everything done again that was done. */
    DryRun replayed(Run run, Done done) {
        // Begun outside the lock: two who begin the same at once come to the same.
        Task.Start start = Optional.ofNullable(starts.get(run.task())).orElseGet(run.task()::start);
        starts.put(run.task(), start);
        DryRun dry = start.run();
        done.doings().forEach(dry::does);
        return dry;
    }

    /**
     * Does one more thing. Two requests at once come one after the other.
     *
     * @throws IllegalArgumentException when there is nothing of the kind here
     */
    @Transactional
    void does(SignedIn user, UUID id, Doing doing) {
        Run run = held(user, id);
        Done done = done(run);
        if (done.doings().size() >= MOST_DOINGS) {
            throw new IllegalArgumentException("A run (" + done.doings().size() + ") has no more than " + MOST_DOINGS);
        }
        replayed(run, done).does(doing);
        jdbc.sql("insert into bench_doing (run_id, number, doing, at) values (:run, :number, :doing, :at)")
                .param("run", id)
                .param("number", done.doings().size() + 1)
                .param("doing", doing.text())
                .param("at", now())
                .update();
    }

    /** One's own run that goes on, locked. */
    private Run held(SignedIn user, UUID id) {
        jdbc.sql("select id from bench_run where id = :id for update")
                .param("id", id)
                .query(UUID.class)
                .optional();
        Run run = one(user, id);
        if (run.isOver() || !run.user().equals(user.userId())) {
            throw new RunIsOverException();
        }
        return run;
    }

    /** Ends a run, and notes what is known since. Ended twice it is noted once. */
    @Transactional
    void end(SignedIn user, UUID id, String choice, List<Point> points) {
        Run run = held(user, id);
        boolean clean = points.stream().allMatch(Point::isGood);
        jdbc.sql("update bench_run set ended_at = :at, clean = :clean, choice = :choice where id = :id")
                .param("at", now())
                .param("clean", clean)
                .param("choice", choice.isEmpty() ? null : choice)
                .param("id", run.id())
                .update();
        LocalDate today = today(user);
        Map<String, Boolean> right =
                points.stream().collect(Collectors.toMap(Point::area, Point::isGood, Boolean::logicalAnd));
        if (run.task().kind() == Task.Kind.FIT) {
            // A whole fitting has everything in it: what there is nothing to say about was right.
            AREAS.forEach(area -> right.putIfAbsent(area, true));
        }
        for (Skill skill : skills(user.userId(), today)) {
            Optional.ofNullable(right.get(skill.area()))
                    .map(wasRight -> skill.after(wasRight, today))
                    .ifPresent(after -> keep(user, after));
        }
    }

    private void keep(SignedIn user, Skill skill) {
        jdbc.sql("insert into bench_skill (user_id, point_id, area, right_in_a_row, due)"
                        + " values (:user, :point, :area, :right, :due)"
                        + " on conflict (point_id, user_id, area) do update set right_in_a_row = excluded.right_in_a_row,"
                        + " due = excluded.due")
                .param("user", user.userId())
                .param("point", user.pointId())
                .param("area", skill.area())
                .param("right", skill.right())
                .param("due", skill.due())
                .update();
    }

    LocalDate today(SignedIn user) {
        return viewing.today(viewing.point(user));
    }

    /** What somebody knows of each area. */
    @Transactional(readOnly = true)
    List<Skill> skills(UUID user, LocalDate today) {
        Map<String, Skill> kept = new LinkedHashMap<>();
        jdbc.sql("select area, right_in_a_row, due from bench_skill where user_id = :user")
                .param("user", user)
                .query(row -> {
                    kept.put(
                            row.getString("area"),
                            new Skill(
                                    row.getString("area"),
                                    row.getInt("right_in_a_row"),
                                    row.getObject("due", LocalDate.class)));
                });
        return AREAS.stream()
                .map(area -> kept.getOrDefault(area, Skill.fresh(area, today)))
                .toList();
    }

    /** Everybody of the point who is here, with what they did. */
    @Transactional(readOnly = true)
    List<Person> group(UUID point) {
        return jdbc.sql("select id, display_name from app_user where point_id = :point and retired_at is null"
                        + " order by display_name")
                .param("point", point)
                .query((row, number) -> {
                    UUID id = row.getObject("id", UUID.class);
                    List<Run> ended = ended(id);
                    int clean = (int) ended.stream()
                            .filter(run -> run.clean().orElse(false))
                            .count();
                    return new Person(id, row.getString("display_name"), ended.size(), clean, practised(ended));
                })
                .list();
    }

    /** Every ended run of somebody, the newest first. */
    @Transactional(readOnly = true)
    List<Run> ended(UUID user) {
        return jdbc.sql(COLUMNS + " where user_id = :user and ended_at is not null order by begun_at desc limit 1000")
                .param("user", user)
                .query(Drills::run)
                .list();
    }

    /** How long was practised; a pause counts for a few minutes. */
    @Transactional(readOnly = true)
    Duration practised(List<Run> runs) {
        Duration whole = Duration.ZERO;
        for (Run run : runs) {
            whole = whole.plus(practised(run));
        }
        return whole;
    }

    Duration practised(Run run) {
        Instant before = run.begun();
        Duration whole = Duration.ZERO;
        List<Instant> moments =
                new ArrayList<>(jdbc.sql("select at from bench_doing where run_id = :run order by number")
                        .param("run", run.id())
                        .query((row, number) -> row.getTimestamp("at").toInstant())
                        .list());
        run.ended().ifPresent(moments::add);
        for (Instant moment : moments) {
            Duration between = Duration.between(before, moment);
            whole = whole.plus(between.compareTo(LONGEST_PAUSE) > 0 ? LONGEST_PAUSE : between);
            before = moment;
        }
        return whole;
    }

    /** What somebody is asked to do and has not begun. */
    @Transactional(readOnly = true)
    List<Asked> asked(UUID user) {
        return jdbc.sql("select id, kind, number, asked_by from bench_asked where user_id = :user and run_id is null"
                        + " order by asked_at limit 20")
                .param("user", user)
                .query((row, number) -> new Asked(
                        row.getObject("id", UUID.class),
                        new Task(Task.Kind.valueOf(row.getString("kind")), row.getInt("number")),
                        row.getString("asked_by")))
                .list();
    }

    /** Asks somebody of the point to do a run; false where there is no such person. */
    @Transactional
    boolean ask(SignedIn lead, UUID person, Task task) {
        return jdbc.sql("insert into bench_asked (id, point_id, user_id, kind, number, asked_by, asked_at)"
                                + " select :id, :point, u.id, :kind, :number, :by, :at from app_user u"
                                + " where u.id = :person and u.point_id = :point and u.retired_at is null")
                        .param("id", UUID.randomUUID())
                        .param("point", lead.pointId())
                        .param("kind", task.kind().name())
                        .param("number", task.number())
                        .param("by", lead.displayName())
                        .param("at", now())
                        .param("person", person)
                        .update()
                == 1;
    }

    /** There is no such run, or it is somebody else's. */
    @ResponseStatus(HttpStatus.NOT_FOUND)
    static class NoSuchRunException extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    /** It was ended; nothing more is done in it. */
    @ResponseStatus(HttpStatus.CONFLICT)
    static class RunIsOverException extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }
}
