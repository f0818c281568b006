package app.layette.formats.json;

import app.layette.core.entry.Fact;
import app.layette.core.entry.FactFields;
import app.layette.core.entry.How;
import app.layette.core.entry.Ids;
import app.layette.core.entry.PartialDate;
import app.layette.core.entry.Question;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Id;
import app.layette.core.evidence.Source;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.LengthRange;
import app.layette.core.measure.Mass;
import app.layette.core.measure.MassRange;
import app.layette.core.measure.UnitSystem;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.OutlinePoint;
import app.layette.core.seat.ServiceLife;
import app.layette.core.vehicle.PositionId;
import app.layette.formats.text.CamelCase;
import com.fasterxml.jackson.annotation.JsonAutoDetect;
import com.fasterxml.jackson.annotation.JsonFormat;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Objects;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.BeanProperty;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.EnumNamingStrategies;
import tools.jackson.databind.JavaType;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.cfg.DateTimeFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.AnnotatedClass;
import tools.jackson.databind.introspect.JacksonAnnotationIntrospector;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.jsontype.NamedType;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;

/**
 * The JSON mappers. Entries are read strictly: an unknown field is refused. Sheets are read after their schema has been
 * checked, and what the core does not use yet is passed over.
 */
public final class LayetteJson {
    private static final JsonMapper STRICT =
            builder().enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES).build();
    private static final JsonMapper LENIENT =
            builder().disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES).build();

    private LayetteJson() {}

    /** For entries. */
    public static JsonMapper strict() {
        return STRICT;
    }

    /** For documents whose schema has been checked. */
    public static JsonMapper lenient() {
        return LENIENT;
    }

    /** A document as people read it: a field a line, two spaces in, a line's end at its end. */
    public static String pretty(JsonNode document) {
        return STRICT.writerWithDefaultPrettyPrinter().writeValueAsString(document) + "\n";
    }

    private static JsonMapper.Builder builder() {
        return JsonMapper.builder()
                .addModule(values())
                .addMixIn(Fact.class, FactKind.class)
                .addMixIn(OutlinePoint.class, Pair.class)
                .registerSubtypes(FactFields.byName().entrySet().stream()
                        .map(kind -> new NamedType(kind.getValue(), kind.getKey()))
                        .toArray(NamedType[]::new))
                .annotationIntrospector(new CamelCaseEnums())
                // Records are their components: a question such as isTrainee() is not part of the document.
                .changeDefaultVisibility(each -> each.withIsGetterVisibility(JsonAutoDetect.Visibility.NONE)
                        .withGetterVisibility(JsonAutoDetect.Visibility.NONE)
                        .withFieldVisibility(JsonAutoDetect.Visibility.ANY))
                .changeDefaultPropertyInclusion(old -> JsonInclude.Value.ALL_NON_NULL)
                // A moment keeps the offset it was written with: what is sealed must read back as it was.
                .disable(DateTimeFeature.ADJUST_DATES_TO_CONTEXT_TIME_ZONE)
                .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS);
    }

    private static SimpleModule values() {
        SimpleModule module = new SimpleModule("layette");
        text(module, Mass.class, text -> Mass.parse(text, MassRange.SHEET), LayetteJson::typed);
        text(module, Length.class, text -> Length.parse(text, LengthRange.SHEET), LayetteJson::typed);
        text(module, PartialDate.class, PartialDate::parse, PartialDate::toString);
        Ids.types().forEach(type -> id(module, type));
        text(module, PositionId.class, PositionId::parse, PositionId::toString);
        text(module, Question.class, LayetteJson::question, question -> CamelCase.of(question.name()));
        text(module, How.class, LayetteJson::how, LayetteJson::howText);
        text(
                module,
                LengthLimit.class,
                text -> text.equals("none")
                        ? LengthLimit.none()
                        : LengthLimit.of(Length.parse(text, LengthRange.SHEET)),
                limit -> limit.max().map(LayetteJson::typed).orElse("none"));
        module.addDeserializer(Angle.class, new AngleReader());
        module.addSerializer(Angle.class, new AngleWriter());
        module.addDeserializer(ServiceLife.class, new ServiceLifeReader());
        module.addDeserializer(Evidence.class, new EvidenceReader(null));
        return module;
    }

    private static <T extends Id> void id(SimpleModule module, Class<T> type) {
        text(module, type, text -> type.cast(Ids.of(type, text).orElseThrow()), Id::text);
    }

    private static <T> void text(
            SimpleModule module, Class<T> type, Function<String, T> read, Function<T, String> write) {
        module.addDeserializer(type, new TextReader<>(read));
        module.addSerializer(type, new TextWriter<>(type, write));
    }

    private static String typed(Mass mass) {
        return mass.typed().orElseGet(() -> plain(mass.grams()) + " g");
    }

    private static String typed(Length length) {
        return length.typed().orElseGet(() -> plain(length.millimetres()) + " mm");
    }

    private static String plain(double number) {
        return BigDecimal.valueOf(number).stripTrailingZeros().toPlainString();
    }

    private static Question question(String text) {
        return Question.values().stream()
                .filter(each -> CamelCase.of(each.name()).equals(text))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no question (" + text + ")"));
    }

    private static How how(String text) {
        String[] parts = text.strip().split(" ", 2);
        How.Kind kind = Arrays.stream(How.Kind.values())
                .filter(each -> CamelCase.of(each).equals(parts[0]))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(parts[0]));
        return new How(kind, parts.length > 1 ? parts[1] : "");
    }

    private static String howText(How how) {
        String kind = CamelCase.of(how.kind());
        return how.place().isEmpty() ? kind : kind + " " + how.place();
    }

    /** Prints a mass as typed, or in this system when nobody typed it. */
    public static String show(Mass mass, UnitSystem system) {
        return mass.typed().orElseGet(() -> mass.in(system));
    }

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    private interface FactKind {}

    /** Two numbers in a row. */
    @JsonFormat(shape = JsonFormat.Shape.ARRAY)
    private interface Pair {}

    private static final class CamelCaseEnums extends JacksonAnnotationIntrospector {
        private static final long serialVersionUID = 1L;

        @Override
        public Object findEnumNamingStrategy(MapperConfig<?> config, AnnotatedClass type) {
            return EnumNamingStrategies.LOWER_CAMEL_CASE;
        }
    }

    private static final class TextReader<T> extends ValueDeserializer<T> {
        private final Function<String, T> read;

        TextReader(Function<String, T> read) {
            this.read = read;
        }

        @Override
        public T deserialize(JsonParser parser, DeserializationContext context) {
            String text = parser.getValueAsString();
            if (text == null) {
                return context.reportInputMismatch(this, "must be text");
            }
            try {
                return read.apply(text);
            } catch (IllegalArgumentException e) {
                return context.reportInputMismatch(this, "%s", e.getMessage());
            }
        }
    }

    private static final class TextWriter<T> extends StdSerializer<T> {
        private final Function<T, String> write;

        TextWriter(Class<T> type, Function<T, String> write) {
            super(type);
            this.write = write;
        }

        @Override
        public void serialize(T value, JsonGenerator generator, SerializationContext context) {
            generator.writeString(write.apply(value));
        }
    }

    private static final class AngleReader extends ValueDeserializer<Angle> {
        @Override
        public Angle deserialize(JsonParser parser, DeserializationContext context) {
            return Angle.ofDegrees(parser.getDoubleValue());
        }
    }

    private static final class AngleWriter extends StdSerializer<Angle> {
        AngleWriter() {
            super(Angle.class);
        }

        @Override
        public void serialize(Angle value, JsonGenerator generator, SerializationContext context) {
            generator.writeNumber(value.degrees());
        }
    }

    private static final class ServiceLifeReader extends ValueDeserializer<ServiceLife> {
        @Override
        public ServiceLife deserialize(JsonParser parser, DeserializationContext context) {
            JsonNode node = context.readTree(parser);
            if (node.isObject()) {
                return new ServiceLife(
                        ServiceLife.Kind.YEARS, node.path("years").asInt());
            }
            boolean printed = node.asString().equals("printed");
            return new ServiceLife(printed ? ServiceLife.Kind.PRINTED : ServiceLife.Kind.NOT_STATED, null);
        }
    }

    /** {@code {"stated": …, "source": …}} or {@code {"silent": …}}; a missing field is not looked at. */
    private static final class EvidenceReader extends ValueDeserializer<Evidence<?>> {
        /** Of what; {@code null} before it is known where it reads. */
        private final @Nullable JavaType content;

        EvidenceReader(@Nullable JavaType content) {
            this.content = content;
        }

        @Override
        public ValueDeserializer<?> createContextual(DeserializationContext context, BeanProperty property) {
            return new EvidenceReader(context.getContextualType().containedType(0));
        }

        @Override
        public Evidence<?> deserialize(JsonParser parser, DeserializationContext context) {
            JsonNode node = context.readTree(parser);
            if (node.has("silent")) {
                return Evidence.silent(context.readTreeAsValue(node.get("silent"), Source.class));
            }
            Source source = context.readTreeAsValue(node.get("source"), Source.class);
            Object stated = context.readTreeAsValue(node.get("stated"), Objects.requireNonNull(content));
            return Evidence.stated(stated, source);
        }
    }
}
