package app.layette.formats.document;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Written;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.OutlinePoint;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.ServiceLife;
import app.layette.core.seat.WeightBand;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.text.CamelCase;
import java.io.IOException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The published schemas of the sheets are written from their records: a field is a component of a record, and how it is
 * written follows from its type and from {@link Written}. Run with {@code -Dschemas.write=true} to write them anew.
 */
class SheetSchemaTest {
    private static final Path FOLDER = Path.of("src", "main", "resources", "app", "layette", "formats", "schemas");
    private static final int LONGEST_LINE = 200;
    private static final Map<Class<?>, String> COMMON = Map.of(
            Mass.class, "mass",
            Length.class, "length",
            Angle.class, "angle",
            LocalDate.class, "date",
            PositionId.class, "position",
            WeightBand.class, "weightBand",
            OutlinePoint.class, "point");

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
        ObjectNode node = object();
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
        properties.set("documents", common("documents"));
        properties.set("note", text(2000));
        ArrayNode required =
                object().putArray("required").add("formatVersion").add("id").add("version");
        for (RecordComponent component : schema.sheet().getRecordComponents()) {
            switch (component.getName()) {
                case "sheet", "note" -> {}
                case "status" -> properties.set("status", common("status"));
                case "permissions" -> properties.set("permissions", common("permissions"));
                case "names" -> properties.set("names", names());
                default -> properties.set(component.getName(), shape(component));
            }
            if (how(component).needed()) {
                required.add(component.getName());
            }
        }
        node.set("required", required);
        return node;
    }

    private static ObjectNode names() {
        ObjectNode names = object();
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

    private static ObjectNode shape(RecordComponent component) {
        Written how = how(component);
        ObjectNode shape = shape(component.getGenericType(), how);
        if (!how.says().isEmpty()) {
            shape.put("description", how.says());
        }
        return shape;
    }

    private static ObjectNode shape(Type type, Written how) {
        if (type instanceof ParameterizedType many) {
            Type content = many.getActualTypeArguments()[0];
            return many.getRawType() == Evidence.class ? said(shape(content, how)) : list(content, how);
        }
        Class<?> kind = (Class<?>) type;
        if (!how.as().isEmpty()) {
            return common(how.as());
        }
        if (COMMON.containsKey(kind)) {
            return common(COMMON.get(kind));
        }
        if (kind == LengthLimit.class) {
            ObjectNode limit = object();
            limit.putArray("anyOf").add(object().put("const", "none")).add(common("length"));
            return limit;
        }
        if (kind == ServiceLife.class) {
            return life();
        }
        if (kind.isEnum()) {
            return constants(kind, how);
        }
        if (kind == String.class) {
            return text(how.longest());
        }
        if (kind == boolean.class || kind == Boolean.class) {
            return object().put("type", "boolean");
        }
        if (kind == int.class || kind == Integer.class) {
            return number("integer", how);
        }
        if (kind == double.class || kind == Double.class) {
            return number("number", how);
        }
        return record(kind);
    }

    private static ObjectNode record(Class<?> kind) {
        ObjectNode shape = object().put("type", "object").put("additionalProperties", false);
        ObjectNode properties = shape.putObject("properties");
        ArrayNode required = object().putArray("required");
        for (RecordComponent component : kind.getRecordComponents()) {
            properties.set(component.getName(), shape(component));
            if (how(component).needed()) {
                required.add(component.getName());
            }
        }
        if (!required.isEmpty()) {
            shape.set("required", required);
        }
        return shape;
    }

    /** {@code {"stated": …, "source": …}} or {@code {"silent": …}}. */
    private static ObjectNode said(ObjectNode stated) {
        ObjectNode said = object().put("type", "object").put("additionalProperties", false);
        ObjectNode properties = said.putObject("properties");
        properties.set("stated", stated);
        properties.set("source", common("source"));
        properties.set("silent", common("source"));
        ArrayNode either = said.putArray("oneOf");
        either.addObject().putArray("required").add("stated").add("source");
        either.addObject().putArray("required").add("silent");
        return said;
    }

    private static ObjectNode list(Type content, Written how) {
        ObjectNode list = object().put("type", "array");
        list.set("items", shape(content, how));
        if (how.fewest() > 0) {
            list.put("minItems", how.fewest());
        }
        return list;
    }

    private static ObjectNode life() {
        ObjectNode years = object().put("type", "object").put("additionalProperties", false);
        years.putObject("properties")
                .putObject("years")
                .put("type", "integer")
                .put("minimum", 1)
                .put("maximum", 25);
        years.putArray("required").add("years");
        ObjectNode words = object();
        words.putArray("enum").add("printed").add("notStated");
        ObjectNode life = object();
        life.putArray("oneOf").add(years).add(words);
        return life;
    }

    private static ObjectNode constants(Class<?> kind, Written how) {
        List<String> among = List.of(how.among());
        ObjectNode shape = object();
        ArrayNode all = shape.putArray("enum");
        Arrays.stream(kind.getEnumConstants())
                .map(each -> ((Enum<?>) each).name())
                .filter(name -> among.isEmpty() || among.contains(name))
                .map(CamelCase::of)
                .forEach(all::add);
        return shape;
    }

    private static ObjectNode number(String type, Written how) {
        ObjectNode number = object().put("type", type);
        if (how.from() != Integer.MIN_VALUE) {
            number.put("minimum", how.from());
        }
        if (how.to() != Integer.MAX_VALUE) {
            number.put("maximum", how.to());
        }
        return number;
    }

    private static ObjectNode text(int longest) {
        ObjectNode text = object().put("type", "string");
        if (longest <= LONGEST_LINE) {
            text.put("minLength", 1);
        }
        return text.put("maxLength", longest);
    }

    private static ObjectNode common(String name) {
        return object().put("$ref", "common.schema.json#/$defs/" + name);
    }

    private static ObjectNode object() {
        return JsonMapper.shared().createObjectNode();
    }

    private static Written how(RecordComponent component) {
        return Optional.ofNullable(component.getAnnotation(Written.class)).orElse(AS_ITS_TYPE);
    }

    private record AsItsType(@Written String nothing) {}

    private static final Written AS_ITS_TYPE = AsItsType.class.getRecordComponents()[0].getAnnotation(Written.class);
}
