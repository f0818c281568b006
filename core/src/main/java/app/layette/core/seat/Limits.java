package app.layette.core.seat;

import static app.layette.core.evidence.Evidence.orNotLooked;

import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Mass;

/**
 * Limits of the rear-facing mode (SUIT-1, SUIT-2), all inclusive.
 *
 * @param weightMin lightest child
 * @param weightMax heaviest child
 * @param lengthMax longest child, or stated that there is no such limit
 */
public record Limits(Evidence<Mass> weightMin, Evidence<Mass> weightMax, Evidence<LengthLimit> lengthMax) {
    static final Limits NOT_LOOKED = new Limits(Evidence.notLooked(), Evidence.notLooked(), Evidence.notLooked());

    public Limits {
        weightMin = orNotLooked(weightMin);
        weightMax = orNotLooked(weightMax);
        lengthMax = orNotLooked(lengthMax);
    }
}
