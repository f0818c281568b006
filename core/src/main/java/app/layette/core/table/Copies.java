package app.layette.core.table;

import java.lang.reflect.Constructor;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;

/** Copies of records in which one component is another. */
public final class Copies {
    private Copies() {}

    /**
     * What stands in a component.
     *
     * @throws IllegalArgumentException when the record has no such component
     */
    public static Object component(Record record, String name) {
        RecordComponent here = Arrays.stream(record.getClass().getRecordComponents())
                .filter(each -> each.getName().equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        record.getClass().getSimpleName() + " has no component (" + name + ")"));
        try {
            return here.getAccessor().invoke(record);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(record.getClass().getSimpleName() + " cannot be read", e);
        }
    }

    /**
     * The same record with another value in one component.
     *
     * @param component its name
     * @throws IllegalArgumentException when the record has no such component
     */
    @SuppressWarnings("unchecked")
    public static <R extends Record> R with(R record, String component, Object value) {
        RecordComponent[] components = record.getClass().getRecordComponents();
        Object[] values = new Object[components.length];
        boolean found = false;
        try {
            for (int i = 0; i < components.length; i++) {
                boolean here = components[i].getName().equals(component);
                found |= here;
                values[i] = here ? value : components[i].getAccessor().invoke(record);
            }
            if (!found) {
                throw new IllegalArgumentException(
                        record.getClass().getSimpleName() + " has no component (" + component + ")");
            }
            Class<?>[] types =
                    Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new);
            Constructor<?> constructor = record.getClass().getDeclaredConstructor(types);
            return (R) constructor.newInstance(values);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(record.getClass().getSimpleName() + " cannot be copied", e);
        }
    }
}
