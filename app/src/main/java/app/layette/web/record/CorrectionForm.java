package app.layette.web.record;

import app.layette.core.entry.Answers;
import app.layette.core.entry.Fact;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.record.FactWords;
import app.layette.formats.wording.Wording;
import java.lang.reflect.RecordComponent;
import java.time.LocalDate;
import java.util.ArrayList;
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
    public record Field(String name, String label, String type, String value, List<Option> options) {}

    /** One of the values that a field can take. */
    public record Option(String value, String says) {}

    static String kind(Fact fact) {
        return kindOf(fact.getClass());
    }

    static String kindOf(Class<? extends Fact> kind) {
        return LayetteJson.kindOf(kind);
    }

    static List<Field> fields(Fact fact, Wording words) {
        List<Field> fields = new ArrayList<>();
        for (RecordComponent component : fact.getClass().getRecordComponents()) {
            if (!component.getName().equals("of") && component.getType() != Fact.Decision.class) {
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
        List<Option> options = options(fact, component, words);
        boolean fixed = component.getName().equals("question")
                || component.getName().equals("what")
                || component.getName().equals("part")
                || component.getName().equals("place")
                || component.getName().equals("piece");
        String input = fixed
                ? "hidden"
                : !options.isEmpty()
                        ? "select"
                        : type == LocalDate.class && !component.getName().equals("born") ? "date" : "text";
        boolean weeks = component.getName().equals("gestationDays") && value != null;
        String text =
                weeks ? (Integer) value / DAYS_PER_WEEK + "+" + (Integer) value % DAYS_PER_WEEK : typed(value, words);
        return new Field(component.getName(), label, input, text, options);
    }

    private static List<Option> options(Fact fact, RecordComponent component, Wording words) {
        Class<?> type = component.getType();
        List<Option> options = new ArrayList<>();
        if (type.isEnum()) {
            FactWords facts = new FactWords(words);
            for (Object each : type.getEnumConstants()) {
                Enum<?> constant = (Enum<?>) each;
                options.add(new Option(constant.name(), facts.constant(constant)));
            }
        } else if (type == boolean.class || type == Boolean.class) {
            options.add(new Option("true", words.say("record.yes")));
            options.add(new Option("false", words.say("record.no")));
        }
        if (fact instanceof Fact.Answered answered && component.getName().equals("answer")) {
            for (String answer : Answers.to(answered.question())) {
                options.add(new Option(answer, words.say("answer." + answered.question() + "." + answer)));
            }
        }
        return options;
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
