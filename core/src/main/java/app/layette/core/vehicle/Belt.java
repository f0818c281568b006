package app.layette.core.vehicle;

import static app.layette.core.evidence.Evidence.orNotLooked;

import app.layette.core.evidence.Built;
import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Length;

/**
 * The belt of a seating position (SEC-1).
 *
 * @param kind which parts it has
 * @param retractor how the retractor holds
 * @param latchPlate how the latch plate holds
 * @param inflatable whether it is an inflatable belt (CAB-6)
 * @param available U, webbing from the lower anchor through the plate to the upper guide, pulled fully out
 * @param anchorToGuide A, from the lower belt anchor to the outboard guide of a carrier
 * @param guideToPlate B, from its inboard guide to the latched plate
 * @param lapAvailable of a sewn-on plate: its lap part, pulled fully out
 * @param shoulderAvailable of a sewn-on plate: its shoulder part, pulled fully out
 * @param plateToUpperGuide S, from the plate along the seat back to the upper guide
 */
@Built
public record Belt(
        Evidence<Kind> kind,
        Evidence<Retractor> retractor,
        Evidence<LatchPlate> latchPlate,
        Evidence<Boolean> inflatable,
        Evidence<Length> available,
        Evidence<Length> anchorToGuide,
        Evidence<Length> guideToPlate,
        Evidence<Length> plateToUpperGuide,
        Evidence<Length> lapAvailable,
        Evidence<Length> shoulderAvailable) {
    /** A belt that nobody has looked at. */
    public static final Belt NOT_LOOKED = BeltParts.builder().build();

    public Belt {
        kind = orNotLooked(kind);
        retractor = orNotLooked(retractor);
        latchPlate = orNotLooked(latchPlate);
        inflatable = orNotLooked(inflatable);
        available = orNotLooked(available);
        anchorToGuide = orNotLooked(anchorToGuide);
        guideToPlate = orNotLooked(guideToPlate);
        plateToUpperGuide = orNotLooked(plateToUpperGuide);
        lapAvailable = orNotLooked(lapAvailable);
        shoulderAvailable = orNotLooked(shoulderAvailable);
    }

    /** A belt of which only this much was seen. */
    public static Belt seen(
            Evidence<Kind> kind,
            Evidence<Retractor> retractor,
            Evidence<LatchPlate> latchPlate,
            Evidence<Boolean> inflatable) {
        return BeltParts.builder()
                .kind(kind)
                .retractor(retractor)
                .latchPlate(latchPlate)
                .inflatable(inflatable)
                .build();
    }

    /** Which parts a belt has. */
    public enum Kind {
        LAP_SHOULDER,
        LAP_ONLY,
        NONE
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
