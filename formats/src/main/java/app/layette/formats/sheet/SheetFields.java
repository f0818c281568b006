package app.layette.formats.sheet;

import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.PermissionTable;
import app.layette.core.evidence.Speaker;
import app.layette.core.seat.SeatKind;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.sheet.Shape.Part;
import app.layette.formats.sheet.SheetField.Look;
import app.layette.formats.sheet.SheetField.Section;
import app.layette.formats.text.CamelCase;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/**
 * Every field that a seat sheet can have: where it stands and what it takes comes from the published schema, in which
 * section and drawing it is written and which kinds of restraint are asked for it from {@code sheet-fields.csv}.
 */
public final class SheetFields {
    private static final String SCHEMAS = "/app/layette/formats/schemas/";
    private static final String EACH = "*";
    private static final int LONGEST_TEXT = 200;
    /** What belongs to the document and not to what is written in it. */
    private static final Set<String> OF_THE_DOCUMENT =
            Set.of("formatVersion", "id", "version", "sha256", "status", "kind", "permissions");

    private static final List<SheetField> ALL = read();

    private SheetFields() {}

    /** All fields, in the order in which they are written. */
    public static List<SheetField> all() {
        return ALL;
    }

    /** The fields that a kind of restraint is asked for. */
    public static List<SheetField> of(SeatKind kind) {
        return ALL.stream().filter(each -> each.kinds().contains(kind)).toList();
    }

    /** The field at a place of the document; empty where there is none. */
    public static Optional<SheetField> at(String pointer) {
        return ALL.stream().filter(each -> each.pointer().equals(pointer)).findFirst();
    }

    private static List<SheetField> read() {
        JsonNode schema = schema("seat-sheet.schema.json");
        JsonNode common = schema("common.schema.json").path("$defs");
        List<SheetField> fields = new ArrayList<>();
        for (String[] row : rows()) {
            Section section = Section.valueOf(row[1]);
            Look look = Look.valueOf(row[3]);
            Set<SeatKind> kinds = kinds(row[2]);
            for (String pointer : pointers(row[0])) {
                Taken taken = taken(schema, common, pointer);
                fields.add(new SheetField(pointer, section, kinds, look, taken.shape(), taken.evidence()));
            }
        }
        unlisted(schema, fields).forEach(pointer -> {
            Taken taken = taken(schema, common, pointer);
            int last = lastBeside(pointer, fields);
            Section section = last < 0 ? Section.PAPERS : fields.get(last).section();
            fields.add(
                    last + 1,
                    new SheetField(
                            pointer,
                            section,
                            EnumSet.allOf(SeatKind.class),
                            Look.WORDS,
                            taken.shape(),
                            taken.evidence()));
        });
        return List.copyOf(fields);
    }

    /** The fields of the schema that the table does not place: they are asked of every restraint, beside their siblings. */
    static List<String> unlisted(JsonNode schema, List<SheetField> placed) {
        List<String> left = new ArrayList<>();
        schema.path("properties").propertyStream().forEach(each -> {
            String pointer = "/" + each.getKey();
            boolean placedWhole =
                    placed.stream().anyMatch(field -> field.pointer().equals(pointer));
            boolean placedInParts =
                    placed.stream().anyMatch(field -> field.pointer().startsWith(pointer + "/"));
            if (placedInParts) {
                each.getValue()
                        .path("properties")
                        .propertyStream()
                        .map(part -> pointer + "/" + part.getKey())
                        .filter(part -> placed.stream()
                                .noneMatch(field -> field.pointer().equals(part)))
                        .forEach(left::add);
            } else if (!placedWhole && !OF_THE_DOCUMENT.contains(each.getKey())) {
                left.add(pointer);
            }
        });
        return left;
    }

    /** The place of the last field that it stands beside: of its group, or of the papers. */
    static int lastBeside(String pointer, List<SheetField> placed) {
        String group = pointer.substring(0, pointer.lastIndexOf('/') + 1);
        for (int i = placed.size() - 1; i >= 0; i--) {
            boolean beside = group.length() > 1
                    ? placed.get(i).pointer().startsWith(group)
                    : placed.get(i).section() == Section.PAPERS;
            if (beside) {
                return i;
            }
        }
        return -1;
    }

    /** What a field takes, and whether a source says it. */
    record Taken(Shape shape, boolean evidence) {}

    /** What a field of a schema takes. */
    static Taken takenAt(String schema, String pointer) {
        return taken(schema(schema), schema("common.schema.json").path("$defs"), pointer);
    }

    private static Taken taken(JsonNode schema, JsonNode common, String pointer) {
        JsonNode node = node(schema, common, pointer);
        JsonNode said = resolved(node, common).path("properties").path("stated");
        boolean evidence = !said.isMissingNode();
        return new Taken(shape(evidence ? said : node, common), evidence);
    }

    private static List<String> pointers(String pointer) {
        return pointer.equals("/permissions/*") ? permissions(Speaker.SEAT) : List.of(pointer);
    }

