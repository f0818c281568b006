package app.layette.web.fitting;

import app.layette.core.entry.Fact;
import app.layette.core.entry.FactCheck;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.PartialDate;
import app.layette.core.entry.Question;
import app.layette.core.measure.Angle;
import app.layette.core.measure.DateReader;
import app.layette.core.measure.Gestation;
import app.layette.core.measure.Length;
import app.layette.core.measure.LengthRange;
import app.layette.core.measure.Mass;
import app.layette.core.measure.MassRange;
import app.layette.core.measure.UnreadableDateException;
import app.layette.core.measure.UnreadableMeasureException;
import app.layette.core.vehicle.PositionId;
import app.layette.formats.json.LayetteJson;
import java.lang.reflect.RecordComponent;
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

/**
 * Reads a fact from the fields of a form. The fields carry the names of the fact's components; all problems are
 * collected, each with its field, what was typed and what is allowed.
 */
public final class FactForm {
    /** Field that carries a place and a method together. */
    public static final String CHOICE = "choice";

    private static final String GESTATION = "gestationDays";

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
        String kind = fields.getOrDefault("kind", "");
        Class<?> type = Arrays.stream(Fact.class.getPermittedSubclasses())
                .filter(each -> LayetteJson.kindOf(each).equals(kind))
                .findFirst()
                .orElseThrow(() -> RefusedEntryException.because("UNKNOWN_KIND"));
        FactForm form = new FactForm(fields, today);
        RecordComponent[] components = type.getRecordComponents();
        Object[] values = Arrays.stream(components).map(form::value).toArray();
        if (!form.problems.isEmpty()) {
            throw RefusedEntryException.fields(form.problems);
        }
        try {
            Class<?>[] types =
                    Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new);
            var constructor = type.getDeclaredConstructor(types);
            return (Fact) constructor.newInstance(values);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("The fact " + kind + " cannot be made", e);
        }
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
        Optional<RecordComponent> component = component(fields.get("kind"), field);
        if (component.isEmpty()) {
            return Optional.empty();
        }
        FactForm form = new FactForm(fields, today);
        Object value = form.value(component.get());
        if (!form.problems.isEmpty()) {
            throw RefusedEntryException.fields(form.problems);
        }
        return Optional.ofNullable(value instanceof Integer days ? new Weeks(days) : value);
    }

    /** Whether a field of a kind of fact is a quantity, a date or weeks: something to be understood. */
    public static boolean reads(String kind, String field) {
        return component(kind, field).isPresent();
    }

    private static Optional<RecordComponent> component(String kind, String field) {
        return Arrays.stream(Fact.class.getPermittedSubclasses())
                .filter(each -> LayetteJson.kindOf(each).equals(kind))
                .flatMap(each -> Arrays.stream(each.getRecordComponents()))
                .filter(each -> each.getName().equals(field))
                .filter(FactForm::isRead)
                .findFirst();
    }

    private static boolean isRead(RecordComponent component) {
        Class<?> type = component.getType();
        return type == Mass.class
                || type == Length.class
                || type == Angle.class
                || type == LocalDate.class
                || type == PartialDate.class
                || component.getName().equals(GESTATION);
    }

    private Object value(RecordComponent component) {
        String name = component.getName();
        if (component.getType() == Fact.Decision.class) {
            // Kept by the server alone: nobody posts what the gate said.
            return null;
        }
        String text = Optional.ofNullable(fields.get(name)).map(String::strip).orElse("");
        boolean primitive = component.getType().isPrimitive();
        if (text.isEmpty()) {
            if (isNeeded(component) || primitive) {
                problems.add(new FieldProblem(name, "", "NEEDED", "", ""));
            }
            return primitive ? nothing(component.getType()) : null;
        }
        try {
            return parse(component, text);
        } catch (UnreadableMeasureException e) {
            problems.add(new FieldProblem(name, e.typed(), e.key(), e.lowest(), e.highest()));
        } catch (UnreadableDateException e) {
            problems.add(new FieldProblem(name, e.typed(), dateKey(component, e), e.one(), e.other()));
        } catch (DateTimeException e) {
            problems.add(new FieldProblem(name, text, "NOT_A_DATE", "", ""));
        } catch (IllegalArgumentException e) {
            problems.add(new FieldProblem(name, text, reasonFor(component), "", ""));
        }
        return primitive ? nothing(component.getType()) : null;
    }

    private static String reasonFor(RecordComponent component) {
        if (component.getName().equals(GESTATION)) {
            return "NOT_WEEKS";
        }
        return "NOT_TAKEN";
    }

    private static String dateKey(RecordComponent component, UnreadableDateException e) {
        boolean printed = component.getType() == PartialDate.class;
        boolean isNone = e.reason() == UnreadableDateException.Reason.NOT_A_DATE;
        return printed && isNone ? "NOT_A_MONTH" : e.reason().name();
    }

    private static Object nothing(Class<?> type) {
        return type == boolean.class ? (Object) Boolean.FALSE : (Object) Integer.valueOf(0);
    }

    private Object parse(RecordComponent component, String text) {
        Class<?> type = component.getType();
        String name = component.getName();
        if (type == Mass.class) {
            return Mass.parse(text, massRange(component));
        }
        if (type == Length.class) {
            return Length.parse(text, lengthRange(component));
        }
        if (type == Angle.class) {
            return Angle.parse(text, -90, 90);
        }
        if (name.equals(GESTATION)) {
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
        return type.isEnum() ? constant(type, text) : text;
    }

    private static Object constant(Class<?> type, String text) {
        return Arrays.stream(type.getEnumConstants())
                .filter(each -> ((Enum<?>) each).name().equals(text))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(text));
    }

    private static MassRange massRange(RecordComponent component) {
        boolean ofChild = component.getDeclaringRecord() == Fact.Weighed.class
                || component.getDeclaringRecord() == Fact.QuickSeatRead.class;
        if (ofChild) {
            return MassRange.CHILD;
        }
        return component.getName().equals("birthWeight") ? MassRange.BIRTH : MassRange.SHEET;
    }

    private LengthRange lengthRange(RecordComponent component) {
        if (component.getDeclaringRecord() == Fact.QuickSeatRead.class || isOf(Fact.Quantity.LENGTH_MAX)) {
            return LengthRange.BODY;
        }
        if (component.getDeclaringRecord() == Fact.RollPlaced.class) {
            return FactCheck.rollRange(component.getName());
        }
        if (component.getDeclaringRecord() == Fact.LayerSeen.class) {
            return LengthRange.LAYER;
        }
        if (component.getDeclaringRecord() != Fact.LengthMeasured.class) {
            return LengthRange.GAP;
        }
        return Arrays.stream(Fact.Dimension.values())
                .filter(each -> each.name().equals(fields.get("what")))
                .findFirst()
                .map(FactCheck::rangeOf)
                .orElse(LengthRange.SHEET);
    }

    private boolean isOf(Fact.Quantity quantity) {
        return quantity.name().equals(fields.get("quantity"));
    }

    private static boolean isNeeded(RecordComponent component) {
        return switch (component.getName()) {
            case "gestationDays",
                    "sex",
                    "birthWeight",
                    "insert",
                    "doNotUseAfter",
                    "reason",
                    "role",
                    "on",
                    "reviewOn",
                    "who",
                    "facing",
                    "airbag",
                    "anchors",
                    "floor",
                    "retractor",
                    "latchPlate",
                    "belt",
                    "slots",
                    "pass",
                    "zoneFrom",
                    "zoneTo",
                    "routings",
                    "said",
                    "offered",
                    "told",
                    "loop",
                    "weightMin",
                    "weightMax",
                    "lengthMax",
                    "indicator",
                    "handle",
                    "diameter",
                    "softness",
                    "thickness",
                    "layers",
                    "rolled",
                    "underFoot",
                    "garment",
                    "loose",
                    "pressed",
                    "strap",
                    "slot",
                    "place",
                    "restraint",
                    "beltKind",
                    "sort",
                    "from",
                    "to",
                    "about",
                    "unit",
                    "seatOf" -> false;
            case "mass", "length" -> component.getDeclaringRecord() != Fact.QuantityRead.class;
            case "model" -> component.getDeclaringRecord() == Fact.QuickSeatRead.class;
            case "made" -> false;
            default -> true;
        };
    }
}
