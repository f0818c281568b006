package app.layette.core.entry;

/** Entries that contradict each other in a way that no rule can read: nothing is planned from them. */
public final class UnusableEntriesException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    public UnusableEntriesException(String message) {
        super(message);
    }
}
