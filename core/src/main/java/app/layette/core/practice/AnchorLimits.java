package app.layette.core.practice;

import app.layette.core.measure.Mass;
import app.layette.core.practice.PracticeProfile.AnchorLimitDefault;

/** The two printed conventions for how much lower anchors may hold, child and restraint together (SUIT-10). */
public final class AnchorLimits {
    private AnchorLimits() {}

    public static Mass of(AnchorLimitDefault convention) {
        return switch (convention) {
            case NORTH_AMERICA_65_LB -> Mass.ofPounds(65);
            case R129_33_KG -> Mass.ofKilograms(33);
        };
    }
}
