package app.layette.core.measure;

import app.layette.core.measure.UnreadableDateException.Reason;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Reads dates as they are typed and as labels print them: {@code 3 Dec}, {@code today}, {@code 03/2024}, {@code MAR
 * 2024}, {@code 20240317}. Where day and month could be either, it asks which; a year of two digits is not guessed.
 */
public final class DateReader {
    private static final Pattern COMPACT_DAY = Pattern.compile("(\\d{4})(\\d{2})(\\d{2})");
    private static final Pattern SEPARATORS = Pattern.compile("[\\s./,\\-]+");
    private static final Pattern LETTERS_AND_DIGITS = Pattern.compile("(?<=\\d)(?=\\p{L})|(?<=\\p{L})(?=\\d)");
    private static final Pattern ORDINAL = Pattern.compile("(\\d{1,2})(?:st|nd|rd|th)\\b");
    /** Between the parts of a day written out in Spanish. */
    private static final Pattern LINKING = Pattern.compile("\\bde[l]?\\b");

    private static final Set<String> TODAY = Set.of("today", "hoy");
    private static final Set<String> YESTERDAY = Set.of("yesterday", "ayer");
    /** What labels print and families write beside English. */
    private static final List<Locale> OTHER_LANGUAGES =
            Stream.of("es", "fr", "de").map(Locale::forLanguageTag).toList();

    private static final int LONGEST = 30;
    private static final int MONTHS = 12;
    private static final int LEAST_LETTERS = 3;

    private DateReader() {}

    /**
     * A printed or typed date of a label.
     *
     * @param month the month
     * @param day the day, when there is one
     */
    public record MonthOrDay(YearMonth month, Optional<LocalDate> day) {}

    /**
     * Reads a day that was: without a year it is the last one before tomorrow.
     *
     * @param today the day on which it is typed
     * @throws UnreadableDateException when it is no day, or could be two
     */
    public static LocalDate day(String typed, LocalDate today) {
        String text = clean(typed);
        if (TODAY.contains(text)) {
            return today;
        }
        if (YESTERDAY.contains(text)) {
            return today.minusDays(1);
        }
        MonthOrDay read = read(text, typed, Optional.of(today));
        return read.day().orElseThrow(() -> new UnreadableDateException(Reason.NOT_A_DATE, typed));
    }

    /**
     * Reads what a label prints: a month, or a day.
     *
     * @throws UnreadableDateException when it is neither, or could be two
     */
    public static MonthOrDay monthOrDay(String typed) {
        return read(clean(typed), typed, Optional.empty());
    }

    private static MonthOrDay read(String text, String typed, Optional<LocalDate> today) {
        if (text.isEmpty() || text.length() > LONGEST) {
            throw new UnreadableDateException(Reason.NOT_A_DATE, typed);
        }
        try {
            Matcher compact = COMPACT_DAY.matcher(text);
            if (compact.matches()) {
                return day(number(compact.group(1)), number(compact.group(2)), number(compact.group(3)));
            }
            List<String> parts = Arrays.stream(SEPARATORS.split(
                            LINKING.matcher(text).replaceAll(" ").strip()))
                    .flatMap(LETTERS_AND_DIGITS::splitAsStream)
                    .toList();
            return parts.stream().anyMatch(DateReader::isName) ? named(parts, typed, today) : numbers(parts, typed);
        } catch (DateTimeException | NumberFormatException e) {
            throw new UnreadableDateException(Reason.NOT_A_DATE, typed);
        }
    }

    /** With the month by name: its day may stand on either side, its year is the part of four digits. */
    private static MonthOrDay named(List<String> parts, String typed, Optional<LocalDate> today) {
        int month = 0;
        Optional<Integer> day = Optional.empty();
        Optional<Integer> year = Optional.empty();
        for (String part : parts) {
            if (isName(part)) {
                month = month == 0 ? monthOf(part) : -1;
            } else if (part.length() == 4 && year.isEmpty()) {
                year = Optional.of(number(part));
            } else if (part.length() <= 2 && day.isEmpty()) {
                day = Optional.of(number(part));
            } else {
                throw new UnreadableDateException(part.length() <= 2 ? Reason.YEAR_NEEDED : Reason.NOT_A_DATE, typed);
            }
        }
        if (month < 1) {
            throw new UnreadableDateException(Reason.NOT_A_DATE, typed);
        }
        if (year.isPresent()) {
            return day.isPresent() ? day(year.get(), month, day.get()) : month(year.get(), month);
        }
        if (day.isEmpty() || today.isEmpty()) {
            throw new UnreadableDateException(Reason.YEAR_NEEDED, typed);
        }
        return lastBefore(today.get(), month, day.get(), typed);
    }

