package app.layette.formats.document;

import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.text.CamelCase;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The published schemas by their file names. Those of questions and methods are written from what the rules ask and the
 * methods there are: whoever adds one touches no schema.
 */
public final class SchemaTexts {
    static final String BASE = "https://layette.invalid/schemas/";
    private static final String FOLDER = "/app/layette/formats/schemas/";
    private static final Map<String, String> WRITTEN = Map.of(
            "question.schema.json",
            list(
                    "question.schema.json",
                    "A question that is answered by eye",
                    Question.values().stream().map(Question::name)),
            "method.schema.json",
            list(
                    "method.schema.json",
                    "A way to fix a restraint in a car",
                    Arrays.stream(Method.values()).map(Method::name)));

    private SchemaTexts() {}

    /** The schema of this name; empty when there is none. */
    public static Optional<String> of(String name) {
        return Optional.ofNullable(WRITTEN.get(name)).or(() -> file(name));
    }

    /** The schema at an address; {@code null} where it is none of these. */
    static @Nullable String at(String address) {
        return address.startsWith(BASE) ? of(address.substring(BASE.length())).orElse(null) : null;
    }

    private static Optional<String> file(String name) {
        try (InputStream in = SchemaTexts.class.getResourceAsStream(FOLDER + name)) {
            return in == null ? Optional.empty() : Optional.of(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException("The schema " + name + " cannot be read", e);
        }
    }

    private static String list(String name, String title, Stream<String> constants) {
        ObjectNode schema = JsonMapper.shared().createObjectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("$id", BASE + name);
        schema.put("title", title);
        ArrayNode all = schema.putArray("enum");
        constants.map(CamelCase::of).forEach(all::add);
        return LayetteJson.pretty(schema);
    }
}
