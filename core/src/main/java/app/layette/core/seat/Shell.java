package app.layette.core.seat;

import static app.layette.core.evidence.Evidence.orNotLooked;

import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import java.util.List;

/**
 * The carrier's shell, everything along the shell back from the pad at the child's hips.
 *
 * @param top height of the shell's head end
 * @param slots heights of the harness slots, lowest first, stated complete
 * @param crotch openings for the crotch strap, nearest the shell back first
 * @param headRoom room asked above the head (SUIT-3)
 * @param carrierMass of the carrier alone
 * @param baseMass of the base
 */
public record Shell(
        Evidence<Length> top,
        Evidence<List<Length>> slots,
        Evidence<List<CrotchOpening>> crotch,
        Evidence<Length> headRoom,
        Evidence<Mass> carrierMass,
        Evidence<Mass> baseMass) {
    static final Shell NOT_LOOKED = new Shell(null, null, null, null, null, null);

    public Shell {
        top = orNotLooked(top);
        slots = orNotLooked(slots);
        crotch = orNotLooked(crotch);
        headRoom = orNotLooked(headRoom);
        carrierMass = orNotLooked(carrierMass);
        baseMass = orNotLooked(baseMass);
    }
}
