package app.layette.web.api;

import app.layette.web.account.Viewing;
import app.layette.web.api.Problems.ApiException;
import app.layette.web.due.DueOpen;
import java.sql.Types;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What comes: due dates, appointments, and what was heard of recalls; references, never names. */
@RestController
@RequestMapping("/api/v1")
class ComingApi {
    private static final int USUAL_DAYS = 92;
    private static final String FIRST_DAY = "1900-01-01";
    private static final String FIRST_ID = new UUID(0, 0).toString();

    private final JdbcClient jdbc;
    private final Viewing viewing;

    ComingApi(JdbcClient jdbc, Viewing viewing) {
        this.jdbc = jdbc;
        this.viewing = viewing;
    }

    /** One thing of one family. */
    public record Due(
            UUID fitting, String reference, String what, LocalDate earliest, LocalDate likely, LocalDate latest) {}

    @GetMapping("/due")
    PageOf<Due> due(
            @AuthenticationPrincipal Program program,
            @RequestParam(defaultValue = "") String until,
            @RequestParam(defaultValue = "") String after,
            @RequestParam(defaultValue = "") String limit) {
        LocalDate today = viewing.today(viewing.point(program.pointId()));
        int most = PageOf.limit(limit);
        List<String> from = PageOf.after(after, 4).orElse(List.of(FIRST_DAY, FIRST_ID, "", FIRST_DAY));
        List<Due> oneMore = jdbc.sql(
                        "select i.fitting_id as fitting, a.reference, i.what, i.earliest, i.likely, i.latest"
                                + " from due_item i join fitting f on f.point_id = i.point_id and f.id = i.fitting_id"
                                + " join family a on a.point_id = f.point_id and a.id = f.family_id"
                                + " where i.point_id = :point and i.earliest <= :until and" + DueOpen.on(":today")
                                + " and (i.earliest, i.fitting_id, i.what, i.likely)"
                                + " > (:earliest, cast(:fitting as uuid), :what, :likely)"
                                + " order by i.earliest, i.fitting_id, i.what, i.likely limit :most")
                .param("point", program.pointId())
                .param("until", until.isEmpty() ? today.plusDays(USUAL_DAYS) : day("until", until))
                .param("today", today)
                .param("earliest", day("after", from.get(0)), Types.DATE)
                .param("fitting", id(from.get(1)))
                .param("what", from.get(2))
                .param("likely", day("after", from.get(3)), Types.DATE)
                .param("most", most + 1)
                .query(Due.class)
                .list();
        return PageOf.of(
                oneMore,
                most,
                each -> List.of(
                        each.earliest().toString(),
                        each.fitting().toString(),
                        each.what(),
                        each.likely().toString()));
    }

    /** A time that was given to a family. */
    public record Appointment(
            UUID id,
            LocalDate day,
            LocalTime from,
            LocalTime to,
            String what,
            String reference,
            String state,
            UUID fitting) {}

    @GetMapping("/appointments")
    PageOf<Appointment> appointments(
            @AuthenticationPrincipal Program program,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String until,
            @RequestParam(defaultValue = "") String after,
            @RequestParam(defaultValue = "") String limit) {
        LocalDate today = viewing.today(viewing.point(program.pointId()));
        int most = PageOf.limit(limit);
        List<String> mark = PageOf.after(after, 2).orElse(List.of(FIRST_DAY, FIRST_ID));
        LocalDate first = from.isEmpty() ? today : day("from", from);
        LocalDate last = until.isEmpty() ? first.plusDays(USUAL_DAYS) : day("until", until);
        List<Appointment> oneMore = jdbc.sql(
                        "select id, day, from_time as \"from\", to_time as \"to\", lower(what) as what,"
                                + " reference, lower(state) as state, fitting_id as fitting from appointment"
                                + " where point_id = :point and day between :from and :until and state <> 'CANCELLED'"
                                + " and (day, id) > (:day, cast(:id as uuid)) order by day, id limit :most")
                .param("point", program.pointId())
                .param("from", first)
                .param("until", last)
                .param("day", day("after", mark.get(0)), Types.DATE)
                .param("id", id(mark.get(1)))
                .param("most", most + 1)
                .query(Appointment.class)
                .list();
        return PageOf.of(
                oneMore, most, each -> List.of(each.day().toString(), each.id().toString()));
    }

    /** What the recall service said of a model that is here, when it was last heard. */
    public record Heard(String model, JsonNode notices, Instant askedAt) {}

    @GetMapping("/recalls")
    PageOf<Heard> recalls(
            @AuthenticationPrincipal Program program,
            @RequestParam(defaultValue = "") String after,
            @RequestParam(defaultValue = "") String limit) {
        int most = PageOf.limit(limit);
        String last = PageOf.after(after, 1).map(mark -> mark.get(0)).orElse("");
        List<Heard> oneMore = jdbc.sql("select k.model, k.notices, k.asked_at from recall_known k where k.model > :last"
                        + " and (exists (select 1 from label_model m where m.point_id = :point and m.model = k.model)"
                        + " or exists (select 1 from stock_seat s where s.point_id = :point and lower(s.model) = k.model))"
                        + " order by k.model limit :most")
                .param("point", program.pointId())
                .param("last", last)
                .param("most", most + 1)
                .query((row, number) -> new Heard(
                        row.getString("model"),
                        JsonMapper.shared().readTree(row.getString("notices")),
                        row.getTimestamp("asked_at").toInstant()))
                .list();
        return PageOf.of(oneMore, most, each -> List.of(each.model()));
    }

    private static LocalDate day(String field, String text) {
        try {
            return LocalDate.parse(text);
        } catch (DateTimeParseException e) {
            throw ApiException.field(field, text, "a day such as 2026-11-29");
        }
    }

    private static String id(String text) {
        try {
            return UUID.fromString(text).toString();
        } catch (IllegalArgumentException e) {
            throw ApiException.field("after", text, "what the last page called next");
        }
    }
}