    /** One row stands for all permissions that a manual can give. */
    static List<String> permissions(Speaker speaker) {
        return Arrays.stream(PermissionKey.values())
                .filter(key -> key != PermissionKey.HANDLE_POSITION)
                .filter(key -> PermissionTable.shipped().speakers(key).contains(speaker))
                .map(key -> "/permissions/" + CamelCase.of(key.name()))
                .toList();
    }

    /** What a field of another schema takes. */
    static Shape shapeAt(String schema, String pointer) {
        JsonNode common = schema("common.schema.json").path("$defs");
        return shape(node(schema(schema), common, pointer), common);
    }

    /** The kind that a document names. */
    static SeatKind kind(String word) {
        return Arrays.stream(SeatKind.values())
                .filter(each -> CamelCase.of(each.name()).equals(word))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no kind of restraint (" + word + ")"));
    }

    private static Set<SeatKind> kinds(String letters) {
        Set<SeatKind> kinds = EnumSet.noneOf(SeatKind.class);
        for (SeatKind kind : SeatKind.values()) {
            String letter = switch (kind) {
                case REAR_FACING_ONLY -> "r";
                case CONVERTIBLE -> "c";
                case CAR_BED -> "b";
                case LAY_FLAT -> "f";
            };
            if (letters.contains(letter)) {
                kinds.add(kind);
            }
        }
        return kinds;
    }

    private static List<String[]> rows() {
        return rows("sheet-fields.csv");
    }

    /** The rows of a table of fields. */
    static List<String[]> rows(String table) {
        try (InputStream in = SheetFields.class.getResourceAsStream("/app/layette/formats/sheet/" + table)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .skip(1)
                    .map(line -> line.split(","))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(table + " cannot be read", e);
        }
    }

    private static JsonNode node(JsonNode schema, JsonNode common, String pointer) {
        JsonNode node = schema;
        for (String name : pointer.substring(1).split("/")) {
            JsonNode inside = resolved(node, common);
            if (name.equals(EACH) && inside.has("items")) {
                node = inside.path("items");
                continue;
            }
            node = inside.path("properties").has(name)
                    ? inside.path("properties").path(name)
                    : inside.path("additionalProperties");
        }
        if (node.isMissingNode()) {
            throw new IllegalStateException("The schema has nothing at " + pointer);
        }
        return node;
    }

    private static JsonNode resolved(JsonNode node, JsonNode common) {
        return node.has("$ref") ? common.path(defName(node)) : node;
    }

    private static String defName(JsonNode node) {
        String ref = node.path("$ref").asString("");
        return ref.substring(ref.lastIndexOf('/') + 1);
    }

    private static Shape shape(JsonNode node, JsonNode common) {
        if (node.has("$ref")) {
            return named(defName(node), common);
        }
        if (node.has("enum")) {
            return new Shape.Choice(words(node.path("enum")));
        }
        if (node.has("anyOf")) {
            return quantity(defName(node.path("anyOf").get(1)), common, true);
        }
        if (node.has("oneOf") && !node.has("properties")) {
            return new Shape.YearsOr(words(node.path("oneOf").get(1).path("enum")));
        }
        return switch (node.path("type").asString("")) {
            case "array" -> new Shape.Several(shape(node.path("items"), common));
            case "boolean" -> new Shape.Flag();
            case "integer", "number" -> figure(node);
            case "object" -> object(node, common);
            default ->
                new Shape.Text(node.has("maxLength") ? node.path("maxLength").asInt() : LONGEST_TEXT);
        };
    }

    private static Shape figure(JsonNode node) {
        return new Shape.Figure(
                node.path("minimum").asDouble(0),
                node.path("maximum").asDouble(Integer.MAX_VALUE),
                node.path("type").asString("").equals("integer"));
    }

    private static Shape object(JsonNode node, JsonNode common) {
        if (!node.has("properties")) {
            return new Shape.Named(shape(node.path("additionalProperties"), common));
        }
        Set<String> needed = new HashSet<>(words(node.path("required")));
        List<Part> parts = new ArrayList<>();
        node.path("properties")
                .properties()
                .forEach(each -> parts.add(
                        new Part(each.getKey(), shape(each.getValue(), common), needed.contains(each.getKey()))));
        return new Shape.Group(parts);
    }

    private static Shape named(String def, JsonNode common) {
        return switch (def) {
            case "mass", "length", "positiveLength" -> quantity(def, common, false);
            case "angle" -> figure(common.path(def));
            case "point" -> new Shape.Pair();
            case "date", "country", "position", "source" ->
                new Shape.Pattern(def, common.path(def).path("pattern").asString(""));
            default -> shape(common.path(def), common);
        };
    }

    private static Shape quantity(String def, JsonNode common, boolean orNone) {
        return new Shape.Quantity(
                def.equals("mass") ? "mass" : "length",
                common.path(def).path("pattern").asString(""),
                orNone);
    }

    private static List<String> words(JsonNode list) {
        List<String> words = new ArrayList<>();
        list.forEach(each -> words.add(each.asString("")));
        return words;
    }

    static JsonNode schema(String name) {
        try (InputStream in = SheetFields.class.getResourceAsStream(SCHEMAS + name)) {
            return LayetteJson.strict().readTree(in);
        } catch (IOException e) {
            throw new UncheckedIOException("The schema " + name + " cannot be read", e);
        }
    }
}
