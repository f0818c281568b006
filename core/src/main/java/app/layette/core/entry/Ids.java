package app.layette.core.entry;

import app.layette.core.evidence.Id;
import app.layette.core.seat.PieceId;
import app.layette.core.seat.SettingId;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** The types of ids in entries and sheets, and how each is made of its text: forms and documents go by this alone. */
public final class Ids {
    private static final Map<Class<? extends Id>, Function<String, ? extends Id>> MADE = Map.of(
            UnitId.class, UnitId::new,
            RiderId.class, RiderId::new,
            SheetId.class, SheetId::new,
            // Where the kind of entry does not say what it names.
            Subject.class, Subject.Named::new,
            PieceId.class, PieceId::new,
            SettingId.class, SettingId::new);

    private Ids() {}

    /** Every type of them. */
    public static Set<Class<? extends Id>> types() {
        return MADE.keySet();
    }

    /** An id of a type; empty where the type is none of an id. */
    public static Optional<Id> of(Class<?> type, String text) {
        return Optional.ofNullable(MADE.get(type)).map(make -> make.apply(text));
    }
}
