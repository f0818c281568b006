package app.layette.web.api;

import app.layette.core.entry.Author;
import app.layette.core.evidence.SheetVersion;
import app.layette.web.api.Problems.ApiException;
import app.layette.web.shelf.Shelf;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** The sheets of the shelf; one that a program brings is a draft until a lead confirms it. */
@RestController
@RequestMapping("/api/v1/sheets")
class SheetApi {
    private static final Set<String> KINDS = Set.of("seat", "vehicle");

    private final Shelf shelf;
    private final JdbcClient jdbc;
    private final Answers answers;

    SheetApi(Shelf shelf, JdbcClient jdbc, Answers answers) {
        this.shelf = shelf;
        this.jdbc = jdbc;
        this.answers = answers;
    }

    /** A version as the list shows it. */
    public record Listed(String kind, String id, int version, String status, String title, String sha256) {}

    @GetMapping
    PageOf<Listed> list(
            @AuthenticationPrincipal Program program,
            @RequestParam(defaultValue = "") String kind,
            @RequestParam(defaultValue = "") String after,
            @RequestParam(defaultValue = "") String limit) {
        if (!kind.isEmpty() && !KINDS.contains(kind)) {
            throw ApiException.field("kind", kind, "seat, vehicle");
        }
        int most = PageOf.limit(limit);
        List<String> from = PageOf.after(after, 3).orElse(List.of("", "", "0"));
        if (!from.get(2).matches("\\d{1,6}")) {
            throw ApiException.field("after", after, "what the last page called next");
        }
        List<Listed> oneMore = jdbc.sql(
                        "select lower(kind) as kind, id, version, lower(status) as status, title, sha256"
                                + " from sheet where point_id = :point and (:kind = '' or kind = upper(:kind))"
                                + " and (kind, id, version) > (:afterKind, :afterId, :afterVersion)"
                                + " order by kind, id, version limit :most")
                .param("point", program.pointId())
                .param("kind", kind)
                .param("afterKind", from.get(0))
                .param("afterId", from.get(1))
                .param("afterVersion", Integer.parseInt(from.get(2)))
                .param("most", most + 1)
                .query(Listed.class)
                .list();
        return PageOf.of(
                oneMore,
                most,
                each -> List.of(each.kind().toUpperCase(Locale.ROOT), each.id(), String.valueOf(each.version())));
    }

    @GetMapping("/{id}/{version}")
    ResponseEntity<String> one(
            @AuthenticationPrincipal Program program, @PathVariable String id, @PathVariable int version) {
        String document = shelf.document(program.pointId(), new SheetVersion(id, version))
                .orElseThrow(() -> ApiException.nothing("The sheet " + id + " " + version));
        return Answers.tagged(document);
    }

    @PostMapping
    ResponseEntity<String> bring(
            @AuthenticationPrincipal Program program,
            @RequestBody String body,
            @RequestHeader(name = "Idempotency-Key", required = false) String key) {
        return answers.once(program, key, "sheets", body, () -> {
                    Author author = new Author(program.author(), Author.Role.TRAINEE);
                    SheetVersion draft = shelf.putDraft(program.pointId(), body, List.of(program.author()), author);
                    return new Answers.Answer(
                            HttpStatus.CREATED.value(),
                            "/api/v1/sheets/" + draft.id() + "/" + draft.version(),
                            JsonMapper.shared().writeValueAsString(new Draft(draft.id(), draft.version(), "draft")));
                })
                .entity();
    }

    /** What was taken in. */
    public record Draft(String id, int version, String status) {}
}
