package app.layette.formats.document;

import app.layette.formats.json.LayetteJson;
import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaLocation;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** Checks documents against the published schemas, which ship with the program. */
public final class Schemas {
    private static final String BASE = "https://layette.invalid/schemas/";
    private static final int LONGEST_VALUE_SHOWN = 80;
    private static final int LARGEST_DOCUMENT = 1_000_000;

    private static final SchemaRegistry REGISTRY = SchemaRegistry.withDefaultDialect(
            SpecificationVersion.DRAFT_2020_12,
            builder -> builder.schemaIdResolvers(ids -> ids.mapPrefix(BASE, "classpath:app/layette/formats/schemas/")));
    private static final Map<DocumentKind, Schema> SCHEMAS = new EnumMap<>(DocumentKind.class);

    private Schemas() {}

    private static synchronized Schema schema(DocumentKind kind) {
        return SCHEMAS.computeIfAbsent(kind, each -> REGISTRY.getSchema(SchemaLocation.of(BASE + each.schemaFile())));
    }

    /** Every problem of a document of this kind; empty when it has none. */
    public static List<DocumentProblem> problems(DocumentKind kind, JsonNode document) {
        return List.copyOf(new LinkedHashSet<>(
                schema(kind).validate(document).stream().map(Schemas::problem).toList()));
    }

    /**
     * Parses and checks.
     *
     * @throws RefusedDocumentException when it is not JSON or breaks its schema
     */
    static JsonNode checked(DocumentKind kind, String json) {
        JsonNode document = parse(json);
        List<DocumentProblem> problems = problems(kind, document);
        if (!problems.isEmpty()) {
            throw new RefusedDocumentException(problems);
        }
        return document;
    }

    /**
     * Parses a document of any kind.
     *
     * @throws RefusedDocumentException when it is not a JSON object or larger than a megabyte
     */
    public static JsonNode parse(String json) {
        if (json.length() > LARGEST_DOCUMENT) {
            throw RefusedDocumentException.because(
                    "", json.length() + " characters", "allowed at most " + LARGEST_DOCUMENT + " characters");
        }
        try {
            JsonNode document = LayetteJson.lenient().readTree(json);
            if (!document.isObject()) {
                throw RefusedDocumentException.because("", shortened(json), "allowed is one JSON object");
            }
            return document;
        } catch (JacksonException e) {
            throw RefusedDocumentException.because(
                    "line " + e.getLocation().getLineNr(), shortened(json), "it is not valid JSON");
        }
    }

    private static DocumentProblem problem(Error error) {
        String value =
                error.getInstanceNode() == null ? "" : error.getInstanceNode().toString();
        return new DocumentProblem(error.getInstanceLocation().toString(), shortened(value), error.getMessage());
    }

    private static String shortened(String value) {
        String line = value.replaceAll("\\s+", " ");
        return line.length() <= LONGEST_VALUE_SHOWN ? line : line.substring(0, LONGEST_VALUE_SHOWN) + "…";
    }
}
