package app.layette.core.seat;

import static app.layette.core.evidence.Evidence.orNotLooked;

import app.layette.core.evidence.Built;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Written;

/**
 * What the sheet of a lay-flat carrier says beyond that of other restraints (CAB-11).
 *
 * @param fittings how many fittings take a loop of a lap part
 * @param order in which it is hooked and tightened, in words
 * @param handle for driving
 * @param headDirection where the child's head lies
 * @param removal how it comes out, in words
 */
@Built
public record LayFlat(
        Evidence<Integer> fittings,
        Evidence<String> order,
        Evidence<HandlePosition> handle,
        Evidence<HeadDirection> headDirection,
        @Written(longest = 2000) Evidence<String> removal) {
    static final LayFlat NOT_LOOKED = LayFlatParts.builder().build();

    public LayFlat {
        fittings = orNotLooked(fittings);
        order = orNotLooked(order);
        handle = orNotLooked(handle);
        headDirection = orNotLooked(headDirection);
        removal = orNotLooked(removal);
    }
}
