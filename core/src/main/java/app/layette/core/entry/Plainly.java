package app.layette.core.entry;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.seat.SeatSheet;
import app.layette.core.table.Copies;
import app.layette.core.vehicle.SeatingPosition;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * Values that are what is said of them: a constant, yes or no, or names. What can be said, and how it fills its sheet,
 * follows from the component that it stands in; a value that asks for more is filled in a way of its own.
 */
final class Plainly {
    /** What depends on the child, the country or the base, or says a part of what its component holds. */
    private static final Set<SheetValue> IN_ITS_OWN_WAY = EnumSet.of(
            SheetValue.APPROVED_HERE,
            SheetValue.LIFE,
            SheetValue.BASE_LISTED,
            SheetValue.INSERT,
            SheetValue.SLOTS,
            SheetValue.LOOPS,
            SheetValue.CROTCH,
            SheetValue.INDICATOR,
            SheetValue.LEVEL_PASS,
            SheetValue.SIDES,
            SheetValue.CONNECTORS,
            SheetValue.LOCK_OFFS);

    private static final Map<SheetValue, Type> CONTENTS = contents();

    private Plainly() {}

    private static Map<SheetValue, Type> contents() {
        Map<SheetValue, Type> contents = new EnumMap<>(SheetValue.class);
        for (SheetValue value : SheetValue.values()) {
            if (!value.isQuantity() && !IN_ITS_OWN_WAY.contains(value)) {
                Class<?> sheet = value.isOfPlace() ? SeatingPosition.class : SeatSheet.class;
                contents.put(value, content(sheet, value.component().split("/"), value));
            }
        }
        return contents;
    }

    private static Type content(Class<?> record, String[] path, SheetValue value) {
        Type type = record;
        for (String name : path) {
            type = Arrays.stream(((Class<?>) type).getRecordComponents())
                    .filter(component -> component.getName().equals(name))
                    .map(RecordComponent::getGenericType)
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException(
                            "The value " + value + " stands in no component (" + value.component() + ")"));
        }
        return ((ParameterizedType) type).getActualTypeArguments()[0];
    }

    static boolean is(SheetValue value) {
        return CONTENTS.containsKey(value);
    }

    /** The constants that can be said; of names, that there are none. */
    static List<String> choices(SheetValue value) {
        Type content = CONTENTS.get(value);
        if (content == Boolean.class) {
            return List.of(SheetValues.YES, SheetValues.NO);
        }
        return content instanceof Class<?> kind && kind.isEnum()
                ? Arrays.stream(kind.getEnumConstants())
                        .map(each -> ((Enum<?>) each).name())
                        .toList()
                : List.of(SheetValues.NONE);
    }

    /** Whether it is names. */
    static boolean isNames(SheetValue value) {
        return CONTENTS.get(value) instanceof ParameterizedType;
    }

    /** What the words come to. */
    static Object meaning(SheetValue value, String says) {
        Type content = CONTENTS.get(value);
        if (content == Boolean.class) {
            return says.equals(SheetValues.YES);
        }
        return content instanceof Class<?> kind
                ? Arrays.stream(kind.getEnumConstants())
                        .filter(each -> ((Enum<?>) each).name().equals(says))
                        .findFirst()
                        .orElseThrow(() -> new IllegalArgumentException("There is no " + value + " (" + says + ")"))
                : SheetFilling.names(says);
    }

    /** The sheet with another evidence at a place in it; the same where it stays the same. */
    @SuppressWarnings("unchecked")
    static <R extends Record> R at(R sheet, String component, UnaryOperator<Evidence<Object>> filling) {
        int end = component.indexOf('/');
        String name = end < 0 ? component : component.substring(0, end);
        Object before = Copies.component(sheet, name);
        Object after = end < 0
                ? filling.apply((Evidence<Object>) before)
                : at((Record) before, component.substring(end + 1), filling);
        return after == before ? sheet : Copies.with(sheet, name, after);
    }
}
