package app.layette.core.entry;

import java.lang.reflect.RecordComponent;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The words that somebody wrote freely in an entry. Names are kept beside the record, but a hand can write one into a
 * note: these are what is looked through when a family is erased.
 */
public final class FreeText {
    private static final Map<Class<? extends Fact>, List<String>> FIELDS = Map.of(
            Fact.Noted.class, List.of("text"),
            Fact.Taught.class, List.of("reason"),
            Fact.Ordered.class, List.of("role"),
            Fact.Screened.class, List.of("who"),
            Fact.SheetAdopted.class, List.of("reason"),
            Fact.CaregiverSigned.class, List.of("initials"),
            Fact.Ended.class, List.of("said", "offered", "told"));

    private FreeText() {}

    /** The fields of a kind of fact that hold free words. */
    public static List<String> fields(Class<? extends Fact> kind) {
        return FIELDS.getOrDefault(kind, List.of());
    }

    /** What was written freely, by field; what is empty is left out. */
    public static Map<String, String> of(Fact fact) {
        Map<String, String> found = new LinkedHashMap<>();
        for (RecordComponent component : fact.getClass().getRecordComponents()) {
            if (fields(fact.getClass()).contains(component.getName())) {
                String text = (String) value(fact, component);
                if (text != null && !text.isBlank()) {
                    found.put(component.getName(), text);
                }
            }
        }
        return found;
    }

    private static Object value(Fact fact, RecordComponent component) {
        try {
            return component.getAccessor().invoke(fact);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("The fact " + fact + " cannot be read", e);
        }
    }
}
