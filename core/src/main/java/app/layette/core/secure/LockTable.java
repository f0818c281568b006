package app.layette.core.secure;

import app.layette.core.vehicle.Belt.LatchPlate;
import app.layette.core.vehicle.Belt.Retractor;
import java.util.Optional;

/** What locks a belt for a restraint (SEC-1): a table over retractor, latch plate and lock-off. */
public final class LockTable {
    /** What holds the belt. */
    public enum Lock {
        LOCK_OFF,
        /** Pulled out to its end, then it holds on the way back. */
        SWITCHED_RETRACTOR,
        AUTOMATIC_RETRACTOR,
        LATCH_PLATE,
        /** A clip on the belt near the plate, where the seat manual allows one. */
        LOCKING_CLIP,
        /** A flap that closes over the belt and tightens it; the belt itself was left nearly loose. */
        TENSION_PANEL,
        /** Nothing does: a locking clip where the manuals allow one, or another way. */
        NOTHING
    }

    private LockTable() {}

    /**
     * What locks the belt.
     *
     * @param retractor empty when not known
     * @param plate empty when not known
     * @param lockOff whether the restraint has a lock-off
     * @return empty when it depends on what is not known
     */
    public static Optional<Lock> lock(Optional<Retractor> retractor, Optional<LatchPlate> plate, boolean lockOff) {
        boolean holdsByItself = retractor.filter(each -> each == Retractor.NONE).isPresent();
        if (lockOff && !holdsByItself) {
            return Optional.of(Lock.LOCK_OFF);
        }
        if (retractor.isEmpty()) {
            return Optional.empty();
        }
        return switch (retractor.get()) {
            case SWITCHABLE -> Optional.of(Lock.SWITCHED_RETRACTOR);
            case AUTOMATIC -> Optional.of(Lock.AUTOMATIC_RETRACTOR);
            case NONE -> Optional.of(Lock.LATCH_PLATE);
            case EMERGENCY_ONLY -> plate.map(LockTable::byPlate);
        };
    }

    private static Lock byPlate(LatchPlate plate) {
        return locks(plate) ? Lock.LATCH_PLATE : Lock.NOTHING;
    }

    /** Whether a latch plate holds the lap part by itself. */
    static boolean locks(LatchPlate plate) {
        return plate == LatchPlate.LOCKING || plate == LatchPlate.SWITCHABLE;
    }
}
