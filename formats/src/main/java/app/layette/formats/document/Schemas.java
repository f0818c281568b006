package app.layette.formats.document;

import app.layette.formats.text.PlainText;
import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaLocation;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Checks documents against the published schemas, which ship with the program. */
public final class Schemas {
    private static final String BASE = SchemaTexts.BASE;
    private static final int LONGEST_VALUE_SHOWN = 80;
    private static final int LARGEST_DOCUMENT = 1_000_000;
    private static final int MOST_PROBLEMS = 40;
    private static final int MOST_VALUES = 50_000;

    /** The deepest sheet that makes sense has eight levels. */
    private static final int DEEPEST = 40;

    private static final int LONGEST_NUMBER = 40;
    private static final double LARGEST_NUMBER = 1e9;
    private static final int LONGEST_TEXT = 20_000;
    private static final JsonMapper BOUNDED = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(DEEPEST)
                            .maxNumberLength(LONGEST_NUMBER)
                            .maxStringLength(LONGEST_TEXT)
                            .maxNameLength(LONGEST_VALUE_SHOWN)
                            .maxTokenCount(MOST_VALUES)
                            .build())
                    .build())
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();

    private static final SchemaRegistry REGISTRY = SchemaRegistry.withDefaultDialect(
            SpecificationVersion.DRAFT_2020_12, builder -> builder.schemas(SchemaTexts::at));
    private static final Map<DocumentKind, Schema> SCHEMAS = new EnumMap<>(DocumentKind.class);

    private Schemas() {}

    private static synchronized Schema schema(DocumentKind kind) {
        return SCHEMAS.computeIfAbsent(kind, each -> REGISTRY.getSchema(SchemaLocation.of(BASE + each.schemaFile())));
    }

    /** The problems of a document of this kind, the first forty; empty when it has none. */
    public static List<DocumentProblem> problems(DocumentKind kind, JsonNode document) {
        List<DocumentProblem> texts = texts(document);
        if (!texts.isEmpty()) {
            return texts;
        }
        // Each problem is told with what stands there: of the ten-thousandth nobody wants to know.
        return schema(kind).validate(document).stream()
                .limit(MOST_PROBLEMS)
                .map(Schemas::problem)
                .distinct()
                .toList();
    }

    /** Texts that hold what is no writing: it could not be stored, or would read otherwise than it stands. */
    private static List<DocumentProblem> texts(JsonNode document) {
        List<DocumentProblem> problems = new ArrayList<>();
        look("", document, problems);
        return problems;
    }

    private static void look(String place, JsonNode node, List<DocumentProblem> problems) {
        if (problems.size() >= MOST_PROBLEMS) {
            return;
        }
        if (node.isString() && !PlainText.of(node.asString()).equals(node.asString())) {
            problems.add(new DocumentProblem(
                    place,
                    shortened(PlainText.of(node.asString())),
                    "allowed is composed text (Unicode NFC) without control characters or marks of direction"));
        }
        if (node.isNumber() && !(Math.abs(node.asDouble(Double.NaN)) <= LARGEST_NUMBER)) {
            problems.add(new DocumentProblem(
                    place, shortened(node.toString()), "allowed is a number up to %.0f".formatted(LARGEST_NUMBER)));
        }
        if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                look(place + "/" + i, node.get(i), problems);
            }
        }
        node.properties().forEach(each -> {
            if (!PlainText.isPlain(each.getKey())) {
                problems.add(new DocumentProblem(
                        place, shortened(PlainText.of(each.getKey())), "a name is made of plain letters and digits"));
            }
            look(place + "/" + each.getKey(), each.getValue(), problems);
        });
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
     * @throws RefusedDocumentException when it is not a JSON object, or larger or deeper than any sheet
     */
    public static JsonNode parse(String json) {
        if (json.length() > LARGEST_DOCUMENT) {
            throw RefusedDocumentException.because(
                    "", json.length() + " characters", "allowed at most " + LARGEST_DOCUMENT + " characters");
        }
        try {
            JsonNode document = BOUNDED.readTree(json);
            if (!document.isObject()) {
                throw RefusedDocumentException.because("", shortened(json), "allowed is one JSON object");
            }
            return document;
        } catch (JacksonException e) {
            int line = e.getLocation() == null ? 1 : e.getLocation().getLineNr();
            throw RefusedDocumentException.because(
                    "line " + line,
                    shortened(json),
                    e instanceof StreamConstraintsException
                            ? "allowed are at most %d levels, %d values, %d digits and %d characters in a text"
                                    .formatted(DEEPEST, MOST_VALUES, LONGEST_NUMBER, LONGEST_TEXT)
                            : "it is not valid JSON");
        }
    }

    private static DocumentProblem problem(Error error) {
        JsonNode there = error.getInstanceNode();
        String value = there == null ? "" : there.isContainer() ? sizeOf(there) : there.toString();
        return new DocumentProblem(error.getInstanceLocation().toString(), shortened(value), error.getMessage());
    }

    /** A small one as it stands; of a large one only how large it is. */
    private static String sizeOf(JsonNode container) {
        return container.size() <= LONGEST_VALUE_SHOWN / 10
                ? container.toString()
                : container.size() + (container.isArray() ? " items" : " fields");
    }

    private static String shortened(String value) {
        String start = value.substring(0, Math.min(value.length(), 4 * LONGEST_VALUE_SHOWN));
        String line = start.replaceAll("\\s+", " ");
        return line.length() <= LONGEST_VALUE_SHOWN ? line : line.substring(0, LONGEST_VALUE_SHOWN) + "…";
    }
}
