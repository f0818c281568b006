package app.layette.core.entry;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The words that somebody wrote freely in an entry. Names are kept beside the record, but a hand can write one into a
 * note: these are what is looked through when a family is erased.
 */
public final class FreeText {
    private FreeText() {}

    /** The fields of a kind of fact that hold free words. */
    public static List<String> fields(Class<? extends Fact> kind) {
        return FactFields.of(kind).stream()
                .filter(FactField::isFree)
                .map(FactField::name)
                .toList();
    }

    /** What was written freely, by field; what is empty is left out. */
    public static Map<String, String> of(Fact fact) {
        Map<String, String> found = new LinkedHashMap<>();
        for (FactField field : FactFields.of(fact.getClass())) {
            if (field.isFree() && field.in(fact) instanceof String text && !text.isBlank()) {
                found.put(field.name(), text);
            }
        }
        return found;
    }
}
