package app.layette.web.fitting;

import app.layette.core.entry.Fact;
import app.layette.core.entry.FactField;
import app.layette.core.entry.FactFields;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.Ids;
import app.layette.core.entry.PartialDate;
import app.layette.core.entry.Question;
import app.layette.core.measure.Angle;
import app.layette.core.measure.DateReader;
import app.layette.core.measure.Gestation;
import app.layette.core.measure.Length;
import app.layette.core.measure.LengthRange;
import app.layette.core.measure.Mass;
import app.layette.core.measure.UnreadableDateException;
import app.layette.core.measure.UnreadableMeasureException;
import app.layette.core.vehicle.PositionId;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Reads a fact from the fields of a form. The fields carry the names of the fact's components; all problems are
 * collected, each with its field, what was typed and what is allowed.
 */
public final class FactForm {
    /** Field that carries a place and a method together. */
    public static final String CHOICE = "choice";

    private static final Set<Class<? extends Fact>> ANOTHER_WAY =
            Set.of(Fact.PhotoTaken.class, Fact.CameBack.class, Fact.UnitJoined.class);

    private final Map<String, String> fields;
    private final LocalDate today;
    private final List<FieldProblem> problems = new ArrayList<>();

    private FactForm(Map<String, String> fields, LocalDate today) {
        this.fields = split(fields);
        this.today = today;
    }

    /** A place and a method in one value, as a button posts them: {@code 2-RIGHT/BASE_BELT}. */
    private static Map<String, String> split(Map<String, String> fields) {
        String[] choice = fields.getOrDefault(CHOICE, "").split("/", 2);
        if (choice.length < 2) {
            return fields;
        }
        Map<String, String> all = new HashMap<>(fields);
        all.put("position", choice[0]);
        all.put("method", choice[1]);
        return all;
    }

    /**
     * Reads the fact named by the field {@code kind}.
     *
     * @param today the fitting point's day, for a date that is typed without its year
     * @throws RefusedEntryException with every problem found
     */
    public static Fact read(Map<String, String> fields, LocalDate today) {
        Class<? extends Fact> kind = FactFields.byName().get(fields.getOrDefault("kind", ""));
        if (kind == null) {
            throw RefusedEntryException.because("UNKNOWN_KIND");
        }
        FactForm form = new FactForm(fields, today);
        List<Object> values = new ArrayList<>();
        FactFields.of(kind).forEach(field -> values.add(form.value(field)));
        if (!form.problems.isEmpty()) {
            throw RefusedEntryException.fields(form.problems);
        }
        return FactFields.make(kind, values);
    }

    /**
     * Reads a fact that hands enter by themselves: a picture comes with its file, a child that came back, a further seat or
     * car by the pages that look whether it is so.
     *
     * @throws RefusedEntryException with every problem found, or when such a fact comes another way
     */
    public static Fact readByHand(Map<String, String> fields, LocalDate today) {
        Fact fact = read(fields, today);
        if (ANOTHER_WAY.contains(fact.getClass())) {
            throw RefusedEntryException.because("UNKNOWN_KIND");
        }
        return fact;
    }

    /** Weeks of pregnancy, told apart from other whole numbers. */
    public record Weeks(int days) {}

    /**
     * Reads one field of a fact, whatever stands in the others.
     *
     * @param fields with the field {@code kind}
     * @return a quantity, a date or weeks; empty for what needs no reading, and for a kind or field that is not known
     * @throws RefusedEntryException with what is wrong with this field
     */
    public static Optional<Object> one(Map<String, String> fields, String field, LocalDate today) {
        Optional<FactField> read = understood(fields.get("kind"), field);
        if (read.isEmpty()) {
            return Optional.empty();
        }
        FactForm form = new FactForm(fields, today);
        Object value = form.value(read.get());
        if (!form.problems.isEmpty()) {
            throw RefusedEntryException.fields(form.problems);
        }
        return Optional.ofNullable(value instanceof Integer days ? new Weeks(days) : value);
    }

