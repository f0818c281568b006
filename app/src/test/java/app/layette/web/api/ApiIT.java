package app.layette.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.formats.text.Sha256;
import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.core.type.filter.AnnotationTypeFilter;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The addresses for programs, as another program sees them. */
class ApiIT {
    private static final String ALL = "plan sheets fittings due appointments recalls fhir metrics";
    private static final Path CASES = Path.of("..", "examples", "cases");

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private final HttpClient http = HttpClient.newHttpClient();

    private static String token(String point, String scopes, String until) {
        String token = "lay_" + java.util.UUID.randomUUID();
        app.execute("insert into program (point_id, id, name, scopes, sha256, made_by, made_at, expires_on) select id,"
                + " gen_random_uuid(), 'ward', '" + scopes + "', '" + Sha256.of(token) + "', 'ilse', now(), " + until
                + " from point where " + point);
        return token;
    }

    private static String token(String scopes) {
        return token("name like 'Weir%'", scopes, "current_date + 10");
    }

    private HttpResponse<String> send(String verb, String path, String token, String body, String... headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(app.address() + path))
                .method(verb, body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(body));
        if (body != null) {
            request.header("Content-Type", "application/json");
        }
        if (token != null) {
            request.header("Authorization", "Bearer " + token);
        }
        for (int i = 0; i < headers.length; i += 2) {
            request.header(headers[i], headers[i + 1]);
        }
        try {
            return http.send(request.build(), BodyHandlers.ofString());
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static JsonNode json(HttpResponse<String> answer) {
        return JsonMapper.shared().readTree(answer.body());
    }

    private JsonNode description() {
        return json(send("GET", "/api/v1/openapi.json", null, null));
    }

    /** What the description says and what the program answers are the same addresses. */
    @Test
    void everyAddressIsDescribedAndEveryReferenceLeadsSomewhere() throws ClassNotFoundException {
        TreeSet<String> answered = new TreeSet<>();
        ClassPathScanningCandidateComponentProvider scanner = new ClassPathScanningCandidateComponentProvider(false);
        scanner.addIncludeFilter(new AnnotationTypeFilter(RestController.class));
        for (var bean : scanner.findCandidateComponents("app.layette.web.api")) {
            Class<?> type = Class.forName(bean.getBeanClassName());
            RequestMapping above = AnnotatedElementUtils.findMergedAnnotation(type, RequestMapping.class);
            String prefix = above == null ? "" : above.path()[0];
            for (var method : type.getDeclaredMethods()) {
                RequestMapping mapping = AnnotatedElementUtils.findMergedAnnotation(method, RequestMapping.class);
                if (mapping != null) {
                    String path = mapping.path().length == 0 ? "" : mapping.path()[0];
                    for (RequestMethod verb : mapping.method()) {
                        answered.add(verb + " " + prefix + path);
                    }
                }
            }
        }
        TreeSet<String> described = new TreeSet<>();
        JsonNode document = description();
        document.get("paths")
                .propertyStream()
                .forEach(path -> path.getValue()
                        .propertyStream()
                        .forEach(verb ->
                                described.add(verb.getKey().toUpperCase(java.util.Locale.ROOT) + " " + path.getKey())));
        described.remove("GET /actuator/prometheus");
        assertThat(described).isEqualTo(answered);
        assertThat(document.get("openapi").asString()).startsWith("3.1");
        for (JsonNode pointer : document.findValues("$ref")) {
            String target = pointer.asString();
            if (target.startsWith("#")) {
                assertThat(document.at(target.substring(1)).isMissingNode())
                        .as(target)
                        .isFalse();
            } else {
                assertThat(send("GET", target, null, null).statusCode())
                        .as(target)
                        .isEqualTo(200);
            }
        }
    }

    /** Nobody, another scope, another point, a token that is over: asked at every address there is. */
    @Test
    void nobodyComesInWithoutTheRightToken() {
        app.openAnotherPoint("yrsa");
        String elsewhere = token("name = 'Mill Lane'", ALL, "current_date + 10");
        String over = token("name like 'Weir%'", ALL, "current_date - 2");
        String fitting = app.ask("select id from fitting order by created_at limit 1");
        String sheet = app.ask("select id from sheet where kind = 'SEAT' limit 1");
        SoftAssertions softly = new SoftAssertions();
        description()
                .get("paths")
                .propertyStream()
                .forEach(path -> path.getValue()
                        .propertyStream()
                        .filter(verb ->
                                !verb.getValue().path("x-scope").asString("").isEmpty())
                        .forEach(verb -> {
                            String scope = verb.getValue().get("x-scope").asString();
                            String address = path.getKey()
                                    .replace("{id}", path.getKey().contains("sheets") ? sheet : fitting)
                                    .replace("{version}", "1");
                            String method = verb.getKey().toUpperCase(java.util.Locale.ROOT);
                            String body = method.equals("POST") ? "{}" : null;
                            String others = String.join(
                                    " ",
                                    List.of(ALL.split(" ")).stream()
                                            .filter(each -> !each.equals(scope))
                                            .toList());
                            softly.assertThat(send(method, address, null, body).statusCode())
                                    .as(address)
                                    .isEqualTo(401);
                            softly.assertThat(send(method, address, "lay_none", body)
                                            .statusCode())
                                    .as(address)
                                    .isEqualTo(401);
                            softly.assertThat(send(method, address, over, body).statusCode())
                                    .as(address)
                                    .isEqualTo(401);
                            HttpResponse<String> refused = send(method, address, token(others), body);
                            softly.assertThat(refused.statusCode()).as(address).isEqualTo(403);
                            softly.assertThat(refused.headers()
                                            .firstValue("Content-Type")
                                            .orElse(""))
                                    .contains("application/problem+json");
                            HttpResponse<String> strange = send(method, address, elsewhere, body);
                            softly.assertThat(strange.body()).as(address).doesNotContain("W-10", "Wrenfold");
                            if (path.getKey().contains("{id}")) {
                                softly.assertThat(strange.statusCode())
                                        .as(address)
                                        .isEqualTo(404);
                            }
                        }));
        softly.assertAll();
    }

    @Test
    void listsGoOnFromWhereTheyStoppedAndNothingIsTwiceOrNamed() {
        String token = token(ALL);
        for (String list : List.of("sheets", "fittings", "due", "appointments", "recalls")) {
            List<String> seen = new ArrayList<>();
            String next = "";
            do {
                HttpResponse<String> answer = send("GET", "/api/v1/" + list + "?limit=3&after=" + next, token, null);
                assertThat(answer.statusCode()).as(list + " " + answer.body()).isEqualTo(200);
                assertThat(answer.body()).doesNotContain("Ottilie", "Aldis");
                json(answer).get("items").forEach(item -> seen.add(item.toString()));
                next = json(answer).get("next").asString("");
            } while (!next.isEmpty());
            assertThat(seen).as(list).doesNotHaveDuplicates();
            if (list.equals("fittings")) {
                assertThat(seen)
                        .hasSize(Integer.parseInt(app.ask("select count(*) from fitting where point_id ="
                                + " (select id from point where name like 'Weir%')")));
            }
        }
    }

    /** The list of a program is the list of the page: what a newer fitting tells is on neither. */
    @Test
    void whatANewerFittingTellsIsNotDue() {
        String token = token(ALL);
        String path = "/api/v1/due?limit=200";
        int before = json(send("GET", path, token, null)).get("items").size();
        String one = json(send("GET", path, token, null))
                .get("items")
                .get(0)
                .get("fitting")
                .asString();
        int theirs = Integer.parseInt(app.ask("select count(*) from due_item where fitting_id = '" + one
                + "' and not done and not taken_over and hidden_until is null and earliest <= current_date + 92"));
        app.execute("update due_item set taken_over = true where fitting_id = '" + one + "'");
        try {
            assertThat(json(send("GET", path, token, null)).get("items").size())
                    .isEqualTo(before - theirs)
                    .isLessThan(before);
        } finally {
            app.execute("update due_item set taken_over = false where fitting_id = '" + one + "'");
        }
    }

    @Test
    void aDocumentIsSentOnceToWhoeverHasIt() {
        String token = token(ALL);
        String fitting = app.ask("select id from fitting where state = 'HANDED_OVER' limit 1");
        for (String path : List.of("/api/v1/fittings/" + fitting, "/api/v1/sheets/wrenfold-thimble/3")) {
            HttpResponse<String> first = send("GET", path, token, null);
            assertThat(first.statusCode()).isEqualTo(200);
            String tag = first.headers().firstValue("ETag").orElseThrow();
            HttpResponse<String> second = send("GET", path, token, null, "If-None-Match", tag);
            assertThat(second.statusCode()).isEqualTo(304);
            assertThat(second.body()).isEmpty();
            assertThat(send("GET", path, token, null, "If-None-Match", "\"other\"")
                            .statusCode())
                    .isEqualTo(200);
        }
    }

    @Test
    void aCaseIsPlannedAsFromTheCommandLine() throws IOException {
        String token = token("plan");
        Path file = CASES.resolve("ready.json");
        JsonNode document = JsonMapper.shared().readTree(Files.readString(file));
        for (String sheets : List.of("seatSheets", "vehicleSheets")) {
            var whole = JsonMapper.shared().createArrayNode();
            for (JsonNode sheet : document.get(sheets)) {
                whole.add(
                        sheet.isString()
                                ? JsonMapper.shared().readTree(Files.readString(CASES.resolve(sheet.asString())))
                                : sheet);
            }
            ((tools.jackson.databind.node.ObjectNode) document).set(sheets, whole);
        }
        HttpResponse<String> answer = send("POST", "/api/v1/plans?text=es&units=customary", token, document.toString());
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        assertThat(json(answer).toString()).contains("HAR-1");
        assertThat(send("POST", "/api/v1/plans?text=es&units=customary", token, document.toString())
                        .body())
                .isEqualTo(answer.body());
        HttpResponse<String> refused = send("POST", "/api/v1/plans", token, "{\"format\": \"x\"}");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(json(refused).get("errors").size()).isPositive();
        assertThat(send("POST", "/api/v1/plans", token, "<html>").statusCode()).isEqualTo(422);
        assertThat(send("POST", "/api/v1/plans?units=stone", token, "{}").body())
                .contains("units (stone)", "customary");
    }

    /** A newborn from a ward: once, however often it is sent; refused by place, value and what is allowed. */
    @Test
    void aNewbornIsBroughtInOnceAndBegunWith() {
        String token = token("fhir");
        String born = java.time.LocalDate.now().minusDays(3).toString();
        String bundle =
                "{\"resourceType\":\"Bundle\",\"type\":\"collection\",\"entry\":[{\"resource\":{\"resourceType\":"
                        + "\"Patient\",\"id\":\"p\",\"name\":[{\"given\":[\"Liv\"]}],\"birthDate\":\"" + born
                        + "\"}},{\"resource\":"
                        + "{\"resourceType\":\"Observation\",\"subject\":{\"reference\":\"Patient/p\"},\"status\":\"final\",\"code\":{\"coding\":[{\"system\":"
                        + "\"http://loinc.org\",\"code\":\"29463-7\"}]},\"effectiveDateTime\":\"" + born
                        + "\",\"valueQuantity\":{\"value\":2950,\"system\":\"http://unitsofmeasure.org\",\"code\":\"g\"}}}]}";
        HttpResponse<String> wrong = send("POST", "/api/v1/fhir/bundles", token, bundle.replace("\"g\"", "\"grams\""));
        assertThat(wrong.statusCode()).isEqualTo(422);
        assertThat(wrong.body()).contains("/entry/1/resource/valueQuantity/code", "grams", "[lb_av]");
        HttpResponse<String> first = send("POST", "/api/v1/fhir/bundles", token, bundle, "Idempotency-Key", "k1");
        assertThat(first.statusCode()).as(first.body()).isEqualTo(201);
        assertThat(send("POST", "/api/v1/fhir/bundles", token, bundle, "Idempotency-Key", "k1")
                        .body())
                .isEqualTo(first.body());
        assertThat(send("POST", "/api/v1/fhir/bundles", token, bundle.replace("Liv", "Siv"), "Idempotency-Key", "k1")
                        .statusCode())
                .isEqualTo(422);
        assertThat(send("POST", "/api/v1/fhir/bundles", token, bundle).statusCode())
                .isEqualTo(200);
        assertThat(app.ask("select count(*) from brought_in")).isEqualTo("1");
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/brought-in");
            Page page = desk.page();
            assertThat(page.textContent(".brought")).contains("Liv");
            desk.isAccessible("from the ward");
            page.fill(".brought [name=reference]", "W-9901");
            page.click(".brought button:has-text('Begin')");
            page.waitForLoadState();
            assertThat(page.textContent(".refused")).contains("Seat ()");
            assertThat(page.inputValue(".brought [name=reference]")).isEqualTo("W-9901");
            page.selectOption(".brought [name=seat]", "wrenfold-thimble");
            page.click(".brought button:has-text('Begin')");
            page.waitForURL("**/fittings/*");
            String fitting = page.url().substring(page.url().lastIndexOf('/') + 1);
            HttpResponse<String> out = send("GET", "/api/v1/fhir/fittings/" + fitting, token, null);
            assertThat(out.body())
                    .contains("\"document\"", "2950", "29463-7", "\"status\": \"unknown\"", "Not measured")
                    .doesNotContain("Liv", "W-9901");
            desk.open("/brought-in");
            assertThat(page.locator(".brought li").count()).isZero();
            desk.isQuiet();
        }
    }

