package app.layette.web.api;

import app.layette.core.entry.FieldProblem;
import app.layette.formats.text.Sha256;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.shell.TypedText;
import app.layette.web.trail.Trail;
import app.layette.web.wall.Wall;
import java.security.SecureRandom;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The programs of a point, their tokens, and how often they asked. A token is told once; its hash alone is kept. */
@Service
class Programs {
    /** How often a program may ask in a minute. */
    static final int A_MINUTE = 240;

    private static final int BYTES = 32;
    private static final int LONGEST_NAME = 50;
    private static final int MOST_DAYS = 730;
    private static final String BEGINS = "lay_";
    private static final String COLUMNS = "select p.point_id, p.id, p.name, p.scopes, p.expires_on, p.revoked_at,"
            + " (select max(u.minute) from program_use u where u.point_id = p.point_id and u.program_id = p.id) as asked"
            + " from program p";

    private final JdbcClient jdbc;
    private final Trail trail;
    private final Viewing viewing;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    Programs(JdbcClient jdbc, Trail trail, Viewing viewing, Clock clock) {
        this.jdbc = jdbc;
        this.trail = trail;
        this.viewing = viewing;
        this.clock = clock;
    }

    /** What came of making a token: what is wrong, or the token itself. */
    record Made(List<FieldProblem> problems, Optional<String> token) {}

    @Transactional
    Made make(SignedIn lead, String name, List<String> scopes, String days) {
        need(lead);
        List<FieldProblem> problems = new ArrayList<>();
        String called = TypedText.needed(Map.of("programName", name), "programName", LONGEST_NAME, problems);
        Set<Scope> may = EnumSet.noneOf(Scope.class);
        for (String each : scopes) {
            Scope.of(each)
                    .ifPresentOrElse(
                            may::add,
                            () -> problems.add(FieldProblem.notAmong(
                                    "scopes",
                                    each,
                                    Arrays.stream(Scope.values())
                                            .map(Scope::spelled)
                                            .toList())));
        }
        if (scopes.isEmpty()) {
            problems.add(new FieldProblem("scopes", "", "NEEDED", "", ""));
        }
        boolean isNumber = days.strip().matches("\\d{1,4}")
                && Integer.parseInt(days.strip()) >= 1
                && Integer.parseInt(days.strip()) <= MOST_DAYS;
        if (!isNumber) {
            problems.add(FieldProblem.outside("days", days.strip(), 1, MOST_DAYS));
        }
        if (!problems.isEmpty()) {
            return new Made(problems, Optional.empty());
        }
        byte[] bytes = new byte[BYTES];
        random.nextBytes(bytes);
        String token = BEGINS + Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        LocalDate last = viewing.today(viewing.point(lead)).plusDays(Integer.parseInt(days.strip()));
        jdbc.sql("insert into program (point_id, id, name, scopes, sha256, made_by, made_at, expires_on)"
                        + " values (:point, :id, :name, :scopes, :sha, :by, :at, :last)")
                .param("point", lead.pointId())
                .param("id", UUID.randomUUID())
                .param("name", called)
                .param("scopes", may.stream().map(Scope::spelled).collect(Collectors.joining(" ")))
                .param("sha", Sha256.of(token))
                .param("by", lead.getUsername())
                .param("at", Timestamp.from(clock.instant()))
                .param("last", last)
                .update();
        trail.add(
                lead.pointId(),
                lead.getUsername(),
                Trail.What.PROGRAM_ADDED,
                called + " until " + last + ": "
                        + may.stream().map(Scope::spelled).collect(Collectors.joining(" ")));
        return new Made(List.of(), Optional.of(token));
    }

    /** All of the lead's point, those that count before those that are over. */
    @Transactional(readOnly = true)
    List<Program> of(SignedIn lead) {
        need(lead);
        return jdbc.sql(COLUMNS + " where p.point_id = :point order by p.revoked_at is not null, p.name, p.id")
                .param("point", lead.pointId())
                .query(Programs::read)
                .list();
    }

    /** Takes a token back; false where there is none. */
    @Transactional
    boolean revoke(SignedIn lead, UUID id) {
        need(lead);
        Optional<Program> program = jdbc.sql(COLUMNS + " where p.point_id = :point and p.id = :id")
                .param("point", lead.pointId())
                .param("id", id)
                .query(Programs::read)
                .optional();
        program.filter(each -> each.revokedAt().isEmpty()).ifPresent(each -> {
            jdbc.sql("update program set revoked_at = :at where point_id = :point and id = :id")
                    .param("at", Timestamp.from(clock.instant()))
                    .param("point", lead.pointId())
                    .param("id", id)
                    .update();
            trail.add(lead.pointId(), lead.getUsername(), Trail.What.PROGRAM_REVOKED, each.name());
        });
        return program.isPresent();
    }

    /** Whose token this is, as long as it counts. Asked before the point is known. */
    Optional<Program> owner(String token) {
        return Wall.outside(() -> jdbc.sql(COLUMNS + " where p.sha256 = :sha and p.revoked_at is null")
                        .param("sha", Sha256.of(token))
                        .query(Programs::read)
                        .optional())
                .filter(each -> !viewing.today(viewing.point(each.pointId())).isAfter(each.expiresOn()));
    }

    /** Counts a request; how many there were in this minute, by whichever process. */
    @Transactional
    int count(Program program) {
        Instant minute = clock.instant().truncatedTo(ChronoUnit.MINUTES);
        return jdbc.sql("insert into program_use (point_id, program_id, minute, requests)"
                        + " values (:point, :program, :minute, 1) on conflict (point_id, program_id, minute)"
                        + " do update set requests = program_use.requests + 1 returning requests")
                .param("point", program.pointId())
                .param("program", program.id())
                .param("minute", Timestamp.from(minute))
                .query(Integer.class)
                .single();
    }

    private static Program read(ResultSet row, int number) throws SQLException {
        return new Program(
                row.getObject("point_id", UUID.class),
                row.getObject("id", UUID.class),
                row.getString("name"),
                Arrays.stream(row.getString("scopes").split(" "))
                        .flatMap(each -> Scope.of(each).stream())
                        .collect(Collectors.toSet()),
                row.getObject("expires_on", LocalDate.class),
                Optional.ofNullable(row.getTimestamp("revoked_at")).map(Timestamp::toInstant),
                Optional.ofNullable(row.getTimestamp("asked")).map(Timestamp::toInstant));
    }

    private static void need(SignedIn user) {
        if (!user.isLead()) {
            throw new AccessDeniedException("Only a lead gives programs a token");
        }
    }
}
