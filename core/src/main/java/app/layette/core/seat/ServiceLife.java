package app.layette.core.seat;

import org.jspecify.annotations.Nullable;

/**
 * How long a restraint may be used (CND-1).
 *
 * @param kind where the last day comes from
 * @param years for {@link Kind#YEARS}, 1 to 25; otherwise {@code null}
 */
public record ServiceLife(Kind kind, @Nullable Integer years) {
    /** Where the last usable day comes from. */
    public enum Kind {
        /** Years from manufacture. */
        YEARS,
        /** A printed "do not use after" on the label. */
        PRINTED,
        /** The maker states none: not a stop, a note to ask. */
        NOT_STATED
    }
}
