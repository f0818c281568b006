package app.layette.web.due;

/** What is open on the list of what comes due; whoever lists or counts it says it by this. */
public final class DueOpen {
    private DueOpen() {}

    /**
     * The condition on the rows {@code due_item i}: neither done, nor told by a newer fitting, nor put off.
     *
     * @param today an expression for the day at the point
     */
    public static String on(String today) {
        return " not i.done and not i.taken_over and (i.hidden_until is null or i.hidden_until <= " + today + ")";
    }
}
