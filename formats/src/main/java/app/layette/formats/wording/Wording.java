package app.layette.formats.wording;

import app.layette.core.entry.FieldProblem;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.measure.UnitSystem;
import app.layette.core.practice.PracticeProfile;
import com.ibm.icu.text.DecimalFormatSymbols;
import com.ibm.icu.text.MessageFormat;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.MissingResourceException;
import java.util.ResourceBundle;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Says things in one language and one system of units. A key without a text is said as the key itself between question
 * marks, which the tests look for.
 */
public final class Wording {
    private static final String BUNDLE = "app.layette.formats.wording.messages";

    private static final Pattern DECIMAL = Pattern.compile("(?<=\\d)\\.(?=\\d)");

    /** Where nobody has chosen. */
    public static final UnitSystem DEFAULT_UNITS = UnitSystem.CUSTOMARY;

    private final Locale locale;
    private final UnitSystem units;
    private final ResourceBundle bundle;
    private final DateTimeFormatter dates;
    private final String point;
    private final Map<String, MessageFormat> formats = new ConcurrentHashMap<>();

    public Wording(Locale locale, UnitSystem units) {
        this.locale = locale;
        this.units = units;
        this.bundle = ResourceBundle.getBundle(
                BUNDLE,
                locale,
                // English is the root: the language of the machine must not slip in between.
                ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_DEFAULT));
        this.dates = pattern("date.day");
        this.point = String.valueOf(DecimalFormatSymbols.getInstance(locale).getDecimalSeparator());
    }

    private DateTimeFormatter pattern(String key) {
        return DateTimeFormatter.ofPattern(bundle.getString(key), locale);
    }

    public Locale locale() {
        return locale;
    }

    /** The tag of its language. */
    public String language() {
        return locale.getLanguage();
    }

    /** Every sentence whose key begins so, by the rest of its key. */
    public Map<String, String> under(String prefix) {
        Map<String, String> sentences = new TreeMap<>();
        bundle.keySet().stream()
                .filter(key -> key.startsWith(prefix))
                .forEach(key -> sentences.put(key.substring(prefix.length()), bundle.getString(key)));
        return sentences;
    }

    public UnitSystem units() {
        return units;
    }

    public boolean knows(String key) {
        return bundle.containsKey(key);
    }

    public String say(String key) {
        return say(key, Map.of());
    }

    public String say(String key, Map<String, Argument> arguments) {
        // Most sentences have no argument: they need no formatter.
        if (knows(key) && bundle.getString(key).indexOf('{') < 0) {
            return bundle.getString(key);
        }
        MessageFormat format = formats.computeIfAbsent(key, this::format);
        Map<String, Object> values = new LinkedHashMap<>();
        arguments.forEach((name, argument) -> values.put(
                name, argument instanceof Argument.OfNumber number ? (Object) number.number() : say(argument)));
        synchronized (format) {
            return format.format(values);
        }
    }

    /**
     * Says a sentence whose arguments are numbered from 0.
     *
     * @param arguments numbers, or text that is ready to be shown
     */
    public String sayNumbered(String key, Object... arguments) {
        String said = arguments.length == 0 && knows(key) ? bundle.getString(key) : "{";
        if (said.indexOf('{') < 0 && said.indexOf('\'') < 0) {
            return said;
        }
        MessageFormat format = formats.computeIfAbsent(key, this::format);
        synchronized (format) {
            return format.format(arguments);
        }
    }

    public String say(Finding finding) {
        return say(finding.message(), finding.arguments());
    }

    /** What is wrong with a field: its name, what was typed, and what is allowed. */
    public String say(FieldProblem problem) {
        return say(
                "problem." + problem.reason(),
                Map.of(
                        "field", Argument.of(say("field." + problem.field())),
                        "value", Argument.of(problem.value()),
                        "lowest", Argument.of(figure(problem.lowest())),
                        "highest", Argument.of(figure(problem.highest()))));
    }

    /** A value in the reader's units; a mass or length that was typed in the other system is shown as typed first. */
    public String say(Argument argument) {
        if (argument instanceof Argument.OfMass mass) {
            return figure(mass.mass().in(units));
        }
        if (argument instanceof Argument.OfLength length) {
            return figure(length.length().in(units));
        }
        if (argument instanceof Argument.OfAngle angle) {
            return figure(angle.angle().toString());
        }
        if (argument instanceof Argument.OfDate date) {
            return say(date.date());
        }
        if (argument instanceof Argument.OfKey key) {
            return say(key.key());
        }
        if (argument instanceof Argument.OfNumber number) {
            double value = number.number();
            return figure(value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value));
        }
        return ((Argument.OfText) argument).text();
    }

    /** What a practice profile is called: one that ships in each language, a point's own as it was named. */
    public String named(PracticeProfile profile) {
        String key = "profile." + profile.id();
        return knows(key) ? say(key) : profile.name();
    }

    /** Words as they begin a line. */
    public static String capital(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }

    public String say(LocalDate date) {
        return dates.format(date);
    }

    /** A moment with its day and year. */
    public String moment(ZonedDateTime at) {
        return pattern("date.moment").format(at);
    }

    /** A moment not long ago: its day without the year. */
    public String recent(ZonedDateTime at) {
        return pattern("date.recent").format(at);
    }

    /** The time of day. */
    public String clock(ZonedDateTime at) {
        return pattern("date.clock").format(at);
    }

    /** A day of the months around it. */
    public String dayOfYear(LocalDate day) {
        return pattern("date.dayOfYear").format(day);
    }

    /** A month far off. */
    public String month(LocalDate day) {
        return pattern("date.month").format(day);
    }

    /** A month in full. */
    public String wholeMonth(YearMonth month) {
        return pattern("date.wholeMonth").format(month);
    }

    /** A figure with the decimal sign of the language. */
    public String figure(String text) {
        return point.equals(".") ? text : DECIMAL.matcher(text).replaceAll(Matcher.quoteReplacement(point));
    }

    /** In the reader's units, with the other system behind it. */
    public String both(Mass mass) {
        return figure(mass.in(units) + " (" + mass.in(units.other()) + ")");
    }

    /** In the reader's units, with the other system behind it. */
    public String both(Length length) {
        return figure(length.in(units) + " (" + length.in(units.other()) + ")");
    }

    private MessageFormat format(String key) {
        try {
            return new MessageFormat(bundle.getString(key), locale);
        } catch (MissingResourceException e) {
            return new MessageFormat("?" + key.replace("{", "").replace("'", "") + "?", locale);
        }
    }
}
