package app.layette.web.api;

import app.layette.core.fitting.FittingState;
import app.layette.formats.document.PlanDocument;
import app.layette.formats.wording.Languages;
import app.layette.formats.wording.Wording;
import app.layette.web.api.Problems.ApiException;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.NoSuchFittingException;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Fittings, to read: what was fitted and how it stands; the family's reference, never a name. */
@RestController
@RequestMapping("/api/v1/fittings")
class FittingApi {
    private final Fittings fittings;
    private final JdbcClient jdbc;

    FittingApi(Fittings fittings, JdbcClient jdbc) {
        this.fittings = fittings;
        this.jdbc = jdbc;
    }

    /**
     * A fitting as the list shows it.
     *
     * @param nextStep {@code null} where nothing is left to do
     * @param car {@code null} where none was chosen
     */
    public record Listed(
            UUID id,
            String reference,
            String state,
            String seatSheet,
            @Nullable String car,
            @Nullable String nextStep,
            int blocking,
            Instant createdAt,
            Instant touchedAt) {}

    @GetMapping
    PageOf<Listed> list(
            @AuthenticationPrincipal Program program,
            @RequestParam(defaultValue = "") String state,
            @RequestParam(defaultValue = "") String since,
            @RequestParam(defaultValue = "") String after,
            @RequestParam(defaultValue = "") String limit) {
        Optional<FittingState> of = Arrays.stream(FittingState.values())
                .filter(each -> each.name().equalsIgnoreCase(state))
                .findFirst();
        if (!state.isEmpty() && of.isEmpty()) {
            throw ApiException.field(
                    "state",
                    state,
                    String.join(
                            ", ",
                            Arrays.stream(FittingState.values())
                                    .map(each -> each.name().toLowerCase(Locale.ROOT))
                                    .toList()));
        }
        int most = PageOf.limit(limit);
        Optional<List<String>> from = PageOf.after(after, 2);
        Instant begins = from.map(mark -> moment("after", mark.get(0)))
                .orElseGet(() -> since.isEmpty() ? Instant.EPOCH : moment("since", since));
        UUID last = from.map(mark -> id(mark.get(1))).orElse(new UUID(0, 0));
        List<Listed> oneMore = jdbc.sql("select f.id, a.reference, lower(f.state) as state, f.seat_sheet, f.car,"
                        + " f.next_step, f.blocking, f.created_at, f.touched_at from fitting f"
                        + " join family a on a.point_id = f.point_id and a.id = f.family_id"
                        + " where f.point_id = :point and (:state = '' or f.state = :state)"
                        + " and f.touched_at >= :from and (f.touched_at, f.id) > (:from, :last)"
                        + " order by f.touched_at, f.id limit :most")
                .param("point", program.pointId())
                .param("state", of.map(Enum::name).orElse(""))
                .param("from", Timestamp.from(begins))
                .param("last", last)
                .param("most", most + 1)
                .query((row, number) -> new Listed(
                        row.getObject("id", UUID.class),
                        row.getString("reference"),
                        row.getString("state"),
                        row.getString("seat_sheet"),
                        row.getString("car"),
                        row.getString("next_step") == null
                                ? null
                                : row.getString("next_step").toLowerCase(Locale.ROOT),
                        row.getInt("blocking"),
                        row.getTimestamp("created_at").toInstant(),
                        row.getTimestamp("touched_at").toInstant()))
                .list();
        return PageOf.of(
                oneMore,
                most,
                each -> List.of(each.touchedAt().toString(), each.id().toString()));
    }

    private static Instant moment(String field, String text) {
        try {
            return Instant.parse(text);
        } catch (DateTimeParseException e) {
            throw ApiException.field(field, text, "a moment such as 2026-11-29T09:00:00Z");
        }
    }

    private static UUID id(String text) {
        try {
            return UUID.fromString(text);
        } catch (IllegalArgumentException e) {
            throw ApiException.field("after", text, "what the last page called next");
        }
    }

    /** The plan of a fitting as of today. */
    @GetMapping("/{id}")
    ResponseEntity<String> one(
            @AuthenticationPrincipal Program program,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String text) {
        Fittings.Planned fitting;
        try {
            fitting = fittings.planned(id, program.pointId());
        } catch (NoSuchFittingException e) {
            throw ApiException.nothing("The fitting " + id);
        }
        Optional<Wording> words = text.isEmpty()
                ? Optional.empty()
                : Optional.of(new Wording(
                        Languages.known(text)
                                .orElseThrow(() -> ApiException.field("text", text, "a language such as en, es")),
                        fitting.plan().situation().practice().profile().units()));
        return Answers.tagged(PlanDocument.of(fitting.plan(), words, false).toString());
    }
}
