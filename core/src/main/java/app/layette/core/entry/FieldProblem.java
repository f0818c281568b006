package app.layette.core.entry;

/**
 * One field that cannot be taken as given.
 *
 * @param field name of the field, as the fact has it
 * @param value what was given
 * @param reason key of why; {@code OUT_OF_RANGE} when {@code lowest} and {@code highest} say it all
 * @param lowest lower end of what is allowed, inclusive; or the whole list where it is a list
 * @param highest upper end of what is allowed, inclusive; empty for a list
 */
public record FieldProblem(String field, String value, String reason, String lowest, String highest) {
    public static FieldProblem outside(String field, Object value, Object lowest, Object highest) {
        return new FieldProblem(
                field, String.valueOf(value), "OUT_OF_RANGE", String.valueOf(lowest), String.valueOf(highest));
    }

    /** None of the answers that there are. */
    public static FieldProblem notAmong(String field, Object value, Object allowed) {
        return new FieldProblem(field, String.valueOf(value), "NOT_AMONG", String.valueOf(allowed), "");
    }
}
