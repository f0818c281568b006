package app.layette.web.record;

import app.layette.core.entry.Answers;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FactField;
import app.layette.core.entry.FactFields;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.formats.record.FactWords;
import app.layette.formats.wording.Wording;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The fields of a fact, filled with what it says, to be corrected. Signatures and words are not corrected: they are
 * added to.
 */
final class CorrectionForm {
    private CorrectionForm() {}

    /** A field; {@code options} is empty for text. */
    public record Field(String name, String label, String type, String value, List<Option> options) {}

    /** One of the values that a field can take. */
    public record Option(String value, String says) {}

    static String kind(Fact fact) {
        return kindOf(fact.getClass());
    }

    static String kindOf(Class<? extends Fact> kind) {
        return FactFields.nameOf(kind);
    }

    static List<Field> fields(Fact fact, Wording words) {
        return FactFields.of(fact.getClass()).stream()
                .filter(each -> !each.isSubject() && each.type() != Fact.Decision.class)
                .map(each -> field(fact, each, words))
                .toList();
    }

    private static Field field(Fact fact, FactField field, Wording words) {
        FactWords facts = new FactWords(words);
        Object value = field.in(fact);
        List<Option> options = options(fact, field, words);
        String text = field.isWeeks() && value != null ? FactWords.weeks((Integer) value) : typed(value, words);
        return new Field(field.name(), facts.name(field), input(field, options), text, options);
    }

    private static String input(FactField field, List<Option> options) {
        if (field.written().which()) {
            return "hidden";
        }
        if (!options.isEmpty()) {
            return "select";
        }
        // A birthday is typed as it is said: yesterday, 3 Dec.
        return field.type() == LocalDate.class && !field.name().equals("born") ? "date" : "text";
    }

    private static List<Option> options(Fact fact, FactField field, Wording words) {
        Class<?> type = field.type();
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
        if (fact instanceof Fact.Answered answered && field.name().equals("answer")) {
            for (String answer : Answers.to(answered.question())) {
                options.add(new Option(answer, words.say("answer." + answered.question() + "." + answer)));
            }
        }
        return options;
    }

    private static String typed(@Nullable Object value, Wording words) {
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
}
