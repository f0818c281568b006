package app.layette.core.measure;

import app.layette.core.measure.UnreadableMeasureException.Reason;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * What was typed, taken apart into numbers and units: {@code 6 lbs, 4 oz} is two parts. Knows how people write, not
 * what the numbers mean.
 *
 * @param negative whether a minus stands before everything; between two parts a dash only parts them
 * @param parts one or two
 */
record QuantityText(boolean negative, List<Part> parts) {
    private static final int LONGEST = 40;
    private static final int MOST_PARTS = 2;

    /** A whole with a fraction, a fraction, thousands in groups, a decimal; the longest way of reading comes first. */
    private static final Pattern NUMBER = Pattern.compile("(?:(\\d{1,9})(?: |-| and ))?(\\d{1,5}) ?/ ?(\\d{1,5})(?!\\d)"
            + "|(\\d{1,3}(?: \\d{3})+)(?![\\d.,/])"
            + "|(\\d{1,9}(?:[.,]\\d{1,9})?|\\.\\d{1,9})(?!\\d)");

    private static final Pattern UNIT = Pattern.compile("[a-z]+|[#\"']");
    private static final Pattern BETWEEN = Pattern.compile(" ?\\.? ?(?:,|and|&|\\+|-)? ?");
    private static final Pattern AMBIGUOUS_COMMA = Pattern.compile("\\d,\\d{3}(?!\\d)");

    private static final Map<String, String> SIGNS = Map.of("#", "lb", "\"", "in", "'", "ft");

    /**
     * A number with its unit.
     *
     * @param digits the number as it stands there
     * @param unit as typed, in small letters; empty when none stands there
     */
    record Part(double number, String digits, String unit) {
        boolean isWhole() {
            return number == Math.rint(number) && digits.chars().allMatch(Character::isDigit);
        }

        Part in(String otherUnit) {
            return new Part(number, digits, otherUnit);
        }
    }

    /** Why it cannot be taken apart. */
    static final class UnreadableException extends Exception {
        private static final long serialVersionUID = 1L;

        private final Reason reason;

        UnreadableException(Reason reason) {
            super(reason.name(), null, false, false);
            this.reason = reason;
        }

        Reason reason() {
            return reason;
        }
    }

    static QuantityText of(@Nullable String typed) throws UnreadableException {
        String text = clean(typed);
        if (text.length() > LONGEST) {
            throw new UnreadableException(Reason.UNREADABLE);
        }
        if (AMBIGUOUS_COMMA.matcher(text).find()) {
            throw new UnreadableException(Reason.AMBIGUOUS_COMMA);
        }
        boolean negative = text.startsWith("-");
        return new QuantityText(negative, parts(negative ? text.substring(1).strip() : text));
    }

    private static List<Part> parts(String text) throws UnreadableException {
        List<Part> parts = new ArrayList<>();
        int at = 0;
        while (at < text.length()) {
            Matcher number = NUMBER.matcher(text).region(at, text.length());
            if (!number.lookingAt() || parts.size() == MOST_PARTS) {
                throw new UnreadableException(Reason.UNREADABLE);
            }
            at = skipSpace(text, number.end());
            Matcher unit = UNIT.matcher(text).region(at, text.length());
            boolean hasUnit = unit.lookingAt() && !unit.group().equals("and");
            at = hasUnit ? unit.end() : at;
            parts.add(new Part(
                    value(number), number.group(), hasUnit ? SIGNS.getOrDefault(unit.group(), unit.group()) : ""));
            Matcher between = BETWEEN.matcher(text).region(at, text.length());
            int next = between.lookingAt() ? between.end() : at;
            boolean parted = hasUnit || text.substring(at, next).contains("-");
            if (at < text.length() && (!parted || next == text.length())) {
                throw new UnreadableException(Reason.UNREADABLE);
            }
            at = next;
        }
        if (parts.isEmpty()) {
            throw new UnreadableException(Reason.UNREADABLE);
        }
        return List.copyOf(parts);
    }

    private static double value(Matcher number) throws UnreadableException {
        if (number.group(3) != null) {
            double below = Double.parseDouble(number.group(3));
            double above = Double.parseDouble(number.group(2));
            if (above >= below) {
                // 19 3/2, or a nought below: a slip of the finger, not a number.
                throw new UnreadableException(Reason.UNREADABLE);
            }
            double whole = number.group(1) == null ? 0 : Double.parseDouble(number.group(1));
            return whole + above / below;
        }
        String digits = number.group(4) == null ? number.group(5) : number.group(4);
        return Double.parseDouble(digits.replace(" ", "").replace(',', '.'));
    }

    private static int skipSpace(String text, int at) {
        return at < text.length() && text.charAt(at) == ' ' ? at + 1 : at;
    }

    /** Small letters, plain signs, single spaces, no stop or comma left at the end. */
    private static String clean(@Nullable String typed) {
        String text = typed == null ? "" : typed;
        StringBuilder plain = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            char each = text.charAt(i);
            boolean fraction = Character.getType(each) == Character.OTHER_NUMBER;
            plain.append(fraction ? " " + Normalizer.normalize(String.valueOf(each), Normalizer.Form.NFKC) : each);
        }
        return plain.toString()
                .replace('\u2044', '/')
                .toLowerCase(Locale.ROOT)
                .replaceAll("[\\p{Z}\\s]+", " ")
                .replaceAll("[\u2010-\u2015\u2212]", "-")
                .replaceAll("''|\u2032\u2032|[\u201c-\u201f\u2033]", "\"")
                .replaceAll("[\u2018-\u201b\u2032]", "'")
                .strip()
                .replaceFirst("[ .,]+$", "");
    }
}
