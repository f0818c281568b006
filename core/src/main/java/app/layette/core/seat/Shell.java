package app.layette.core.seat;

import static app.layette.core.evidence.Evidence.orNotLooked;

import app.layette.core.evidence.Built;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Written;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The carrier's shell, everything along the shell back from the pad at the child's hips.
 *
 * @param top height of the shell's head end
 * @param slots heights of the harness slots, lowest first, stated complete
 * @param crotch openings for the crotch strap, nearest the shell back first
 * @param headRoom room asked above the head (SUIT-3)
 * @param carrierMass of the carrier alone
 * @param baseMass of the base
 * @param widthShell across the shell (CAB-13)
 * @param widthBase across the base
 * @param outline of the restraint in the side view, base and carrier together (CAB-10)
 * @param innerShellLiftsOut whether an inner shell lifts out of the carrier (SUIT-12, HAR-4)
 * @param seatDepth from the shell back to the seat's end (SUIT-6)
 */
@Built
public record Shell(
        Evidence<Length> top,
        Evidence<List<Length>> slots,
        Evidence<List<CrotchOpening>> crotch,
        Evidence<Length> headRoom,
        Evidence<Mass> carrierMass,
        Evidence<Mass> baseMass,
        @Written(fewest = 3) Evidence<List<OutlinePoint>> outline,
        Evidence<Length> widthShell,
        Evidence<Length> widthBase,
        Evidence<Boolean> innerShellLiftsOut,
        Evidence<Length> seatDepth) {
    static final Shell NOT_LOOKED = ShellParts.builder().build();

    public Shell {
        top = orNotLooked(top);
        slots = orNotLooked(slots);
        crotch = orNotLooked(crotch);
        headRoom = orNotLooked(headRoom);
        carrierMass = orNotLooked(carrierMass);
        baseMass = orNotLooked(baseMass);
        outline = orNotLooked(outline);
        widthShell = orNotLooked(widthShell);
        widthBase = orNotLooked(widthBase);
        innerShellLiftsOut = orNotLooked(innerShellLiftsOut);
        seatDepth = orNotLooked(seatDepth);
    }

    /** What it takes beside another restraint: the wider of shell and base; empty when neither is known. */
    public Optional<Length> width() {
        return Stream.of(widthShell.value(), widthBase.value())
                .flatMap(Optional::stream)
                .max(Length::compareTo);
    }
}
