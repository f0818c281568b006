package app.layette.core.coming;

import app.layette.core.growth.Outlook;

/**
 * Something that growing brings (GRO).
 *
 * @param what it is
 * @param outlook when
 */
public record Coming(What what, Outlook outlook) {
    /** What a growing child comes to. */
    public enum What {
        /** The shoulder reaches the next harness slot (HAR-1). */
        NEXT_SLOT,
        /** A piece of the insert must be out (SUIT-9). */
        INSERT_OUT,
        /** Another band of the level indicator (REC-2). */
        NEXT_BAND,
        /** Child and restraint together reach the lower anchors' limit (SUIT-10). */
        ANCHOR_LIMIT,
        /** Rear-facing at least until then, by the profile (SUIT-11). */
        REAR_FACING_UNTIL,
        OUTGROWN_BY_WEIGHT,
        OUTGROWN_BY_LENGTH,
        /** The head leaves less room above it than is asked (SUIT-3). */
        OUTGROWN_BY_HEAD_ROOM;

        /** Whether the weight brings it. */
        public boolean isByWeight() {
            return this == INSERT_OUT || this == NEXT_BAND || this == ANCHOR_LIMIT || this == OUTGROWN_BY_WEIGHT;
        }

        /** Whether the restraint no longer suits from then on. */
        public boolean isOutgrown() {
            return this == OUTGROWN_BY_WEIGHT || this == OUTGROWN_BY_LENGTH || this == OUTGROWN_BY_HEAD_ROOM;
        }
    }
}
