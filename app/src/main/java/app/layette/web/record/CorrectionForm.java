package app.layette.web.record;

import app.layette.core.entry.Fact;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.wording.Wording;
import java.lang.reflect.RecordComponent;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * The fields of a fact, filled with what it says, to be corrected. Signatures and words are not corrected: they are
 * added to.
 */
final class CorrectionForm {
    private static final int DAYS_PER_WEEK = 7;

    private CorrectionForm() {}

    /** A field; {@code options} is empty for text. */
    public record Field(String name, String label, String type, String value, List<String> options) {}

    static boolean isCorrectable(Fact fact) {
        return !(fact instanceof Fact.Ended
                || fact instanceof Fact.Countersigned
                || fact instanceof Fact.Noted
                || fact instanceof Fact.PhotoTaken
                || fact instanceof Fact.Acted
                || fact instanceof Fact.WebbingMoved
                || fact instanceof Fact.BoxChosen
                || fact instanceof Fact.SheetAdopted);
    }

    static String kind(Fact fact) {
        return LayetteJson.kindOf(fact.getClass());
    }

    static List<Field> fields(Fact fact, Wording words) {
        List<Field> fields = new ArrayList<>();
        for (RecordComponent component : fact.getClass().getRecordComponents()) {
            if (!component.getName().equals("of")) {
                fields.add(field(fact, component, words));
            }
        }
        return fields;
    }

    private static Field field(Fact fact, RecordComponent component, Wording words) {
        String key = "field." + component.getName();
        String label = words.knows(key)
                ? words.say(key)
                : component.getName().replaceAll("([A-Z])", " $1").toLowerCase(Locale.ROOT);
        Object value = value(fact, component);
        Class<?> type = component.getType();
        List<String> options = new ArrayList<>();
        if (type.isEnum()) {
            Arrays.stream(type.getEnumConstants())
                    .map(each -> ((Enum<?>) each).name())
                    .forEach(options::add);
        } else if (type == boolean.class || type == Boolean.class) {
            options.addAll(List.of("true", "false"));
        }
        if (fact instanceof Fact.Answered answered && component.getName().equals("answer")) {
            options.addAll(app.layette.core.entry.Answers.to(answered.question()));
        }
        boolean fixed = component.getName().equals("question")
                || component.getName().equals("what")
                || component.getName().equals("part")
                || component.getName().equals("piece");
        String input = fixed ? "hidden" : !options.isEmpty() ? "select" : type == LocalDate.class ? "date" : "text";
        boolean weeks = component.getName().equals("gestationDays") && value != null;
        String text =
                weeks ? (Integer) value / DAYS_PER_WEEK + "+" + (Integer) value % DAYS_PER_WEEK : typed(value, words);
        return new Field(component.getName(), label, input, text, options);
    }

    private static String typed(Object value, Wording words) {
        if (value instanceof Mass mass) {
            return mass.in(words.units());
        }
        if (value instanceof Length length) {
            return length.in(words.units());
        }
        if (value instanceof Angle angle) {
            return String.valueOf(angle.degrees());
        }
        return value == null ? "" : value instanceof Enum<?> constant ? constant.name() : value.toString();
    }

    private static Object value(Fact fact, RecordComponent component) {
        try {
            return component.getAccessor().invoke(fact);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("The fact " + fact + " cannot be read", e);
        }
    }
}
