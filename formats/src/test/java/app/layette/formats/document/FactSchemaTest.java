package app.layette.formats.document;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.FactField;
import app.layette.core.entry.FactFields;
import app.layette.formats.json.LayetteJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The published schema of entries is written from the kinds of facts and their fields. Run with
 * {@code -Dschemas.write=true} to write it anew.
 */
class FactSchemaTest {
    private static final Path FILE =
            Path.of("src", "main", "resources", "app", "layette", "formats", "schemas", "fact.schema.json");

    @Test
    void whatIsPublishedIsWrittenFromTheKindsOfFacts() throws IOException {
        String written = LayetteJson.pretty(schema());
        if (Boolean.getBoolean("schemas.write")) {
            Files.writeString(FILE, written);
        }
        assertThat(Files.readString(FILE)).isEqualTo(written);
    }

    private static ObjectNode schema() {
        ObjectNode node = SchemaShapes.object();
        node.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        node.put("$id", SchemaTexts.BASE + "fact.schema.json");
        node.put("title", "Layette: fact");
        node.put("description", "What an entry says. A closed set: a kind that is not here is refused.");
        node.put("type", "object");
        node.putArray("required").add("kind").add("of");
        ObjectNode properties = node.putObject("properties");
        ArrayNode kinds = properties.putObject("kind").putArray("enum");
        ArrayNode all = node.putArray("allOf");
        FactFields.byName().forEach((name, kind) -> {
            kinds.add(name);
            all.add(ofKind(name, FactFields.of(kind)));
        });
        return node;
    }

    private static ObjectNode ofKind(String name, List<FactField> fields) {
        ObjectNode node = SchemaShapes.object();
        ObjectNode asked = node.putObject("if");
        asked.putObject("properties").putObject("kind").put("const", name);
        asked.putArray("required").add("kind");
        ObjectNode then = node.putObject("then").put("type", "object").put("additionalProperties", false);
        ObjectNode properties = then.putObject("properties");
        properties.putObject("kind").put("const", name);
        ArrayNode required = then.putArray("required").add("kind");
        for (FactField field : fields) {
            properties.set(field.name(), SchemaShapes.shape(field.component()));
            if (field.isNeeded()) {
                required.add(field.name());
            }
        }
        return node;
    }
}
