package app.layette.core.measure;

/**
 * The masses that a field takes, both ends included. Wide enough for every real value, narrow enough to catch a slipped
 * unit.
 */
public record MassRange(Mass min, Mass max) {
    /** A child in a rear-facing restraint: 400 g to 30 kg. */
    public static final MassRange CHILD = new MassRange(Mass.ofGrams(400), Mass.ofKilograms(30));

    /** Weight at birth: 400 g to 7 kg. */
    public static final MassRange BIRTH = new MassRange(Mass.ofGrams(400), Mass.ofKilograms(7));

    /** Any mass printed in a manual: 0 to 60 kg. */
    public static final MassRange SHEET = new MassRange(Mass.ofGrams(0), Mass.ofKilograms(60));

    public MassRange {
        if (max.isLessThan(min)) {
            throw new IllegalArgumentException("The range " + min + " to " + max + " is empty");
        }
    }

    public boolean contains(Mass mass) {
        return !mass.isLessThan(min) && !mass.isMoreThan(max);
    }
}
