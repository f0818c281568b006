package app.layette.core.entry;

/** Ways to fix a restraint in a car. */
public enum Method {
    /** A base held by lower anchors on flexible webbing, the carrier clicked onto it. */
    BASE_FLEXIBLE_ANCHORS
}
