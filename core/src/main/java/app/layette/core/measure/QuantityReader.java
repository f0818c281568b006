package app.layette.core.measure;

import app.layette.core.measure.QuantityText.Part;
import app.layette.core.measure.UnreadableMeasureException.Kind;
import app.layette.core.measure.UnreadableMeasureException.Reason;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.DoubleFunction;
import java.util.function.Predicate;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * Reads what people type beside a car: {@code 6 lb 4 oz}, {@code 6-4}, {@code 2.9 kgs}, {@code 19 1/2 in}. What can be
 * read in two ways is refused and never guessed: a comma before three digits is thousands to some and decimals to
 * others, and a bare number is taken only if one unit alone makes it plausible.
 */
final class QuantityReader {
    /** A unit that is written before another: how many of the second make one of the first. */
    private record Leader(String part, double parts, int digitsOfBarePart) {}

    private static final int ANY = 0;

    private static final Map<String, Leader> LEADERS = Map.of(
            "lb", new Leader("oz", 16, ANY),
            "kg", new Leader("g", 1000, 3),
            "ft", new Leader("in", 12, ANY),
            "m", new Leader("cm", 100, 2));

    private static final Map<String, String> NAMES = names(
            "kg kgs kilo kilos kilogram kilograms kilogramme kilogrammes",
            "g gs gm gms gr gram grams gramme grammes",
            "lb lbs pound pounds",
            "oz ozs ounce ounces",
            "mm mms millimetre millimetres millimeter millimeters",
            "cm cms centimetre centimetres centimeter centimeters",
            "m metre metres meter meters",
            "in ins inch inches",
            "ft foot feet");

    private static final Map<String, DoubleFunction<Mass>> MASS_UNITS = Map.of(
            "kg", Mass::ofKilograms,
            "g", Mass::ofGrams,
            "lb", Mass::ofPounds,
            "oz", ounces -> Mass.ofPoundsAndOunces(0, ounces));

    private static final Map<String, DoubleFunction<Length>> LENGTH_UNITS = Map.of(
            "mm", Length::ofMillimetres,
            "cm", Length::ofCentimetres,
            "m", metres -> Length.ofMillimetres(metres * 1000),
            "in", Length::ofInches,
            "ft", feet -> Length.ofInches(feet * 12));

    private static final List<String> BARE_MASS_UNITS = List.of("kg", "lb", "g");
    private static final List<String> BARE_LENGTH_UNITS = List.of("cm", "in", "mm");
    private static final List<String> DEGREES = List.of("", "deg", "degs", "degree", "degrees", "°");

    private QuantityReader() {}

    private static Map<String, String> names(String... lines) {
        Map<String, String> names = new HashMap<>();
        for (String line : lines) {
            String[] words = line.split(" ");
            for (String word : words) {
                names.put(word, words[0]);
            }
        }
        return Map.copyOf(names);
    }

    static Mass mass(@Nullable String text, MassRange allowed) {
        Bounds bounds = new Bounds(Kind.MASS, text, () -> both(allowed.min()), () -> both(allowed.max()));
        // Pounds and ounces are so common that 6-4 is nothing else.
        return read(text, "lb", MASS_UNITS, BARE_MASS_UNITS, allowed::contains, bounds, Mass::typedAs);
    }

    static Length length(@Nullable String text, LengthRange allowed) {
        Bounds bounds = new Bounds(Kind.LENGTH, text, () -> both(allowed.min()), () -> both(allowed.max()));
        return read(text, "", LENGTH_UNITS, BARE_LENGTH_UNITS, allowed::contains, bounds, Length::typedAs);
    }

    static Angle angle(@Nullable String text, double minDegrees, double maxDegrees) {
        Bounds bounds = new Bounds(
                Kind.ANGLE,
                text,
                () -> Angle.ofDegrees(minDegrees).toString(),
                () -> Angle.ofDegrees(maxDegrees).toString());
        QuantityText typed = apart(text == null ? null : text.replace("°", " deg "), bounds);
        Part only = typed.parts().get(0);
        if (typed.parts().size() > 1 || !DEGREES.contains(only.unit())) {
            throw bounds.refuse(Reason.UNREADABLE);
        }
        double degrees = typed.negative() ? -only.number() : only.number();
        if (degrees < minDegrees || degrees > maxDegrees) {
            throw bounds.refuse(Reason.OUT_OF_RANGE);
        }
        return Angle.ofDegrees(degrees);
    }

