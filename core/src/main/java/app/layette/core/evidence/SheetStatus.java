package app.layette.core.evidence;

/** Whether a lead has checked a sheet against its pages. */
public enum SheetStatus {
    /** Its values count as not known until they are confirmed by page. */
    DRAFT,
    CONFIRMED
}