    @Test
    void whoAsksTooOftenWaits() {
        String token = token("sheets");
        app.execute("insert into program_use select point_id, id, m, 239 from program, (values (date_trunc('minute',"
                + " now())), (date_trunc('minute', now()) + interval '1 minute')) as t (m) where sha256 = '"
                + Sha256.of(token) + "'");
        assertThat(send("GET", "/api/v1/sheets", token, null).statusCode()).isEqualTo(200);
        HttpResponse<String> refused = send("GET", "/api/v1/sheets", token, null);
        assertThat(refused.statusCode()).isEqualTo(429);
        assertThat(refused.headers().firstValue("Retry-After")).isPresent();
        assertThat(json(refused).get("detail").asString()).contains("allowed 240");
    }

    @Test
    void aSheetIsBroughtAsADraftAndWrongAnswersSayWhy() throws IOException {
        String token = token("sheets");
        String sheet = Files.readString(Path.of("..", "examples", "sheets", "wrenfold-thimble.json"))
                .replace("\"wrenfold-thimble\"", "\"sent-thimble\"");
        HttpResponse<String> brought = send("POST", "/api/v1/sheets", token, sheet, "Idempotency-Key", "s1");
        assertThat(brought.statusCode()).as(brought.body()).isEqualTo(201);
        assertThat(json(brought).get("status").asString()).isEqualTo("draft");
        String at = brought.headers().firstValue("Location").orElseThrow();
        assertThat(json(send("GET", at, token, null)).get("status").asString()).isEqualTo("draft");
        assertThat(send("POST", "/api/v1/sheets", token, "{\"id\": 7}").statusCode())
                .isEqualTo(422);
        for (Map.Entry<String, String> wrong : Map.of(
                        "/api/v1/sheets?limit=0", "limit (0)",
                        "/api/v1/sheets?limit=x", "limit (x)",
                        "/api/v1/sheets?after=!!", "after (!!)",
                        "/api/v1/sheets?kind=boat", "kind (boat)",
                        "/api/v1/sheets/wrenfold-thimble/x", "version (x)")
                .entrySet()) {
            HttpResponse<String> refused = send("GET", wrong.getKey(), token, null);
            assertThat(refused.statusCode()).as(wrong.getKey()).isEqualTo(400);
            assertThat(json(refused).get("detail").asString()).contains(wrong.getValue());
        }
        Map<String, Integer> strange = Map.of(
                "GET /api/v1/nothing", 404,
                "DELETE /api/v1/sheets", 405,
                "GET /api/v1/schemas/none.schema.json", 404);
        strange.forEach((asked, status) -> {
            HttpResponse<String> answer = send(asked.split(" ")[0], asked.split(" ")[1], token, null);
            assertThat(answer.statusCode()).as(asked).isEqualTo(status);
            assertThat(answer.body()).doesNotContain("<html", "Exception");
        });
        HttpResponse<String> huge = send("POST", "/api/v1/sheets", token, "x".repeat(300_000));
        assertThat(huge.statusCode()).isEqualTo(413);
        assertThat(huge.headers().firstValue("Content-Type").orElse("")).contains("problem+json");
    }

