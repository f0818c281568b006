package app.layette.web.fitting;

import app.layette.core.entry.Fact;
import app.layette.core.entry.FactCheck;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.PartialDate;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.LengthRange;
import app.layette.core.measure.Mass;
import app.layette.core.measure.MassRange;
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
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a fact from the fields of a form. The fields carry the names of the fact's components; all problems are
 * collected, each with its field, what was typed and what is allowed.
 */
public final class FactForm {
    private static final Pattern WEEKS_AND_DAYS =
            Pattern.compile("(\\d{2})\\s*(?:w|weeks?|\\+)?\\s*(?:(\\d)\\s*(?:d|days?)?)?");
    private static final int DAYS_PER_WEEK = 7;
    /** Field that carries a place and a method together. */
    public static final String CHOICE = "choice";

    private final Map<String, String> fields;
    private final List<FieldProblem> problems = new ArrayList<>();

    private FactForm(Map<String, String> fields) {
        this.fields = split(fields);
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
     * @throws RefusedEntryException with every problem found
     */
    public static Fact read(Map<String, String> fields) {
        String kind = fields.getOrDefault("kind", "");
        Class<?> type = Arrays.stream(Fact.class.getPermittedSubclasses())
                .filter(each -> LayetteJson.kindOf(each).equals(kind))
                .findFirst()
                .orElseThrow(() -> RefusedEntryException.because("UNKNOWN_KIND"));
        FactForm form = new FactForm(fields);
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
            problems.add(new FieldProblem(name, e.typed(), e.reason().name(), e.lowest(), e.highest()));
        } catch (DateTimeException e) {
            problems.add(new FieldProblem(name, text, "NOT_A_DATE", "", ""));
        } catch (IllegalArgumentException e) {
            problems.add(new FieldProblem(name, text, reasonFor(component), "", ""));
        }
        return primitive ? nothing(component.getType()) : null;
    }

    private static String reasonFor(RecordComponent component) {
        if (component.getName().equals("gestationDays")) {
            return "NOT_WEEKS";
        }
        return component.getType() == PartialDate.class ? "NOT_A_MONTH" : "NOT_TAKEN";
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
        if (name.equals("gestationDays")) {
            return gestation(text);
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
            return LocalDate.parse(text);
        }
        if (type == PartialDate.class) {
            return PartialDate.parse(text);
        }
        if (type == PositionId.class) {
            return PositionId.parse(text);
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

    /** Weeks, or weeks and days: {@code 38}, {@code 38+2}, {@code 38w 2d}. */
    private static Integer gestation(String text) {
        Matcher matcher = WEEKS_AND_DAYS.matcher(text.toLowerCase(Locale.ROOT));
        if (!matcher.matches()) {
            throw new IllegalArgumentException(text);
        }
        int days = matcher.group(2) == null ? 0 : Integer.parseInt(matcher.group(2));
        return Integer.parseInt(matcher.group(1)) * DAYS_PER_WEEK + days;
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
                    "about" -> false;
            case "mass", "length" -> component.getDeclaringRecord() != Fact.QuantityRead.class;
            case "model" -> component.getDeclaringRecord() == Fact.QuickSeatRead.class;
            case "made" -> false;
            default -> true;
        };
    }
}
