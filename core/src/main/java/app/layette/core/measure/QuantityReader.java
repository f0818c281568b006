package app.layette.core.measure;

import app.layette.core.measure.UnreadableMeasureException.Reason;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.DoubleFunction;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads what people type beside a car: {@code 6 lb 4 oz}, {@code 2.9 kg}, {@code 19 1/2 in}, {@code 49,5}. A comma
 * followed by three digits is refused because it means thousands to some and decimals to others; a bare number is taken
 * only if one unit alone makes it plausible.
 */
final class QuantityReader {
    private static final String NUMBER = "(-?\\d+(?:[.,]\\d+)?)";
    private static final Pattern AMBIGUOUS_COMMA = Pattern.compile("\\d,\\d{3}(?!\\d)");
    private static final Pattern NUMBER_WITH_FRACTION =
            Pattern.compile("(?:(-?\\d+)\\s+)?(\\d+)\\s*/\\s*(\\d+)\\s*(.*)");
    private static final Pattern NUMBER_WITH_UNIT = Pattern.compile(NUMBER + "\\s*(.*)");
    private static final Pattern POUNDS_AND_OUNCES =
            Pattern.compile(NUMBER + "\\s*(?:lb|lbs|pounds?)\\s*" + NUMBER + "\\s*(?:oz|ounces?)");

    private static final Map<String, DoubleFunction<Mass>> MASS_UNITS = Map.ofEntries(
            Map.entry("kg", Mass::ofKilograms),
            Map.entry("g", Mass::ofGrams),
            Map.entry("lb", Mass::ofPounds),
            Map.entry("lbs", Mass::ofPounds),
            Map.entry("pound", Mass::ofPounds),
            Map.entry("pounds", Mass::ofPounds),
            Map.entry("oz", ounces -> Mass.ofPoundsAndOunces(0, ounces)));

    private static final Map<String, DoubleFunction<Length>> LENGTH_UNITS = Map.ofEntries(
            Map.entry("mm", Length::ofMillimetres),
            Map.entry("cm", Length::ofCentimetres),
            Map.entry("m", metres -> Length.ofMillimetres(metres * 1000)),
            Map.entry("in", Length::ofInches),
            Map.entry("inch", Length::ofInches),
            Map.entry("inches", Length::ofInches),
            Map.entry("\"", Length::ofInches));

    private static final List<String> BARE_MASS_UNITS = List.of("kg", "lb", "g");
    private static final List<String> BARE_LENGTH_UNITS = List.of("cm", "in", "mm");

    private QuantityReader() {}

    static Mass mass(String text, MassRange allowed) {
        Bounds bounds = new Bounds(text, both(allowed.min()), both(allowed.max()));
        String clean = clean(text, bounds);
        Matcher poundsAndOunces = POUNDS_AND_OUNCES.matcher(clean);
        if (poundsAndOunces.matches()) {
            Mass read = Mass.ofPoundsAndOunces(number(poundsAndOunces.group(1)), number(poundsAndOunces.group(2)));
            return within(read, allowed::contains, bounds).typedAs(text.strip());
        }
        NumberAndUnit typed = withUnit(split(clean, bounds), MASS_UNITS, BARE_MASS_UNITS, allowed::contains, bounds);
        Mass read = MASS_UNITS.get(typed.unit()).apply(typed.number());
        return within(read, allowed::contains, bounds).typedAs(typed.kept(text));
    }

    static Length length(String text, LengthRange allowed) {
        Bounds bounds = new Bounds(text, both(allowed.min()), both(allowed.max()));
        NumberAndUnit typed = withUnit(
                split(clean(text, bounds), bounds), LENGTH_UNITS, BARE_LENGTH_UNITS, allowed::contains, bounds);
        Length read = LENGTH_UNITS.get(typed.unit()).apply(typed.number());
        return within(read, allowed::contains, bounds).typedAs(typed.kept(text));
    }

