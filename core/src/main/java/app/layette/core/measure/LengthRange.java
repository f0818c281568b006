package app.layette.core.measure;

/**
 * The lengths that a field takes, both ends included. Wide enough for every real value, narrow enough to catch a
 * slipped unit.
 */
public record LengthRange(Length min, Length max) {
    /** A child's length, crown to heel: 25 cm to 110 cm. */
    public static final LengthRange BODY = ofMillimetres(250, 1100);

    /** Seated shoulder height along the shell back: 100 mm to 450 mm. */
    public static final LengthRange SHOULDER = ofMillimetres(100, 450);

    /** Seated crown height along the shell back: 150 mm to 700 mm. */
    public static final LengthRange CROWN = ofMillimetres(150, 700);

    /** Movement at the belt path: 0 to 300 mm. */
    public static final LengthRange MOVEMENT = ofMillimetres(0, 300);

    /** Gap between restraint and front seat: 0 to 900 mm. */
    public static final LengthRange GAP = ofMillimetres(0, 900);

    /** Diameter of a foam noodle: 20 to 150 mm. */
    public static final LengthRange ROLL = ofMillimetres(20, 150);

    /** Thickness of one layer of a cloth: 0.5 to 30 mm. */
    public static final LengthRange CLOTH_THICKNESS = ofMillimetres(0.5, 30);

    /** A layer under the straps, as worn or pressed: 0 to 80 mm. */
    public static final LengthRange LAYER = ofMillimetres(0, 80);

    /** A side of a cloth, or what is rolled of it: 20 mm to 3 m. */
    public static final LengthRange CLOTH = ofMillimetres(20, 3000);

    /** Any length printed in a manual or measured in a car: -1 m to 5 m. */
    public static final LengthRange SHEET = ofMillimetres(-1000, 5000);

    public LengthRange {
        if (max.isLessThan(min)) {
            throw new IllegalArgumentException("The range " + min + " to " + max + " is empty");
        }
    }

    private static LengthRange ofMillimetres(double min, double max) {
        return new LengthRange(Length.ofMillimetres(min), Length.ofMillimetres(max));
    }

    public boolean contains(Length length) {
        return !length.isLessThan(min) && !length.isMoreThan(max);
    }
}
