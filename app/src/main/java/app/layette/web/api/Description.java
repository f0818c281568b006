package app.layette.web.api;

import app.layette.web.api.Problems.ApiException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What there is to ask, as OpenAPI 3.1 describes it; open to everybody, and read by the page about it. */
@RestController
class Description {
    private static final String DOCUMENT = "/api/openapi.json";
    private static final String SCHEMAS = "/app/layette/formats/schemas/";

    private final String document = read(DOCUMENT);

    /** An address in words. */
    record Asked(String verb, String path, String scope, String says) {}

    @GetMapping(path = "/api/v1/openapi.json", produces = MediaType.APPLICATION_JSON_VALUE)
    String openApi() {
        return document;
    }

    /** The published schemas that the description points to. */
    @GetMapping("/api/v1/schemas/{name}")
    ResponseEntity<String> schema(@PathVariable String name) {
        if (!name.matches("[a-z-]{3,40}\\.schema\\.json") || Description.class.getResource(SCHEMAS + name) == null) {
            throw ApiException.nothing("The schema");
        }
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).body(read(SCHEMAS + name));
    }

    List<Asked> asked() {
        List<Asked> asked = new ArrayList<>();
        JsonNode paths = JsonMapper.shared().readTree(document).get("paths");
        paths.propertyStream()
                .forEach(path -> path.getValue()
                        .propertyStream()
                        .filter(verb -> !verb.getKey().equals("parameters"))
                        .forEach(verb -> asked.add(new Asked(
                                verb.getKey().toUpperCase(java.util.Locale.ROOT),
                                path.getKey(),
                                verb.getValue().path("x-scope").asString(""),
                                verb.getValue().path("summary").asString("")))));
        return asked;
    }

    private static String read(String resource) {
        try (InputStream in = Description.class.getResourceAsStream(resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}
