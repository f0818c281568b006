package app.layette.core.entry;

import java.util.Optional;

/** What the caregiver does while the technician watches. */
public enum TeachItem {
    HARNESS_AND_SNUG(Change.TAUGHT_HARNESS),
    CLIP(Change.CLIP_MOVED),
    CARRIER_ON_AND_OFF(Change.TAUGHT_CARRIER),
    READ_LEVEL(null),
    INCH_TEST(null),
    TIGHTEN_AND_LOOSEN(Change.TAUGHT_TIGHTENING);

    private final Change change;

    TeachItem(Change change) {
        this.change = change;
    }

    /** Whether there is anything to teach of it with a method. */
    public boolean isPartOf(Method method) {
        return switch (this) {
            case CARRIER_ON_AND_OFF -> method.isOnBase();
            case READ_LEVEL -> method.isReclined();
            default -> true;
        };
    }

    /** Whether it can be taught without a car. */
    public boolean isAtBedside() {
        return this == HARNESS_AND_SNUG || this == CLIP;
    }

    /** What the act touches; empty when it touches nothing. */
    public Optional<Change> change() {
        return Optional.ofNullable(change);
    }
}
