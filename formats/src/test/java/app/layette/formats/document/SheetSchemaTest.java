package app.layette.formats.document;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.evidence.Written;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.json.LayetteJson;
import java.io.IOException;
import java.lang.reflect.RecordComponent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The published schemas of the sheets are written from their records: a field is a component of a record, and how it is
 * written follows from its type and from {@link Written}. Run with {@code -Dschemas.write=true} to write them anew.
 */
class SheetSchemaTest {
    private static final Path FOLDER = Path.of("src", "main", "resources", "app", "layette", "formats", "schemas");

    private record Published(Class<?> sheet, String file, String title, String description) {}

    static Stream<Published> published() {
        return Stream.of(
                new Published(
                        SeatSheet.class,
                        "seat-sheet.schema.json",
                        "Layette: seat sheet",
                        "What the manual and the label of one restraint say. A field that is left out was not "
                                + "looked up; 'silent' means that somebody looked and the document says nothing."),
                new Published(
                        VehicleSheet.class,
                        "vehicle-sheet.schema.json",
                        "Layette: vehicle sheet",
                        "A car as a small table of seating positions. A field that is left out was not looked up."));
    }

    @ParameterizedTest
    @MethodSource("published")
    void whatIsPublishedIsWrittenFromTheRecords(Published schema) throws IOException {
        String written = LayetteJson.pretty(write(schema));
        Path file = FOLDER.resolve(schema.file());
        if (Boolean.getBoolean("schemas.write")) {
            Files.writeString(file, written);
        }
        assertThat(Files.readString(file)).isEqualTo(written);
    }

    private static ObjectNode write(Published schema) {
        ObjectNode node = SchemaShapes.object();
        node.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        node.put("$id", SchemaTexts.BASE + schema.file());
        node.put("title", schema.title());
        node.put("description", schema.description());
        node.put("type", "object");
        node.put("additionalProperties", false);
        ObjectNode properties = node.putObject("properties");
        properties.putObject("formatVersion").put("const", 1);
        properties.putObject("id").put("type", "string").put("pattern", "^[a-z0-9-]{3,60}$");
        properties.putObject("version").put("type", "integer").put("minimum", 1);
        properties.putObject("sha256").put("type", "string").put("pattern", "^[0-9a-f]{64}$");
        properties.set("documents", SchemaShapes.common("documents"));
        properties.set("note", SchemaShapes.text(2000, false));
        ArrayNode required = SchemaShapes.object()
                .putArray("required")
                .add("formatVersion")
                .add("id")
                .add("version");
        for (RecordComponent component : schema.sheet().getRecordComponents()) {
            switch (component.getName()) {
                case "sheet", "note" -> {}
                case "status" -> properties.set("status", SchemaShapes.common("status"));
                case "permissions" -> properties.set("permissions", SchemaShapes.common("permissions"));
                case "names" -> properties.set("names", names());
                default -> properties.set(component.getName(), SchemaShapes.shape(component));
            }
            if (Written.As.of(component).needed()) {
                required.add(component.getName());
            }
        }
        node.set("required", required);
        return node;
    }

    private static ObjectNode names() {
        ObjectNode names = SchemaShapes.object();
        names.put(
                "description",
                "What pieces and loops are called in other languages, for a family's page: by language tag, the sheet's own"
                        + " word and the word of that language.");
        names.put("type", "object").put("maxProperties", 20);
        names.putObject("propertyNames").put("pattern", "^[a-z]{2,3}(-[A-Z]{2})?$");
        ObjectNode words =
                names.putObject("additionalProperties").put("type", "object").put("maxProperties", 60);
        words.putObject("additionalProperties")
                .put("type", "string")
                .put("minLength", 1)
                .put("maxLength", 120);
        return names;
    }
}
