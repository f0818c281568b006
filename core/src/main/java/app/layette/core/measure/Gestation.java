package app.layette.core.measure;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Weeks of pregnancy as they are written down: completed weeks, and days from 0 to 6. */
public final class Gestation {
    private static final Pattern WRITTEN = Pattern.compile("(\\d{2})\\s*(?:w|wk|wks|weeks?)?"
            + "(?:(?:\\s*(?:\\+|,|and|&|\\s)\\s*|(?<=[a-z]))(\\d)\\s*(?:/\\s*7)?\\s*(?:d|days?)?)?");
    private static final int DAYS_PER_WEEK = 7;

    private Gestation() {}

    /**
     * Reads {@code 38}, {@code 38+2}, {@code 38 2/7}, {@code 38w2d} as days.
     *
     * @throws IllegalArgumentException when it is not weeks, or has more than six days
     */
    public static int days(String typed) {
        String text = typed.toLowerCase(Locale.ROOT)
                .replaceAll("[\\p{Z}\\s]+", " ")
                .strip()
                .replaceFirst("[.]+$", "");
        Matcher matcher = WRITTEN.matcher(text);
        // 389 is neither 38+9 nor 389 weeks: between weeks and days something must stand.
        if (!matcher.matches() || text.matches("\\d{3}.*")) {
            throw new IllegalArgumentException(typed);
        }
        int days = matcher.group(2) == null ? 0 : Integer.parseInt(matcher.group(2));
        if (days >= DAYS_PER_WEEK) {
            throw new IllegalArgumentException(typed);
        }
        return Integer.parseInt(matcher.group(1)) * DAYS_PER_WEEK + days;
    }

    /** Weeks and days as they are written: {@code 38+2}. */
    public static String written(int days) {
        return days / DAYS_PER_WEEK + "+" + days % DAYS_PER_WEEK;
    }
}