    static Angle angle(String text, double minDegrees, double maxDegrees) {
        Bounds bounds = new Bounds(
                text,
                Angle.ofDegrees(minDegrees).toString(),
                Angle.ofDegrees(maxDegrees).toString());
        String clean = clean(text, bounds)
                .replace("degrees", "")
                .replace("deg", "")
                .replace("°", "")
                .strip();
        if (!clean.matches(NUMBER)) {
            throw bounds.refuse(Reason.UNREADABLE);
        }
        double degrees = number(clean);
        return within(Angle.ofDegrees(degrees), a -> degrees >= minDegrees && degrees <= maxDegrees, bounds);
    }

    /** The number with a unit that is known: the one typed, or the only one that makes a bare number plausible. */
    private static <Q> NumberAndUnit withUnit(
            NumberAndUnit typed,
            Map<String, DoubleFunction<Q>> units,
            List<String> bareUnits,
            Predicate<Q> plausible,
            Bounds bounds) {
        if (!typed.unit().isEmpty()) {
            if (!units.containsKey(typed.unit())) {
                throw bounds.refuse(Reason.UNREADABLE);
            }
            return typed;
        }
        List<String> candidates = bareUnits.stream()
                .filter(unit -> plausible.test(units.get(unit).apply(typed.number())))
                .toList();
        if (candidates.isEmpty()) {
            throw bounds.refuse(Reason.OUT_OF_RANGE);
        }
        boolean ambiguous = candidates.size() > 1 && typed.number() != 0;
        if (ambiguous) {
            throw bounds.refuse(Reason.UNIT_NEEDED);
        }
        return new NumberAndUnit(typed.number(), candidates.get(0), true);
    }

    private static NumberAndUnit split(String clean, Bounds bounds) {
        Matcher fraction = NUMBER_WITH_FRACTION.matcher(clean);
        if (fraction.matches()) {
            double denominator = Double.parseDouble(fraction.group(3));
            if (denominator == 0) {
                throw bounds.refuse(Reason.UNREADABLE);
            }
            double whole = fraction.group(1) == null ? 0 : Double.parseDouble(fraction.group(1));
            return new NumberAndUnit(whole + Double.parseDouble(fraction.group(2)) / denominator, fraction.group(4));
        }
        Matcher plain = NUMBER_WITH_UNIT.matcher(clean);
        if (!plain.matches()) {
            throw bounds.refuse(Reason.UNREADABLE);
        }
        return new NumberAndUnit(number(plain.group(1)), plain.group(2).strip());
    }

    private static String clean(String text, Bounds bounds) {
        String clean = (text == null ? "" : text)
                .strip()
                .toLowerCase(Locale.ROOT)
                .replace("½", " 1/2")
                .replace("¼", " 1/4")
                .replace("¾", " 3/4")
                .replace('\u2212', '-')
                .replaceAll("\\s+", " ")
                .strip();
        if (clean.length() > 40) {
            throw bounds.refuse(Reason.UNREADABLE);
        }
        if (AMBIGUOUS_COMMA.matcher(clean).find()) {
            throw bounds.refuse(Reason.AMBIGUOUS_COMMA);
        }
        return clean;
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }

    private static <Q> Q within(Q value, Predicate<Q> allowed, Bounds bounds) {
        if (!allowed.test(value)) {
            throw bounds.refuse(Reason.OUT_OF_RANGE);
        }
        return value;
    }

    private static String both(Mass mass) {
        return mass.in(UnitSystem.METRIC) + " (" + mass.in(UnitSystem.CUSTOMARY) + ")";
    }

    private static String both(Length length) {
        return length.in(UnitSystem.METRIC) + " (" + length.in(UnitSystem.CUSTOMARY) + ")";
    }

    /** A number with its unit; {@code inferred} when the unit was not typed. */
    private record NumberAndUnit(double number, String unit, boolean inferred) {
        NumberAndUnit(double number, String unit) {
            this(number, unit, false);
        }

        /** What is kept as typed: always with a unit, so that it reads the same anywhere. */
        String kept(String text) {
            return inferred ? text.strip() + " " + unit : text.strip();
        }
    }

    private record Bounds(String typed, String lowest, String highest) {
        UnreadableMeasureException refuse(Reason reason) {
            return new UnreadableMeasureException(reason, typed == null ? "" : typed, lowest, highest);
        }
    }
}