    /** Whether a field of a kind of fact is a quantity, a date or weeks: something to be understood. */
    public static boolean reads(String kind, String field) {
        return understood(kind, field).isPresent();
    }

    private static Optional<FactField> understood(@Nullable String kind, String field) {
        return Optional.ofNullable(kind)
                .map(FactFields.byName()::get)
                .flatMap(each -> FactFields.of(each, field))
                .filter(each -> each.isMeasure() || each.isWeeks() || each.isDay());
    }

    private @Nullable Object value(FactField field) {
        String name = field.name();
        if (field.type() == Fact.Decision.class) {
            // Kept by the server alone: nobody posts what the gate said.
            return null;
        }
        String text = Optional.ofNullable(fields.get(name)).map(String::strip).orElse("");
        boolean primitive = field.type().isPrimitive();
        if (text.isEmpty()) {
            if (field.isNeeded()) {
                problems.add(new FieldProblem(name, "", "NEEDED", "", ""));
            }
            return primitive ? nothing(field.type()) : null;
        }
        try {
            return parse(field, text);
        } catch (UnreadableMeasureException e) {
            problems.add(new FieldProblem(name, e.typed(), e.key(), e.lowest(), e.highest()));
        } catch (UnreadableDateException e) {
            problems.add(new FieldProblem(name, e.typed(), dateKey(field, e), e.one(), e.other()));
        } catch (DateTimeException e) {
            problems.add(new FieldProblem(name, text, "NOT_A_DATE", "", ""));
        } catch (IllegalArgumentException e) {
            problems.add(new FieldProblem(name, text, field.isWeeks() ? "NOT_WEEKS" : "NOT_TAKEN", "", ""));
        }
        return primitive ? nothing(field.type()) : null;
    }

    private static String dateKey(FactField field, UnreadableDateException e) {
        boolean printed = field.type() == PartialDate.class;
        boolean isNone = e.reason() == UnreadableDateException.Reason.NOT_A_DATE;
        return printed && isNone ? "NOT_A_MONTH" : e.reason().name();
    }

    private static Object nothing(Class<?> type) {
        return type == boolean.class ? (Object) Boolean.FALSE : (Object) Integer.valueOf(0);
    }

    private Object parse(FactField field, String text) {
        Class<?> type = field.type();
        if (type == Mass.class) {
            return Mass.parse(text, field.masses());
        }
        if (type == Length.class) {
            return Length.parse(text, lengths(field));
        }
        if (type == Angle.class) {
            return Angle.parse(text, -90, 90);
        }
        if (field.isWeeks()) {
            return Gestation.days(text);
        }
        if (type == int.class || type == Integer.class) {
            return Integer.valueOf(text);
        }
        if (type == boolean.class || type == Boolean.class) {
            return text.equals("true") || text.equals("on");
        }
        if (type == UUID.class) {
            return UUID.fromString(text);
        }
        if (type == LocalDate.class) {
            return DateReader.day(text, today);
        }
        if (type == PartialDate.class) {
            return PartialDate.typed(text);
        }
        if (type == PositionId.class) {
            return PositionId.parse(text);
        }
        if (type == Question.class) {
            return Question.valueOf(text);
        }
        return type.isEnum()
                ? constant(type, text)
                : Ids.of(type, text).<Object>map(id -> id).orElse(text);
    }

    private static Object constant(Class<?> type, String text) {
        return Arrays.stream(type.getEnumConstants())
                .filter(each -> ((Enum<?>) each).name().equals(text))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(text));
    }

    /** The range of a length follows where another field of the form says what was measured. */
    private LengthRange lengths(FactField field) {
        return field.lengths(field.decidedBy()
                .flatMap(by -> Arrays.stream(by.type().getEnumConstants())
                        .map(each -> (Enum<?>) each)
                        .filter(each -> each.name().equals(fields.get(by.name())))
                        .findFirst()));
    }
}
