package app.layette.core.seat;

import static app.layette.core.evidence.Evidence.orNotLooked;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Written;
import app.layette.core.measure.Mass;
import java.util.Locale;

/**
 * One of the ways in which a restraint may be used, with its own limits.
 *
 * @param mode its name, in the manual's words
 * @param weightMin lightest child
 * @param weightMax heaviest child
 * @param lengthMax longest child, or stated that there is no such limit
 */
public record Mode(
        @Written(needed = true) String mode,
        Evidence<Mass> weightMin,
        Evidence<Mass> weightMax,
        Evidence<LengthLimit> lengthMax) {
    public Mode {
        weightMin = orNotLooked(weightMin);
        weightMax = orNotLooked(weightMax);
        lengthMax = orNotLooked(lengthMax);
    }

    /** Whether this is the rear-facing mode: {@code rear-facing}, {@code rearFacing}, {@code Rear facing}. */
    public boolean isRearFacing() {
        return mode.replaceAll("[^A-Za-z]", "").toLowerCase(Locale.ROOT).equals("rearfacing");
    }
}