    private static <Q> Q read(
            @Nullable String text,
            String dashMeans,
            Map<String, DoubleFunction<Q>> units,
            List<String> bareUnits,
            Predicate<Q> allowed,
            Bounds bounds,
            TypedAs<Q> typedAs) {
        QuantityText typed = apart(text, bounds);
        Part first = typed.parts().get(0);
        boolean dashed = typed.parts().size() > 1
                && first.unit().isEmpty()
                && typed.parts().get(1).unit().isEmpty();
        if (dashed) {
            first = first.in(dashMeans);
        }
        boolean bare = first.unit().isEmpty() && typed.parts().size() == 1;
        double sign = typed.negative() ? -1 : 1;
        String unit = bare
                ? onlyPlausible(sign * first.number(), units, bareUnits, allowed, bounds)
                : known(first.unit(), units, bounds);
        double number = typed.parts().size() == 1
                ? first.number()
                : withPart(first.in(unit), typed.parts().get(1), bounds);
        Q read = inUnit(units, unit, sign * number);
        if (!allowed.test(read)) {
            throw bounds.refuse(Reason.OUT_OF_RANGE);
        }
        // What is kept always carries its unit, so that it reads the same anywhere.
        String said = text == null ? "" : text.strip();
        return typedAs.apply(read, bare ? said.replaceFirst("[.,]+$", "") + " " + unit : said);
    }

    private static <Q> Q inUnit(Map<String, DoubleFunction<Q>> units, String unit, double number) {
        return Objects.requireNonNull(units.get(unit), unit).apply(number);
    }

    private interface TypedAs<Q> {
        Q apply(Q read, String text);
    }

    private static String known(String unit, Map<String, ?> units, Bounds bounds) {
        String name = NAMES.getOrDefault(unit, "");
        if (!units.containsKey(name)) {
            throw bounds.refuse(Reason.UNREADABLE);
        }
        return name;
    }

    /** Pounds with ounces, kilograms with grams, feet with inches: the first whole, the second less than one of it. */
    private static double withPart(Part first, Part second, Bounds bounds) {
        Leader leader = LEADERS.get(first.unit());
        boolean bare = second.unit().isEmpty();
        if (leader == null || !bare && !leader.part().equals(NAMES.get(second.unit()))) {
            throw bounds.refuse(Reason.UNREADABLE);
        }
        boolean isShort =
                bare && leader.digitsOfBarePart() != ANY && second.digits().length() != leader.digitsOfBarePart();
        if (isShort) {
            throw bounds.refuse(Reason.UNREADABLE);
        }
        if (!first.isWhole()) {
            throw bounds.refuse(Reason.FRACTION_AND_PART);
        }
        if (second.number() >= leader.parts()) {
            throw bounds.refuse(Reason.PART_TOO_LARGE);
        }
        return first.number() + second.number() / leader.parts();
    }

    /** The one unit that makes a bare number plausible. */
    private static <Q> String onlyPlausible(
            double number,
            Map<String, DoubleFunction<Q>> units,
            List<String> bareUnits,
            Predicate<Q> plausible,
            Bounds bounds) {
        List<String> candidates = bareUnits.stream()
                .filter(unit -> plausible.test(inUnit(units, unit, number)))
                .toList();
        if (candidates.isEmpty()) {
            throw bounds.refuse(Reason.OUT_OF_RANGE);
        }
        boolean ambiguous = candidates.size() > 1 && number != 0;
        if (ambiguous) {
            throw bounds.refuse(Reason.UNIT_NEEDED);
        }
        return candidates.get(0);
    }

    private static QuantityText apart(@Nullable String text, Bounds bounds) {
        try {
            return QuantityText.of(text);
        } catch (QuantityText.UnreadableException e) {
            throw bounds.refuse(e.reason());
        }
    }

    private static String both(Mass mass) {
        return mass.in(UnitSystem.METRIC) + " (" + mass.in(UnitSystem.CUSTOMARY) + ")";
    }

    private static String both(Length length) {
        return length.in(UnitSystem.METRIC) + " (" + length.in(UnitSystem.CUSTOMARY) + ")";
    }

    /** What a refusal says; the range is put into words only where one is refused. */
    private record Bounds(Kind kind, @Nullable String typed, Supplier<String> lowest, Supplier<String> highest) {
        UnreadableMeasureException refuse(Reason reason) {
            return new UnreadableMeasureException(
                    kind, reason, typed == null ? "" : typed, lowest.get(), highest.get());
        }
    }
}
