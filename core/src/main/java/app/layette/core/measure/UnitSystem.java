package app.layette.core.measure;

/** The two systems of units that manuals, labels and families use. */
public enum UnitSystem {
    /** Kilograms, centimetres and millimetres. */
    METRIC,
    /** Pounds and ounces, inches. */
    CUSTOMARY;

    /** The system to echo a quantity in after it was shown in this one. */
    public UnitSystem other() {
        return this == METRIC ? CUSTOMARY : METRIC;
    }
}
