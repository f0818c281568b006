package app.layette.core.vehicle;

import static app.layette.core.evidence.Evidence.orNotLooked;

import app.layette.core.evidence.Evidence;

/**
 * The belt of a seating position (SEC-1).
 *
 * @param retractor how the retractor holds
 * @param latchPlate how the latch plate holds
 * @param inflatable whether it is an inflatable belt (CAB-6)
 */
public record Belt(Evidence<Retractor> retractor, Evidence<LatchPlate> latchPlate, Evidence<Boolean> inflatable) {
    static final Belt NOT_LOOKED = new Belt(null, null, null);

    public Belt {
        retractor = orNotLooked(retractor);
        latchPlate = orNotLooked(latchPlate);
        inflatable = orNotLooked(inflatable);
    }

    /** How a retractor holds. */
    public enum Retractor {
        /** Only in a crash: a sharp tug proves nothing. */
        EMERGENCY_ONLY,
        /** Holds wherever it is let back to. */
        AUTOMATIC,
        /** Holds after it was pulled out to its very end. */
        SWITCHABLE,
        /** No retractor: a lap belt with an adjuster. */
        NONE
    }

    /** How a latch plate holds. */
    public enum LatchPlate {
        SLIDING,
        LOCKING,
        SWITCHABLE,
        SEWN_ON,
        /** Grips only in a crash, which does not count as locking. */
        CRASH_LOCKING
    }
}
