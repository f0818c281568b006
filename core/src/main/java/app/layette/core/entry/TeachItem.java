package app.layette.core.entry;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What the caregiver does while the technician watches, in the order in which it is done: the inch test comes after
 * tightening. What an item touches, it touches as if a technician had done it.
 */
public enum TeachItem {
    HARNESS_AND_SNUG(Change.HARNESS_OPENED),
    CLIP(Change.CLIP_MOVED),
    CARRIER_ON_AND_OFF(Change.CARRIER_ON_OFF),
    READ_LEVEL(null),
    TIGHTEN_AND_LOOSEN(Change.BELT_TOUCHED),
    INCH_TEST(null),
    /** The carrier without its base, once, if they will need it. */
    BASELESS_ONCE(Change.BELT_TOUCHED),
    /** Told at the bedside, where there is no car: which slot, and that straps go up with the shoulder. */
    SLOT(null),
    /** Which pieces of the insert, and when each comes out. */
    INSERT(null),
    HANDLE_FOR_DRIVING(null),
    /** How heavy and how long a child it carries. */
    LIMITS(null),
    /** How one sees that it is outgrown. */
    GROWING_OUT(null),
    /** Nothing is added that did not come with it. */
    ADDITIONS(null),
    REGISTRATION_CARD(null);

    private final @Nullable Change change;

    TeachItem(@Nullable Change change) {
        this.change = change;
    }

    /** Whether there is anything to teach of it with a method. */
    public boolean isPartOf(Method method) {
        return switch (this) {
            case CARRIER_ON_AND_OFF -> method.isOnBase();
            case READ_LEVEL -> method.isReclined();
            case BASELESS_ONCE -> method.isBaseless();
            case SLOT, INSERT, HANDLE_FOR_DRIVING, LIMITS, GROWING_OUT, ADDITIONS, REGISTRATION_CARD -> false;
            default -> true;
        };
    }

    /** Whether it can be taught without a car. */
    public boolean isAtBedside() {
        return switch (this) {
            case HARNESS_AND_SNUG, CLIP -> true;
            case SLOT, INSERT, HANDLE_FOR_DRIVING, LIMITS, GROWING_OUT, ADDITIONS, REGISTRATION_CARD -> true;
            default -> false;
        };
    }

    /** What the act touches; empty when it touches nothing. */
    public Optional<Change> change() {
        return Optional.ofNullable(change);
    }
}
