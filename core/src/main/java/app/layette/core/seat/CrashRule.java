package app.layette.core.seat;

/** The maker's own rule for a restraint that was in a crash (CND-3). */
public enum CrashRule {
    /** Replace after any crash. */
    REPLACE_ALWAYS,
    /** May stay after a crash that was minor in every point. */
    MINOR_MAY_STAY
}
