package app.layette.core.seat;

/**
 * How the base connects to the lower anchors (SEC-4).
 *
 * @param kind of connector
 * @param tail side on which the adjuster's tail leaves; {@code null} when the sheet does not say
 */
public record Connectors(Kind kind, Tail tail) {
    /** Kinds of connector. */
    public enum Kind {
        HOOK_OPENING_DOWN,
        HOOK_FLAT_TURNED,
        PUSH_ON,
        RIGID_ARMS
    }

    /** Where the adjuster's tail leaves, seen from the foot end of the restraint. */
    public enum Tail {
        LEFT,
        RIGHT,
        CENTRE,
        BOTH
    }
}
