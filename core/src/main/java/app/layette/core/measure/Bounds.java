package app.layette.core.measure;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The ranges that a mass or a length is taken in, by name: a component of a record says its own. */
public enum Bounds {
    /** Whatever its type holds, or what another field of the same entry decides. */
    OF_ITS_TYPE(null, null),
    CHILD_MASS(MassRange.CHILD, null),
    BIRTH_MASS(MassRange.BIRTH, null),
    SHEET_MASS(MassRange.SHEET, null),
    BODY(null, LengthRange.BODY),
    LAYER(null, LengthRange.LAYER),
    ROLL(null, LengthRange.ROLL),
    CLOTH_THICKNESS(null, LengthRange.CLOTH_THICKNESS),
    CLOTH(null, LengthRange.CLOTH);

    private final @Nullable MassRange mass;
    private final @Nullable LengthRange length;

    Bounds(@Nullable MassRange mass, @Nullable LengthRange length) {
        this.mass = mass;
        this.length = length;
    }

    /** Where it is a range of masses. */
    public Optional<MassRange> mass() {
        return Optional.ofNullable(mass);
    }

    /** Where it is a range of lengths. */
    public Optional<LengthRange> length() {
        return Optional.ofNullable(length);
    }
}