    /** A lead gives a token, sees it once, and takes it back; what is measured is for the token that may. */
    @Test
    void aLeadGivesATokenAndTakesItBack() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("ilse").open("/programs");
            Page page = desk.page();
            desk.isAccessible("programs of others");
            page.fill("[name=days]", "9999");
            page.click("main button.go");
            page.waitForLoadState();
            assertThat(page.textContent(".refused")).contains("1 to 730");
            page.fill("[name=programName]", "metrics <i>reader</i>");
            page.fill("[name=days]", "30");
            page.check("[name=scopes][value=metrics]");
            page.click("main button.go");
            page.waitForLoadState();
            String token = page.textContent(".one-time code");
            HttpResponse<String> measures = send("GET", "/actuator/prometheus", token, null);
            assertThat(measures.statusCode()).isEqualTo(200);
            assertThat(measures.body())
                    .contains("http_server_requests_seconds_bucket", "hikaricp_connections", "layette_fittings_waiting")
                    .doesNotContain("Ottilie", "W-1031");
            assertThat(send("GET", "/api/v1/sheets", token, null).statusCode()).isEqualTo(403);
            assertThat(send("GET", "/actuator/prometheus", null, null).statusCode())
                    .isEqualTo(401);
            desk.open("/programs");
            assertThat(page.content()).doesNotContain(token);
            page.click("button:has-text('Take it back')");
            page.waitForLoadState();
            assertThat(send("GET", "/actuator/prometheus", token, null).statusCode())
                    .isEqualTo(401);
            desk.isQuiet();
        }
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.signIn("pim").open("/programs");
            assertThat(desk.page().locator("main form").count()).isZero();
            assertThat(desk.page().textContent(".api-list")).contains("/api/v1/fittings");
            desk.isAccessible("programs of others, on a phone");
        }
    }
}