    /** The last such day that is not after today; the 29th of February looks back to a leap year. */
    private static MonthOrDay lastBefore(LocalDate today, int month, int day, String typed) {
        for (int year = today.getYear(); year > today.getYear() - 5; year--) {
            YearMonth of = YearMonth.of(year, month);
            if (of.isValidDay(day) && !of.atDay(day).isAfter(today)) {
                return day(year, month, day);
            }
        }
        throw new UnreadableDateException(Reason.NOT_A_DATE, typed);
    }

    private static MonthOrDay numbers(List<String> parts, String typed) {
        List<Integer> numbers = parts.stream().map(DateReader::number).toList();
        boolean yearFirst = parts.get(0).length() == 4;
        boolean yearLast = parts.get(parts.size() - 1).length() == 4;
        if (parts.size() == 2 && yearFirst != yearLast) {
            return yearFirst ? month(numbers.get(0), numbers.get(1)) : month(numbers.get(1), numbers.get(0));
        }
        if (parts.size() == 3 && yearFirst && !yearLast) {
            return day(numbers.get(0), numbers.get(1), numbers.get(2));
        }
        if (parts.size() == 3 && yearLast && !yearFirst) {
            return whichever(numbers.get(2), numbers.get(0), numbers.get(1), typed);
        }
        boolean shortYear = parts.stream().allMatch(part -> part.length() <= 2) && parts.size() <= 3;
        boolean couldBe = shortYear && parts.size() > 1;
        throw new UnreadableDateException(couldBe ? Reason.YEAR_NEEDED : Reason.NOT_A_DATE, typed);
    }

    /** Day and month in either order, as people and labels write them; refused where both orders are a date. */
    private static MonthOrDay whichever(int year, int first, int second, String typed) {
        boolean dayFirst =
                second <= MONTHS && YearMonth.of(year, Math.max(1, second)).isValidDay(first);
        boolean monthFirst =
                first <= MONTHS && YearMonth.of(year, Math.max(1, first)).isValidDay(second);
        if (dayFirst && monthFirst && first != second) {
            throw UnreadableDateException.either(
                    typed, LocalDate.of(year, second, first), LocalDate.of(year, first, second));
        }
        return dayFirst ? day(year, second, first) : day(year, first, second);
    }

    private static MonthOrDay day(int year, int month, int day) {
        LocalDate date = LocalDate.of(year, month, day);
        return new MonthOrDay(YearMonth.from(date), Optional.of(date));
    }

    private static MonthOrDay month(int year, int month) {
        return new MonthOrDay(YearMonth.of(year, month), Optional.empty());
    }

    private static boolean isName(String part) {
        return part.chars().allMatch(Character::isLetter);
    }

    /** English first; in another language only what names one month in all of them. */
    private static int monthOf(String name) {
        int english = name.equals("sept") ? 9 : monthOf(name, Locale.ENGLISH);
        if (english > 0) {
            return english;
        }
        List<Integer> others = OTHER_LANGUAGES.stream()
                .map(language -> monthOf(name, language))
                .filter(month -> month > 0)
                .distinct()
                .toList();
        return others.size() == 1 ? others.get(0) : -1;
    }

    private static int monthOf(String name, Locale language) {
        if (name.length() < LEAST_LETTERS) {
            return -1;
        }
        for (int month = 1; month <= MONTHS; month++) {
            String full = java.time.Month.of(month)
                    .getDisplayName(TextStyle.FULL, language)
                    .toLowerCase(Locale.ROOT);
            if (full.startsWith(name)) {
                return month;
            }
        }
        return -1;
    }

    private static int number(String digits) {
        return Integer.parseInt(digits);
    }

    private static String clean(@Nullable String typed) {
        String text = (typed == null ? "" : typed)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[\\p{Z}\\s]+", " ")
                .replaceAll("[\u2010-\u2015\u2212]", "-")
                .strip()
                .replaceFirst("[ .,]+$", "");
        return ORDINAL.matcher(text)
                .replaceAll("$1")
                .replaceAll("\\bof\\b", " ")
                .strip();
    }
}
