package app.layette.web.organisation;

import app.layette.core.entry.Author;
import app.layette.core.entry.FieldProblem;
import app.layette.web.account.Point;
import app.layette.web.account.PointFields;
import app.layette.web.account.Points;
import app.layette.web.account.SignedIn;
import app.layette.web.account.User;
import app.layette.web.account.Users;
import app.layette.web.account.Viewing;
import app.layette.web.due.DueOpen;
import app.layette.web.people.PasswordLinks;
import app.layette.web.shell.TypedText;
import app.layette.web.trail.Trail;
import app.layette.web.wall.Wall;
import java.sql.Timestamp;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What stands above the points: numbers of all of them, never a row of one. Each question is asked outside the wall, and
 * by somebody who answers for the organisation alone.
 */
@Service
class Organisation {
    private static final int LONGEST_NAME = 120;
    private static final int MOST_POINTS = 500;

    private final Points points;
    private final Users users;
    private final PasswordEncoder passwords;
    private final PasswordLinks links;
    private final Trail trail;
    private final JdbcClient jdbc;
    private final Viewing viewing;
    private final TransactionTemplate transactions;

    Organisation(
            Points points,
            Users users,
            PasswordEncoder passwords,
            PasswordLinks links,
            Trail trail,
            JdbcClient jdbc,
            Viewing viewing,
            PlatformTransactionManager manager) {
        this.points = points;
        this.users = users;
        this.passwords = passwords;
        this.links = links;
        this.trail = trail;
        this.jdbc = jdbc;
        this.viewing = viewing;
        this.transactions = new TransactionTemplate(manager);
    }

    /**
     * A point in numbers.
     *
     * @param people who work there
     * @param open fittings under way
     * @param overdue what should have been done by today and was not
     * @param lent seats that are with families
     */
    record Counts(
            String name,
            String zone,
            int people,
            int open,
            int handedOver,
            int leftOpen,
            int taught,
            int notFitted,
            int overdue,
            int lent) {
        int ended() {
            return handedOver + leftOpen + taught + notFitted;
        }
    }

    /** Somebody who may answer for the organisation. */
    record Lead(String name, String shown, String point, boolean organisation) {}

    /** All points by name, with what ended there in a year. */
    List<Counts> points(SignedIn user, int year) {
        need(user);
        return Wall.outside(() -> jdbc.sql("""
                        select p.name, p.zone,
                            (select count(*) from app_user u where u.point_id = p.id and u.retired_at is null) as people,
                            (select count(*) from fitting f where f.point_id = p.id
                                and f.state in ('OPEN', 'PREPARED')) as open,
                            coalesce(l.handed_over, 0) as handed_over, coalesce(l.left_open, 0) as left_open,
                            coalesce(l.taught, 0) as taught, coalesce(l.not_fitted, 0) as not_fitted,
                            (select count(*) from due_item i where i.point_id = p.id and i.likely < t.today
                                and""" + DueOpen.on("t.today") + """
                                ) as overdue,
                            (select count(*) from stock_seat s where s.point_id = p.id and s.state = 'LENT') as lent
                        from point p
                        cross join lateral (select (cast(:now as timestamptz) at time zone p.zone)::date as today) t
                        left join lateral (
                            select count(*) filter (where ending = 'HANDED_OVER') as handed_over,
                                count(*) filter (where ending = 'LEFT_WITH_OPEN_FINDINGS') as left_open,
                                count(*) filter (where ending = 'TAUGHT') as taught,
                                count(*) filter (where ending = 'NOT_FITTED') as not_fitted
                            from ledger_line l where l.point_id = p.id and l.day between :from and :until) l on true
                        order by p.name limit :most""")
                .param("now", Timestamp.from(viewing.clock().instant()))
                .param("from", LocalDate.of(year, 1, 1))
                .param("until", LocalDate.of(year, 12, 31))
                .param("most", MOST_POINTS)
                .query(Counts.class)
                .list());
    }

