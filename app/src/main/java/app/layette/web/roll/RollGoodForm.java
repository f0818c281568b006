package app.layette.web.roll;

import app.layette.core.entry.Fact.Softness;
import app.layette.core.entry.FieldProblem;
import app.layette.core.measure.Length;
import app.layette.core.measure.LengthRange;
import app.layette.core.measure.UnreadableMeasureException;
import app.layette.core.recline.roll.Cloth;
import app.layette.web.fitting.RefusedEntryException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * A cloth or noodle as it was typed, and what is wrong with it.
 *
 * @param good empty when anything is wrong, or nothing was typed
 */
public record RollGoodForm(Optional<RollGood> good, List<FieldProblem> problems) {
    static final int LONGEST_NAME = 80;
    private static final List<String> CLOTH = List.of("clothLength", "clothWidth", "clothThickness");
    private static final Map<String, LengthRange> RANGES = Map.of(
            "clothLength", LengthRange.CLOTH,
            "clothWidth", LengthRange.CLOTH,
            "clothThickness", LengthRange.CLOTH_THICKNESS,
            "diameter", LengthRange.ROLL);

    /** Whether a field of this name is a length of a cloth or noodle. */
    public static boolean measures(String field) {
        return RANGES.containsKey(field);
    }

    /**
     * Reads one of the lengths, whatever stands in the others.
     *
     * @return empty for a field that is no length here
     * @throws RefusedEntryException with what is wrong with it
     */
    public static Optional<Length> one(Map<String, String> fields, String field) {
        if (!measures(field)) {
            return Optional.empty();
        }
        Reader reader = new Reader(fields);
        Optional<Length> read = reader.length(field);
        if (!reader.problems.isEmpty()) {
            throw RefusedEntryException.fields(reader.problems);
        }
        return read;
    }

    /** A cloth by its three sizes, without a name; nothing when none of them was typed. */
    public static RollGoodForm cloth(Map<String, String> fields, String name) {
        boolean typed = CLOTH.stream().anyMatch(field -> !text(fields, field).isEmpty());
        return typed ? new Reader(fields).cloth(name) : new RollGoodForm(Optional.empty(), List.of());
    }

    /** One to keep: the field {@code kind} says which, and it must have a name. */
    static RollGoodForm kept(Map<String, String> fields) {
        Reader reader = new Reader(fields);
        String name = text(fields, "goodName");
        if (name.isEmpty()) {
            reader.problems.add(new FieldProblem("goodName", "", "NEEDED", "", ""));
        } else if (name.length() > LONGEST_NAME) {
            reader.problems.add(new FieldProblem("goodName", name, "TOO_LONG", "1", String.valueOf(LONGEST_NAME)));
        }
        return text(fields, "kind").equals("NOODLE") ? reader.noodle(name) : reader.cloth(name);
    }

    private static String text(Map<String, String> fields, String field) {
        return fields.getOrDefault(field, "").strip();
    }

    private static final class Reader {
        private final Map<String, String> fields;
        private final List<FieldProblem> problems = new ArrayList<>();

        Reader(Map<String, String> fields) {
            this.fields = fields;
        }

        RollGoodForm cloth(String name) {
            Optional<Length> length = length("clothLength");
            Optional<Length> width = length("clothWidth");
            Optional<Length> thickness = length("clothThickness");
            return done(() -> cloth(name, length.orElseThrow(), width.orElseThrow(), thickness.orElseThrow()));
        }

        RollGoodForm noodle(String name) {
            Optional<Length> diameter = length("diameter");
            Softness softness = text(fields, "softness").equals("SOFT") ? Softness.SOFT : Softness.FIRM;
            return done(() -> new RollGood.OfNoodle(name, diameter.orElseThrow(), softness));
        }

        /** The longer side is its length, whichever was typed first. */
        private static RollGood cloth(String name, Length one, Length other, Length thickness) {
            boolean asNamed = !other.isMoreThan(one);
            return new RollGood.OfCloth(new Cloth(name, asNamed ? one : other, asNamed ? other : one, thickness));
        }

        private RollGoodForm done(Supplier<RollGood> good) {
            return problems.isEmpty()
                    ? new RollGoodForm(Optional.of(good.get()), List.of())
                    : new RollGoodForm(Optional.empty(), List.copyOf(problems));
        }

        private Optional<Length> length(String field) {
            String typed = text(fields, field);
            if (typed.isEmpty()) {
                problems.add(new FieldProblem(field, "", "NEEDED", "", ""));
                return Optional.empty();
            }
            try {
                return Optional.of(Length.parse(typed, Objects.requireNonNull(RANGES.get(field))));
            } catch (UnreadableMeasureException e) {
                problems.add(new FieldProblem(field, e.typed(), e.key(), e.lowest(), e.highest()));
                return Optional.empty();
            }
        }
    }
}
