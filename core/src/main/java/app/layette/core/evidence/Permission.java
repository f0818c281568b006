package app.layette.core.evidence;

/** The three answers to "may we?". */
public enum Permission {
    ALLOWED,
    NOT_ALLOWED,
    NOT_KNOWN;

    /**
     * Two speakers together: any <em>not allowed</em> wins, then any <em>not known</em>; <em>allowed</em> needs both.
     */
    public Permission and(Permission other) {
        if (this == NOT_ALLOWED || other == NOT_ALLOWED) {
            return NOT_ALLOWED;
        }
        return this == NOT_KNOWN || other == NOT_KNOWN ? NOT_KNOWN : ALLOWED;
    }
}