    /** The leads of all points, who answer for the organisation before the others. */
    List<Lead> leads(SignedIn user) {
        need(user);
        return Wall.outside(() -> jdbc.sql("select u.name, u.display_name as shown, p.name as point, u.organisation"
                        + " from app_user u join point p on p.id = u.point_id"
                        + " where u.role = 'LEAD' and u.retired_at is null order by u.organisation desc, p.name, u.name"
                        + " limit " + MOST_POINTS)
                .query(Lead.class)
                .list());
    }

    /** What came of opening a point: what is wrong, or the path by which its lead sets a password. */
    record Opened(List<FieldProblem> problems, Optional<String> link) {}

    /** Opens another point with a lead of its own. */
    Opened open(SignedIn user, Map<String, String> fields) {
        need(user);
        return Wall.outside(() -> transactions.execute(status -> {
            List<FieldProblem> problems = new ArrayList<>();
            String called = TypedText.needed(fields, "pointName", PointFields.LONGEST_NAME, problems);
            if (!called.isEmpty()
                    && points.findAll().stream().anyMatch(each -> each.name().equalsIgnoreCase(called))) {
                problems.add(new FieldProblem("pointName", called, "TAKEN", "", ""));
            }
            Optional<ZoneId> zone = PointFields.zone(text(fields, "zone"), problems);
            String country = PointFields.country(text(fields, "lawCountry"), problems);
            String shown = TypedText.needed(fields, "shown", LONGEST_NAME, problems);
            String name = text(fields, "person");
            if (!User.isName(name)) {
                problems.add(new FieldProblem("person", name, "NOT_A_SIGN_IN_NAME", "2", "40"));
            } else if (users.findByName(name).isPresent()) {
                problems.add(new FieldProblem("person", name, "PERSON_TAKEN", "", ""));
            }
            if (!problems.isEmpty()) {
                return new Opened(problems, Optional.empty());
            }
            Point own = viewing.point(user);
            Point opened = points.saveAndFlush(
                    new Point(UUID.randomUUID(), called, zone.orElseThrow(), country, own.profileId()));
            String nobodys =
                    Objects.requireNonNull(passwords.encode(UUID.randomUUID().toString() + UUID.randomUUID()));
            User lead = users.saveAndFlush(new User(opened.id(), name, shown, nobodys, Author.Role.LEAD));
            trail.add(user.pointId(), user.getUsername(), Trail.What.POINT_OPENED, called);
            trail.add(opened.id(), user.getUsername(), Trail.What.POINT_OPENED, called);
            return new Opened(List.of(), Optional.of("/password/" + links.make(lead.id())));
        }));
    }

    /**
     * Lets a lead answer for the organisation, or no longer.
     *
     * @return what is wrong; empty when it was kept
     */
    List<FieldProblem> answers(SignedIn user, String name, boolean organisation) {
        need(user);
        return Wall.outside(() -> transactions.execute(status -> {
            Optional<User> lead =
                    users.findByName(name).filter(each -> each.works() && each.role() == Author.Role.LEAD);
            if (lead.isEmpty()) {
                return List.of(FieldProblem.notAmong(
                        "lead", name, leads(user).stream().map(Lead::name).toList()));
            }
            if (!organisation && name.equals(user.getUsername())) {
                // Whoever takes it from everybody would leave nobody who could give it.
                return List.of(new FieldProblem("lead", name, "NOT_YOURSELF", "", ""));
            }
            users.save(lead.get().answerForAll(organisation));
            trail.add(
                    user.pointId(),
                    user.getUsername(),
                    organisation ? Trail.What.ORGANISATION_GIVEN : Trail.What.ORGANISATION_TAKEN,
                    name);
            return List.of();
        }));
    }

    private static String text(Map<String, String> fields, String name) {
        return fields.getOrDefault(name, "").strip();
    }

    private static void need(SignedIn user) {
        if (!user.isForOrganisation()) {
            throw new AccessDeniedException("Only who answers for all points sees them");
        }
    }
}
