package app.layette.core.entry;

/** Ways to fix a restraint in a car. */
public enum Method {
    /** A base held by lower anchors on flexible webbing, the carrier clicked onto it. */
    BASE_FLEXIBLE_ANCHORS,
    /** A base held by the seat belt, locked by a lock-off, the retractor or the latch plate. */
    BASE_BELT;

    /** Whether the seat belt holds it. */
    public boolean isByBelt() {
        return this == BASE_BELT;
    }
}
