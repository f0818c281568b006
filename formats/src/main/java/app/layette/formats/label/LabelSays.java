package app.layette.formats.label;

import app.layette.core.entry.PartialDate;
import app.layette.core.measure.Mass;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * What the print of a label says, looked for in its lines. Nothing is guessed: what two readings of one photograph read
 * differently, a date that can be meant two ways, and limits whose units contradict each other cannot be read.
 */
final class LabelSays {
    private static final String NUMBER = "(\\d{1,3}(?:[.,]\\d{1,2})?)";
    private static final String BETWEEN = "\\s*(?:-|–|to)\\s*";
    private static final Pattern MODEL = Pattern.compile(
            "\\bmodel\\s*(?:no|number|nr)?[.:,]?\\s*([a-z0-9][a-z0-9-]{1,19})\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern SERIAL = Pattern.compile(
            "\\bserial\\s*(?:no|number|nr)?[.:,]?\\s*([a-z0-9][a-z0-9-]{2,24})\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern MADE = Pattern.compile(
            "\\b(?:date of manufacture|manufactured(?: on| in)?|mfd|mfg(?: date)?)[.:]?\\s*([0-9a-z][0-9a-z /.-]{5,14})",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern POUNDS =
            Pattern.compile("(?:" + NUMBER + BETWEEN + "|up to )" + NUMBER + "\\s*[li1]b", Pattern.CASE_INSENSITIVE);
    private static final Pattern KILOGRAMS =
            Pattern.compile("(?:" + NUMBER + BETWEEN + "|\\(|up to )" + NUMBER + "\\s*kg", Pattern.CASE_INSENSITIVE);
    private static final Pattern LENGTH = Pattern.compile(
            "(?:" + NUMBER + BETWEEN + "|up to )" + NUMBER + "\\s*(cm|in)\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern STANDARD = Pattern.compile(
            "\\b((?:C|F)MVSS \\d{3}(?:\\.\\d)?|UN R\\d{2,3}(?:/\\d{2})?)(?![\\d.])", Pattern.CASE_INSENSITIVE);
    private static final Pattern ISO = Pattern.compile("(20\\d{2})-(\\d{2})(?:-(\\d{2}))?");
    private static final Pattern NAMED = Pattern.compile("(?:(\\d{1,2}) )?([a-z]{3})[a-z]* (20\\d{2})");
    private static final Pattern SLASHED = Pattern.compile("(?:(\\d{1,2})[/.])?(\\d{1,2})[/.](20\\d{2})");
    private static final List<String> MONTHS =
            List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");
    private static final int MONTHS_A_YEAR = 12;
    /** Limits are printed rounded in both units. */
    private static final double ROUNDING_GRAMS = 120;

    private LabelSays() {}

    /** What one line says of something, with the words that say it. */
    record Said(LabelValue.Of of, Optional<String> value, List<PrintedWord> words) {}

    /** Everything that a reading of the print says. */
    static Map<LabelValue.Of, Said> of(List<PrintedWord> words) {
        Map<LabelValue.Of, Said> said = new EnumMap<>(LabelValue.Of.class);
        Map<Integer, List<PrintedWord>> lines = new java.util.TreeMap<>();
        words.forEach(word ->
                lines.computeIfAbsent(word.line(), line -> new ArrayList<>()).add(word));
        lines.values().forEach(line -> line(line, said));
        return said;
    }

    /** What a text says that is no line of print: a code's. */
    static Map<LabelValue.Of, String> ofCode(String text) {
        Map<LabelValue.Of, String> said = new EnumMap<>(LabelValue.Of.class);
        List<String> rest = new ArrayList<>();
        for (String part : text.split("[ ;|]+")) {
            Optional<String> day = date(part);
            if (day.isPresent()) {
                said.put(LabelValue.Of.MADE, day.get());
            } else {
                rest.add(part);
            }
        }
        if (rest.size() == 2) {
            said.put(LabelValue.Of.MODEL_NUMBER, rest.get(0));
        }
        if (rest.size() == 1 || rest.size() == 2) {
            said.put(LabelValue.Of.SERIAL, rest.get(rest.size() - 1));
        }
        return said;
    }

    private static void line(List<PrintedWord> line, Map<LabelValue.Of, Said> said) {
        String text = String.join(" ", line.stream().map(PrintedWord::text).toList());
        first(MODEL, text)
                .filter(LabelSays::hasDigit)
                .ifPresent(value -> put(said, LabelValue.Of.MODEL_NUMBER, upper(value), line));
        first(SERIAL, text)
                .filter(LabelSays::hasDigit)
                .ifPresent(value -> put(said, LabelValue.Of.SERIAL, upper(value), line));
        first(MADE, text)
                .ifPresent(
                        value -> said.put(LabelValue.Of.MADE, new Said(LabelValue.Of.MADE, date(value.strip()), line)));
        limits(text, line, said);
        Matcher length = LENGTH.matcher(text);
        if (length.find()) {
            put(
                    said,
                    LabelValue.Of.LENGTH_MAX,
                    point(length.group(2)) + " " + length.group(3).toLowerCase(Locale.ROOT),
                    line);
        }
        List<String> standards = new ArrayList<>();
        Matcher standard = STANDARD.matcher(text);
        while (standard.find()) {
            standards.add(upper(standard.group(1)));
        }
        if (!standards.isEmpty()) {
            put(said, LabelValue.Of.STANDARDS, String.join("\n", standards), line);
        }
    }

    /** Limits in both units have to mean the same: a wrong digit shows there. */
    private static void limits(String text, List<PrintedWord> line, Map<LabelValue.Of, Said> said) {
        Matcher pounds = POUNDS.matcher(text);
        Matcher kilograms = KILOGRAMS.matcher(text);
        boolean hasPounds = pounds.find();
        boolean hasKilograms = kilograms.find();
        if (!hasPounds && !hasKilograms) {
            return;
        }
        for (int part = 1; part <= 2; part++) {
            LabelValue.Of of = part == 1 ? LabelValue.Of.WEIGHT_MIN : LabelValue.Of.WEIGHT_MAX;
            Optional<String> lb =
                    hasPounds ? Optional.ofNullable(pounds.group(part)).map(LabelSays::point) : Optional.empty();
            Optional<String> kg =
                    hasKilograms ? Optional.ofNullable(kilograms.group(part)).map(LabelSays::point) : Optional.empty();
            boolean agree = lb.isEmpty()
                    || kg.isEmpty()
                    || Math.abs(Mass.ofPounds(Double.parseDouble(lb.get())).grams()
                                    - Mass.ofKilograms(Double.parseDouble(kg.get()))
                                            .grams())
                            <= ROUNDING_GRAMS;
            Optional<String> value = lb.map(each -> each + " lb").or(() -> kg.map(each -> each + " kg"));
            if (value.isPresent()) {
                said.put(of, new Said(of, agree ? value : Optional.empty(), line));
            }
        }
    }

    private static void put(Map<LabelValue.Of, Said> said, LabelValue.Of of, String value, List<PrintedWord> line) {
        said.merge(
                of,
                new Said(of, Optional.of(value), line),
                (one, other) -> of == LabelValue.Of.STANDARDS
                        ? one
                        : new Said(of, one.value().equals(other.value()) ? one.value() : Optional.empty(), line));
    }

    private static Optional<String> first(Pattern pattern, String text) {
        Matcher matcher = pattern.matcher(text);
        return matcher.find() ? Optional.of(matcher.group(1)) : Optional.empty();
    }

    private static boolean hasDigit(String text) {
        return text.chars().anyMatch(Character::isDigit);
    }

    private static String upper(String text) {
        return text.toUpperCase(Locale.ROOT);
    }

    private static String point(String number) {
        return number.replace(',', '.');
    }

    /** A day or a month as a document writes it; empty where it is none, or can be meant two ways. */
    private static Optional<String> date(String text) {
        String plain = text.toLowerCase(Locale.ROOT);
        Matcher iso = ISO.matcher(plain);
        if (iso.matches()) {
            return valid(iso.group(1), iso.group(2), iso.group(3));
        }
        Matcher named = NAMED.matcher(plain);
        if (named.matches() && MONTHS.contains(named.group(2))) {
            return valid(named.group(3), String.valueOf(MONTHS.indexOf(named.group(2)) + 1), named.group(1));
        }
        Matcher slashed = SLASHED.matcher(plain);
        if (slashed.matches()) {
            return slashed(slashed);
        }
        return Optional.empty();
    }

    private static Optional<String> slashed(Matcher date) {
        if (date.group(1) == null) {
            return valid(date.group(3), date.group(2), null);
        }
        int first = Integer.parseInt(date.group(1));
        int second = Integer.parseInt(date.group(2));
        if (first == second || second > MONTHS_A_YEAR) {
            return valid(date.group(3), date.group(1), date.group(2));
        }
        return first > MONTHS_A_YEAR ? valid(date.group(3), date.group(2), date.group(1)) : Optional.empty();
    }

    private static Optional<String> valid(String year, String month, @Nullable String day) {
        String text = year + "-" + two(month) + (day == null ? "" : "-" + two(day));
        try {
            return Optional.of(PartialDate.parse(text).toString());
        } catch (IllegalArgumentException | java.time.DateTimeException e) {
            return Optional.empty();
        }
    }

    private static String two(String number) {
        return number.length() == 1 ? "0" + number : number;
    }
}
