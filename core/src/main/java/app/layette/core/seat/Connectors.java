package app.layette.core.seat;

import app.layette.core.evidence.Written;
import org.jspecify.annotations.Nullable;

/**
 * How the base connects to the lower anchors (SEC-4).
 *
 * @param kind of connector
 * @param tail side on which the adjuster's tail leaves; {@code null} when the sheet does not say
 * @param mark that shows the way up, in the manual's words; {@code null} when the sheet does not say
 * @param adjusters whether one adjuster tightens both sides or each its own; {@code null} when the sheet does not say
 * @param release how it comes off; {@code null} when the sheet does not say
 */
public record Connectors(
        @Written(needed = true) Kind kind,
        @Nullable Tail tail,
        @Nullable String mark,
        @Nullable Adjusters adjusters,
        @Nullable Release release) {
    /** Connectors of which only this much is known. */
    public Connectors(Kind kind, @Nullable Tail tail) {
        this(kind, tail, null, null, null);
    }

    /** How many adjusters tighten the anchor straps. */
    public enum Adjusters {
        ONE,
        TWO
    }

    /** How a connector comes off its anchor. */
    public enum Release {
        BAR,
        BUTTON
    }

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
