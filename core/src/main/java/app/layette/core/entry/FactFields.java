package app.layette.core.entry;

import app.layette.core.evidence.Written;
import java.lang.reflect.Constructor;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;

/**
 * The kinds of entries with their fields, as the records of {@link Fact} describe them. Whoever reads, checks, writes or
 * tells an entry goes through these, and names no kind that is like any other.
 */
public final class FactFields {
    private static final Map<Class<? extends Fact>, List<FactField>> FIELDS = fields();
    private static final Map<String, Class<? extends Fact>> KINDS = kinds();

    private FactFields() {}

    /** The fields of a kind of entry, in the order of its record. */
    public static List<FactField> of(Class<? extends Fact> kind) {
        return Objects.requireNonNull(FIELDS.get(kind), kind.getName());
    }

    /** A field by its name; empty where the kind has none of it. */
    public static Optional<FactField> of(Class<? extends Fact> kind, String field) {
        return of(kind).stream().filter(each -> each.name().equals(field)).findFirst();
    }

    /** Every kind there is, by its name in documents and forms, its record in lower camel case; in the order of names. */
    public static Map<String, Class<? extends Fact>> byName() {
        return KINDS;
    }

    /** The name of a kind in documents and forms. */
    public static String nameOf(Class<?> kind) {
        String name = kind.getSimpleName();
        return name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
    }

    /**
     * An entry's fact of these values.
     *
     * @param values one for each field, in their order; {@code null} where nothing is said
     */
    public static Fact make(Class<? extends Fact> kind, List<Object> values) {
        try {
            Class<?>[] types = of(kind).stream().map(FactField::type).toArray(Class<?>[]::new);
            Constructor<? extends Fact> constructor = kind.getDeclaredConstructor(types);
            return constructor.newInstance(values.toArray());
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("The fact " + nameOf(kind) + " cannot be made", e);
        }
    }

    private static Map<Class<? extends Fact>, List<FactField>> fields() {
        Map<Class<? extends Fact>, List<FactField>> all = new LinkedHashMap<>();
        for (Class<?> each : Fact.class.getPermittedSubclasses()) {
            Class<? extends Fact> kind = each.asSubclass(Fact.class);
            all.put(
                    kind,
                    Arrays.stream(kind.getRecordComponents())
                            .map(component -> new FactField(kind, component, Written.As.of(component)))
                            .toList());
        }
        return Map.copyOf(all);
    }

    private static Map<String, Class<? extends Fact>> kinds() {
        // In which order a compiler lists them is its own affair: by name it is the same everywhere.
        Map<String, Class<? extends Fact>> all = new TreeMap<>();
        Arrays.stream(Fact.class.getPermittedSubclasses())
                .forEach(each -> all.put(nameOf(each), each.asSubclass(Fact.class)));
        return Collections.unmodifiableMap(all);
    }
}
