package app.layette.core.entry;

import app.layette.core.evidence.SheetValue;
import app.layette.core.measure.MassRange;
import app.layette.core.seat.Connectors;
import app.layette.core.seat.Indicator;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What can be said of each value: the constants to choose from, or text. */
public final class SheetValues {
    /** Where there is none of it, or nothing is said. */
    public static final String NONE = "NONE";

    public static final String YES = "YES";
    public static final String NO = "NO";
    /** The maker states no life. */
    public static final String NOT_STATED = "NOT_STATED";

    public static final String SHORT = "SHORT";
    public static final String LONG = "LONG";

    private static final int MOST_YEARS = 20;
    private static final int MOST_SLOTS = 12;
    private static final int MOST_OPENINGS = 6;
    private static final int LONGEST = 400;

    /** Said of a child of some weights only. */
    private static final Set<SheetValue> BANDED = Set.of(SheetValue.INSERT, SheetValue.CROTCH, SheetValue.LEVEL_PASS);

    private SheetValues() {}

    /** The constants that a value can be; empty where it is text or a number alone. */
    public static List<String> choices(SheetValue value) {
        return switch (value) {
            case APPROVED_HERE, BASE_LISTED -> List.of(YES, NO);
            case LIFE -> List.of(NOT_STATED);
            // A restraint has always parts; of other names there may be none.
            case PARTS -> List.of();
            case INSERT -> List.of(NONE, "REQUIRED", "OPTIONAL", "MUST_BE_OUT");
            case LOOPS -> List.of(NONE, SHORT, LONG);
            case INDICATOR -> names(Indicator.Kind.values());
            case LEVEL_PASS -> names(Indicator.Pass.values());
            case SIDES -> names(Indicator.Sides.values());
            case CONNECTORS -> names(Connectors.Kind.values());
            case LOCK_OFFS -> List.of(NONE, "BASE", "CARRIER");
            default -> Plainly.is(value) ? Plainly.choices(value) : List.of();
        };
    }

    /** Whether it is said in words or as a number, besides what can be chosen. */
    public static boolean isTyped(SheetValue value) {
        return switch (value) {
            case LIFE, SLOTS, CROTCH -> true;
            default -> Plainly.is(value) && Plainly.isNames(value);
        };
    }

    /** Whether it is said of a child from one weight to another. */
    public static boolean isBanded(SheetValue value, String says) {
        return BANDED.contains(value) && !NONE.equals(says);
    }

    public static boolean isBanded(SheetValue value) {
        return BANDED.contains(value);
    }

    private static List<String> names(Enum<?>[] constants) {
        return Arrays.stream(constants).map(Enum::name).toList();
    }

    /** What is wrong with a reading; empty when nothing is. */
    static Optional<FieldProblem> problem(Fact.SheetValueRead read) {
        String says = read.says() == null ? "" : read.says().strip();
        if (read.value().isOfPlace() && read.place() == null) {
            return Optional.of(new FieldProblem("place", "", "NEEDED", "", ""));
        }
        if (says.isEmpty()) {
            return Optional.of(new FieldProblem("says", "", "NEEDED", "", ""));
        }
        if (says.length() > LONGEST) {
            return Optional.of(FieldProblem.outside("says", says.length(), 1, LONGEST));
        }
        if (choices(read.value()).contains(says)) {
            return band(read, says);
        }
        Optional<FieldProblem> typed = switch (read.value()) {
            case LIFE -> number(says, MOST_YEARS);
            case SLOTS -> number(says, MOST_SLOTS);
            case CROTCH -> number(says, MOST_OPENINGS);
            default ->
                isTyped(read.value())
                        ? Optional.empty()
                        : Optional.of(new FieldProblem("says", says, "NOT_TAKEN", "", ""));
        };
        return typed.isPresent() ? typed : band(read, says);
    }

    private static Optional<FieldProblem> band(Fact.SheetValueRead read, String says) {
        if (!isBanded(read.value(), says)) {
            return Optional.empty();
        }
        if (read.from() == null || read.to() == null) {
            return Optional.of(new FieldProblem(read.from() == null ? "from" : "to", "", "NEEDED", "", ""));
        }
        return read.to().isLessThan(read.from())
                ? Optional.of(FieldProblem.outside("to", read.to(), read.from(), MassRange.SHEET.max()))
                : Optional.empty();
    }

    private static Optional<FieldProblem> number(String says, int most) {
        boolean number = says.matches("\\d{1,3}");
        return number && Integer.parseInt(says) >= 1 && Integer.parseInt(says) <= most
                ? Optional.empty()
                : Optional.of(FieldProblem.outside("says", says, 1, most));
    }
}
