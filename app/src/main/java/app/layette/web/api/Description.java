package app.layette.web.api;

import app.layette.formats.document.SchemaTexts;
import app.layette.web.api.Problems.ApiException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
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

    private final String document = read(DOCUMENT);

    /**
     * An address in words.
     *
     * @param fields what can be said with it, each with what it is for
     * @param answers by their status
     */
    public record Asked(String verb, String path, String scope, String says, List<Field> fields, List<Field> answers) {}

    /** A name and what it is for. */
    public record Field(String name, String says) {}

    @GetMapping(path = "/api/v1/openapi.json", produces = MediaType.APPLICATION_JSON_VALUE)
    String openApi() {
        return document;
    }

    /** The published schemas that the description points to. */
    @GetMapping("/api/v1/schemas/{name}")
    ResponseEntity<String> schema(@PathVariable String name) {
        String schema = Optional.of(name)
                .filter(each -> each.matches("[a-z-]{3,40}\\.schema\\.json"))
                .flatMap(SchemaTexts::of)
                .orElseThrow(() -> ApiException.nothing("The schema"));
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).body(schema);
    }

    List<Asked> asked() {
        List<Asked> asked = new ArrayList<>();
        JsonNode paths = JsonMapper.shared().readTree(document).get("paths");
        paths.propertyStream()
                .forEach(path -> path.getValue()
                        .propertyStream()
                        .filter(verb -> !verb.getKey().equals("parameters"))
                        .forEach(verb -> asked.add(new Asked(
                                verb.getKey().toUpperCase(Locale.ROOT),
                                path.getKey(),
                                verb.getValue().path("x-scope").asString(""),
                                verb.getValue().path("summary").asString(""),
                                fields(verb.getValue()),
                                answers(verb.getValue())))));
        return asked;
    }

    private List<Field> fields(JsonNode operation) {
        List<Field> fields = new ArrayList<>();
        operation.path("parameters").forEach(each -> {
            JsonNode field = pointed(each);
            fields.add(new Field(
                    field.path("name").asString(""),
                    (field.path("description").asString("") + allowed(field.path("schema"))).strip()));
        });
        operation
                .path("requestBody")
                .path("content")
                .propertyStream()
                .forEach(content -> fields.add(new Field(
                        content.getKey(),
                        content.getValue().path("schema").path("$ref").asString(""))));
        return fields;
    }

    /** What a schema takes, in brackets. */
    private static String allowed(JsonNode schema) {
        List<String> parts = new ArrayList<>();
        schema.path("enum").forEach(each -> parts.add(each.asString()));
        if (schema.has("minimum")) {
            parts.add(schema.get("minimum").asString() + " to "
                    + schema.path("maximum").asString("…"));
        }
        if (schema.has("format")) {
            parts.add(schema.get("format").asString());
        }
        return parts.isEmpty() ? "" : " (" + String.join(", ", parts) + ")";
    }

    private List<Field> answers(JsonNode operation) {
        return operation
                .path("responses")
                .propertyStream()
                .map(each -> new Field(
                        each.getKey(),
                        pointed(each.getValue()).path("description").asString("")))
                .toList();
    }

    private JsonNode pointed(JsonNode node) {
        return node.has("$ref")
                ? JsonMapper.shared()
                        .readTree(document)
                        .at(node.get("$ref").asString().substring(1))
                : node;
    }

    private static String read(String resource) {
        try (InputStream in = Description.class.getResourceAsStream(resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
