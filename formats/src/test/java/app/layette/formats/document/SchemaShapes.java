package app.layette.formats.document;

import app.layette.core.entry.Method;
import app.layette.core.entry.PartialDate;
import app.layette.core.entry.Question;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Id;
import app.layette.core.evidence.Said;
import app.layette.core.evidence.Written;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.OutlinePoint;
import app.layette.core.seat.ServiceLife;
import app.layette.core.seat.WeightBand;
import app.layette.core.vehicle.PositionId;
import app.layette.formats.text.CamelCase;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * How a component of a record is written in a published schema: from its type, and from what {@link Written} says beside
 * it.
 */
final class SchemaShapes {
    private static final int LONGEST_LINE = 200;
    private static final Map<Class<?>, String> SCHEMAS =
            Map.of(Question.class, "question.schema.json", Method.class, "method.schema.json");
    private static final Map<Class<?>, String> COMMON = Map.of(
            Mass.class, "mass",
            Length.class, "length",
            Angle.class, "angle",
            LocalDate.class, "date",
            PartialDate.class, "partialDate",
            Said.class, "said",
            PositionId.class, "position",
            WeightBand.class, "weightBand",
            OutlinePoint.class, "point");

    private SchemaShapes() {}

    static ObjectNode shape(RecordComponent component) {
        Written how = Written.As.of(component);
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
        boolean narrower = kind == Angle.class && how.from() != Integer.MIN_VALUE;
        if (narrower) {
            return number("number", how);
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
        if (SCHEMAS.containsKey(kind)) {
            return object().put("$ref", SCHEMAS.get(kind));
        }
        if (kind == UUID.class) {
            return object().put("type", "string").put("format", "uuid");
        }
        if (kind.isEnum()) {
            return constants(kind, how);
        }
        if (kind == String.class || Id.class.isAssignableFrom(kind)) {
            return text(how.longest(), how.needed());
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
            if (Written.As.of(component).needed()) {
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
        if (how.most() < Integer.MAX_VALUE) {
            list.put("maxItems", how.most());
        }
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

    static ObjectNode text(int longest, boolean needed) {
        ObjectNode text = object().put("type", "string");
        if (needed || longest <= LONGEST_LINE) {
            text.put("minLength", 1);
        }
        return text.put("maxLength", longest);
    }

    static ObjectNode common(String name) {
        return object().put("$ref", "common.schema.json#/$defs/" + name);
    }

    static ObjectNode object() {
        return JsonMapper.shared().createObjectNode();
    }
}
